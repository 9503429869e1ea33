import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { AnswerKeeper } from "./answers";
import { arcOf, nowIn } from "./clock";

type Body = { question: string; typed: string; expected_version: number };
let sent: string[] = [];
/** What the server holds. */
let theirs = new Map<string, { typed: string; version: number }>();
let fail: (() => Response) | null = null;

beforeEach(() => {
  vi.useFakeTimers();
  sessionStorage.clear();
  sent = [];
  theirs = new Map([["reason", { typed: "Neck", version: 1 }]]);
  fail = null;
  vi.stubGlobal("fetch", async (request: Request) => {
    const body = (await request.clone().json()) as Body;
    if (fail) return fail();
    sent.push(`${body.question}=${body.typed}`);
    const { question, typed, expected_version } = body;
    const held = theirs.get(question);
    if (held && held.version !== expected_version)
      return Response.json({ type: "stale", current: held }, { status: 409 });
    const version = expected_version + 1;
    theirs.set(question, { typed, version });
    return Response.json({ question, typed, version });
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const SEEN = [{ id: "reason", typed: "Neck", version: 1 }];
const open = () => new AnswerKeeper("before", "here", SEEN, () => "cm");

test("an answer is sent again until the server has it, the last one of a question, and outlives a reload", async () => {
  fail = () => new Response(null, { status: 503 });
  const keeper = open();
  keeper.answer("station.feet", "no");
  keeper.answer("station.feet", "yes");
  await vi.advanceTimersByTimeAsync(3000);
  expect(keeper.read()).toMatchObject({ waiting: 1, away: true });
  keeper.end();
  fail = null;
  const after = open();
  await vi.advanceTimersByTimeAsync(10_000);
  expect(after.read()).toMatchObject({ waiting: 0, away: false });
  expect(after.read().typed.get("station.feet")).toBe("yes");
  expect(new Set(sent)).toEqual(new Set(["station.feet=yes"]));
});

test("what another device answered meanwhile is asked about, and either stays", async () => {
  for (const kept of ["Mine", "Theirs"]) {
    theirs.set("reason", { typed: "Theirs", version: 2 });
    const keeper = open();
    keeper.answer("reason", "Mine");
    await vi.advanceTimersByTimeAsync(600);
    expect(keeper.read().contested.get("reason")).toEqual({ theirs: "Theirs", version: 2 });
    expect(keeper.read()).toMatchObject({ waiting: 0 });
    expect(theirs.get("reason")?.typed).toBe("Theirs");
    keeper.settle("reason", kept);
    await vi.advanceTimersByTimeAsync(600);
    expect(keeper.read().contested.size).toBe(0);
    expect(theirs.get("reason")?.typed).toBe(kept);
    keeper.end();
  }
});

test("what was answered elsewhere is taken over where nobody is in the middle of it", async () => {
  const keeper = open();
  keeper.adopt([{ id: "reason", typed: "Neck and arm", version: 2 }]);
  expect(keeper.read().typed.get("reason")).toBe("Neck and arm");
  fail = () => new Response(null, { status: 503 });
  keeper.answer("reason", "Mine");
  keeper.adopt([{ id: "reason", typed: "Later", version: 3 }]);
  expect(keeper.read().typed.get("reason")).toBe("Mine");
  keeper.end();
});

test("what was begun rests on what was seen then, whatever comes in while it is typed", async () => {
  const keeper = open();
  keeper.answer("reason", "Mi");
  theirs.set("reason", { typed: "Theirs", version: 2 });
  keeper.adopt([{ id: "reason", typed: "Theirs", version: 2 }]); // the page came to the front
  keeper.answer("reason", "Mine");
  await vi.advanceTimersByTimeAsync(600);
  expect(theirs.get("reason")?.typed).toBe("Theirs");
  expect(keeper.read().contested.get("reason")?.theirs).toBe("Theirs");
});

test("letters that follow while an answer is on its way rest on it, and are no conflict", async () => {
  const keeper = open();
  keeper.answer("reason", "Ne");
  keeper.answer("reason", "Nec");
  await vi.advanceTimersByTimeAsync(400);
  keeper.answer("reason", "Neck!");
  await vi.advanceTimersByTimeAsync(600);
  expect(keeper.read().contested.size).toBe(0);
  expect(theirs.get("reason")?.typed).toBe("Neck!");
});

test("what is refused stays as typed with its reason, and the rest goes on", async () => {
  const keeper = open();
  fail = () =>
    new Response(JSON.stringify({ type: "bad-value", low: 190, high: 650, unit: "mm" }), {
      status: 422,
      headers: { "content-type": "application/problem+json" },
    });
  keeper.answer("popliteal_height.first", "4");
  await vi.advanceTimersByTimeAsync(600);
  expect(keeper.read().problems.get("popliteal_height.first")).toMatchObject({ low: 190 });
  fail = null;
  keeper.answer("station.feet", "yes");
  await vi.advanceTimersByTimeAsync(600);
  expect(sent).toEqual(["station.feet=yes"]);
  expect(keeper.read().typed.get("popliteal_height.first")).toBe("4");
});

test("the clock knows what it is time for, and its arcs lie one after the other", () => {
  const spells = [
    { at: "8:30", end: "9:00", posture: "sit" },
    { at: "9:00", end: "9:20", posture: "stand" },
  ];
  const at = (minute: number) => {
    const { now, next } = nowIn(spells, minute);
    return [now?.posture ?? null, next?.posture ?? null];
  };
  expect(at(8 * 60)).toEqual([null, "sit"]);
  expect(at(8 * 60 + 59)).toEqual(["sit", "stand"]);
  expect(at(9 * 60)).toEqual(["stand", null]);
  expect(at(9 * 60 + 20)).toEqual([null, null]);
  const [first, second] = spells.map((spell) => arcOf(spell, 510, 560, 260)) as [string, string];
  expect(first).toMatch(/^M\d/);
  expect(second).not.toEqual(first);
});
