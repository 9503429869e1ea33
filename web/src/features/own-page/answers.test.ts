// @vitest-environment jsdom
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { AnswerKeeper } from "./answers";
import { arcOf, nowIn } from "./clock";

let sent: string[] = [];
let fail: (() => Response) | null = null;

beforeEach(() => {
  vi.useFakeTimers();
  sessionStorage.clear();
  sent = [];
  fail = null;
  vi.stubGlobal("fetch", async (request: Request) => {
    const body = (await request.clone().json()) as { question: string; typed: string };
    if (fail) return fail();
    sent.push(`${body.question}=${body.typed}`);
    return new Response(null, { status: 204 });
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const open = () => new AnswerKeeper("before", "here", { reason: "Neck" }, () => "cm");

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

test("what is refused stays as typed with its reason, and the rest goes on", async () => {
  const keeper = open();
  fail = () =>
    new Response(JSON.stringify({ type: "bad-value", low: 190, high: 650, unit: "mm" }), {
      status: 422,
      headers: { "content-type": "application/problem+json" },
    });
  keeper.answer("popliteal_height.first", "4");
  await vi.advanceTimersByTimeAsync(100);
  expect(keeper.read().problems.get("popliteal_height.first")).toMatchObject({ low: 190 });
  fail = null;
  keeper.answer("station.feet", "yes");
  await vi.advanceTimersByTimeAsync(100);
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
  const [first, second] = spells.map((one) => arcOf(one, 510, 560, 260)) as [string, string];
  expect(first).toMatch(/^M\d/);
  expect(second).not.toEqual(first);
});
