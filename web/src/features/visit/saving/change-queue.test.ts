import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { newKey } from "@/shared/device/seal";
import { vault } from "@/shared/device/vault";
import { forgetWords } from "@/shared/device/words";
import { ChangeQueue } from "./change-queue";

type Call = { url: string; body: Schemas["EntryChange"]; token: string | null };

/** A server that holds entries by the rules of the real one, and can be made to fail. */
class Server {
  entries = new Map<string, Schemas["Entry"]>();
  seen = new Map<string, string>();
  calls: Call[] = [];
  fail: (() => Response) | null = null;

  answer = async (request: Request): Promise<Response> => {
    if (request.method === "GET") return this.fail?.() ?? json(200, { csrf: "new" });
    const body = (await request.clone().json()) as Schemas["EntryChange"];
    this.calls.push({ url: request.url, body, token: request.headers.get("X-Plumb-Csrf") });
    if (this.fail) return this.fail();
    const id = new URL(request.url).pathname.split("/").at(-1) ?? "";
    const held = this.entries.get(body.path);
    if (!this.seen.has(id)) {
      if ((held?.version ?? 0) !== body.expected_version)
        return json(409, { type: "stale", status: 409, title: "stale", detail: "", current: held });
      if (body.path === "reason" && this.entries.get("consent")?.typed !== "yes")
        return json(422, {
          type: "needs-consent",
          status: 422,
          title: "",
          detail: "No consent.",
          consent: "consent",
        });
      if (body.typed === "bad")
        return json(422, { type: "bad-value", status: 422, title: "", detail: "Seat: bad." });
      this.put(body.path, body.typed);
      this.seen.set(id, body.path);
    }
    return json(200, { entry: this.entries.get(body.path), revision: this.seen.size });
  };

  put(path: string, typed: string, by = "Ines"): void {
    const version = (this.entries.get(path)?.version ?? 0) + 1;
    this.entries.set(path, {
      path,
      typed,
      value: typed,
      version,
      changed_at: "2026-11-25T09:00:00Z",
      changed_by: by,
      self_reported: false,
    });
  }
}

function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), {
    status,
    headers: { "content-type": "application/json" },
  });
}

let server: Server;

beforeEach(() => {
  vi.useFakeTimers();
  server = new Server();
  vault.setState({ opened: { member: "ines", key: newKey() }, byPassword: false });
  forgetWords("visit");
  sessionStorage.clear();
  vi.stubGlobal("fetch", (request: Request) => server.answer(request));
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const open = () => new ChangeQueue("visit", Object.fromEntries(server.entries), () => {});
const settle = () => vi.advanceTimersByTimeAsync(30_000);

test("what is typed is kept, upon the version before", async () => {
  const queue = open();
  queue.type("seat", "46", "cm");
  await settle();
  queue.type("seat", "47", "cm");
  await settle();
  expect(server.calls.map((call) => call.body.expected_version)).toEqual([0, 1]);
  expect(queue.cell("seat")).toMatchObject({ typed: "47", version: 2, state: "kept" });
  expect(queue.unsent).toBe(false);
});

test("only the last of many texts of a field leaves while one is on its way", async () => {
  const queue = open();
  for (const typed of ["4", "46", "46.", "46.2"]) queue.type("seat", typed, "cm");
  await settle();
  expect(server.calls.map((call) => call.body.typed)).toEqual(["4", "46.2"]);
  expect(server.entries.get("seat")?.typed).toBe("46.2");
});

test("a lost answer is asked for again under the same id and counts once", async () => {
  const queue = open();
  const real = server.answer;
  let lost = 0;
  vi.stubGlobal("fetch", async (request: Request) => {
    const answer = await real(request);
    if (lost++ < 2) throw new TypeError("network");
    return answer;
  });
  queue.type("seat", "46", "cm");
  await vi.advanceTimersByTimeAsync(100);
  expect(queue.read()).toMatchObject({ pending: 1, offline: true });
  await settle();
  expect(new Set(server.calls.map((call) => call.url)).size).toBe(1);
  expect(server.entries.get("seat")?.version).toBe(1);
  expect(queue.read()).toMatchObject({ pending: 0, offline: false });
});

test("a server in trouble is asked again, nothing given up", async () => {
  const queue = open();
  server.fail = () => json(503, { detail: "no database" });
  queue.type("seat", "46", "cm");
  await vi.advanceTimersByTimeAsync(3_000);
  expect(queue.unsent).toBe(true);
  server.fail = null;
  await settle();
  expect(queue.cell("seat").state).toBe("kept");
});

test("what is refused stays as typed, with the reason, and the rest goes on", async () => {
  const queue = open();
  queue.type("seat", "bad", "cm");
  queue.type("surface", "72", "cm");
  await settle();
  expect(queue.cell("seat")).toMatchObject({ typed: "bad", state: "refused" });
  expect(queue.cell("seat").problem?.detail).toBe("Seat: bad.");
  expect(queue.cell("surface").state).toBe("kept");
});

test.each(["mine", "theirs"] as const)("two versions: %s is chosen", async (choice) => {
  server.put("seat", "46");
  const queue = open();
  server.put("seat", "50", "Tomas");
  queue.type("seat", "47", "cm");
  await settle();
  expect(queue.cell("seat")).toMatchObject({ typed: "47", state: "stale" });
  expect(queue.cell("seat").held?.changed_by).toBe("Tomas");
  queue.settle("seat", choice, "cm");
  await settle();
  expect(server.entries.get("seat")?.typed).toBe(choice === "mine" ? "47" : "50");
  expect(queue.cell("seat").state).toBe("kept");
});

test("what has not arrived outlives a reload, under its id", async () => {
  server.fail = () => json(503, {});
  const before = open();
  before.type("seat", "46", "cm");
  await vi.advanceTimersByTimeAsync(100);
  const id = server.calls[0]?.url;
  const after = new ChangeQueue("visit", {}, () => {});
  expect(after.cell("seat")).toMatchObject({ typed: "46", state: "waiting" });
  server.fail = null;
  await settle();
  expect(server.calls.every((call) => call.url === id)).toBe(true);
  expect(server.entries.get("seat")?.version).toBe(1);
});

test("signed out: it waits, and is there for the next keeper of the same member", async () => {
  const queue = open();
  server.fail = () => json(401, { detail: "Please sign in." });
  queue.type("seat", "46", "cm");
  await settle();
  expect(queue.read()).toMatchObject({ signedOut: true, pending: 1 });
  expect(server.calls.length).toBe(1);
  server.fail = null;
  const mine = vault.getState();
  vault.setState({ opened: { member: "tomas", key: newKey() } });
  const stored = sessionStorage.getItem("plumb:words:visit") ?? "";
  const sealed = atob(stored);
  expect(sealed.length).toBeGreaterThan(0);
  for (const word of ["seat", "entry", '"46"']) expect(sealed).not.toContain(word);
  vault.setState(mine);
  const again = open();
  await settle();
  expect(again.cell("seat").state).toBe("kept");
});

test("a contested value outlives a reload as a question, upon the version it was typed on", async () => {
  server.put("seat", "46");
  const before = open();
  server.put("seat", "50", "Tomas");
  before.type("seat", "18.5", "in");
  await settle();
  expect(before.cell("seat").state).toBe("stale");
  const sent = server.calls.length;
  const after = open();
  await settle();
  expect(server.calls.length).toBe(sent);
  expect(after.cell("seat")).toMatchObject({ typed: "18.5", unit: "in", state: "stale" });
  expect(after.cell("seat").held).toMatchObject({ typed: "50", changed_by: "Tomas" });
  expect(server.entries.get("seat")?.typed).toBe("50");
  after.settle("seat", "mine", "cm");
  await settle();
  expect(server.calls.at(-1)?.body).toMatchObject({ typed: "18.5", unit: "in" });
});

test("a refused value outlives a reload with its unit and reason, and is not sent again", async () => {
  const before = open();
  before.type("seat", "bad", "in");
  await settle();
  const sent = server.calls.length;
  const after = open();
  await settle();
  expect(server.calls.length).toBe(sent);
  expect(after.cell("seat")).toMatchObject({ typed: "bad", unit: "in", state: "refused" });
  expect(after.cell("seat").problem?.detail).toBe("Seat: bad.");
  expect(after.open).toEqual(["seat"]);
});

test("what waits is sent upon the version it was typed on, so that a reload asks and never overwrites", async () => {
  server.put("seat", "46");
  server.fail = () => json(503, {});
  const before = open();
  before.type("seat", "47", "in");
  await vi.advanceTimersByTimeAsync(100);
  server.put("seat", "50", "Tomas");
  server.fail = null;
  const after = open();
  await settle();
  expect(after.cell("seat")).toMatchObject({ typed: "47", unit: "in", state: "stale" });
  expect(server.entries.get("seat")?.typed).toBe("50");
});

test("a store that can’t be read or is full is said and breaks nothing", async () => {
  sessionStorage.setItem("plumb:words:visit", "{half");
  const queue = open();
  expect(queue.cell("seat").typed).toBe("");
  const set = vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
    throw new DOMException("full", "QuotaExceededError");
  });
  server.fail = () => json(503, {});
  queue.type("seat", "46", "cm");
  expect(queue.read().full).toBe(true);
  set.mockRestore();
  queue.type("seat", "47", "cm");
  expect(queue.read().full).toBe(false);
});

test("a change the server fails on does not hold up what is behind it", async () => {
  const queue = open();
  const real = server.answer;
  vi.stubGlobal("fetch", async (request: Request) => {
    const body = (await request.clone().json()) as Schemas["EntryChange"];
    return body.path === "reason" ? json(500, { type: "failed", detail: "x" }) : real(request);
  });
  queue.type("reason", "half a sign", "cm");
  queue.type("surface", "72", "cm");
  await settle();
  expect(queue.cell("reason")).toMatchObject({ state: "refused", typed: "half a sign" });
  expect(queue.cell("surface").state).toBe("kept");
});

test("one edit, and one press, are one step of undo", async () => {
  server.put("note", "Before");
  const queue = open();
  const edit = queue.newStep();
  for (const typed of ["Aft", "After", "Afterwards"]) {
    queue.type("note", typed, "cm", { step: edit });
    await settle();
  }
  queue.typeAll(
    [
      ["a", "no"],
      ["b", "no"],
    ],
    "cm",
  );
  await settle();
  queue.undo("cm");
  await settle();
  expect([queue.cell("a").typed, queue.cell("b").typed]).toEqual(["", ""]);
  queue.undo("cm");
  await settle();
  expect(server.entries.get("note")?.typed).toBe("Before");
  expect(queue.undo("cm")).toBeNull();
});

test("after a signature a change asks first, and nothing of before is taken back", async () => {
  const queue = open();
  queue.type("seat", "46", "cm");
  await settle();
  queue.setSigned(true);
  expect(queue.undo("cm")).toBeNull();
  queue.type("seat", "47", "cm");
  expect(queue.read()).toMatchObject({ asking: true, pending: 0 });
  queue.answer(false);
  expect(queue.read().asking).toBe(false);
  expect(queue.cell("seat").typed).toBe("46");
  const may = queue.mayChange();
  expect(queue.read().asking).toBe(true);
  queue.answer(false);
  expect(await may).toBe(false);
  queue.type("seat", "48", "cm");
  queue.answer(true);
  expect(await queue.mayChange()).toBe(true);
  await settle();
  expect(server.entries.get("seat")?.typed).toBe("48");
});

test("words being typed are handed over when the page goes", () => {
  const queue = open();
  queue.onFlush(() => queue.type("note", "half typed", "cm"));
  queue.flush();
  expect(queue.unsent).toBe(true);
});

test("taken back step by step", async () => {
  server.put("seat", "46");
  const queue = open();
  queue.type("seat", "47", "cm");
  await settle();
  queue.type("seat", "48", "cm");
  await settle();
  expect(queue.undo("cm")).toBe("seat");
  await settle();
  expect(server.entries.get("seat")?.typed).toBe("47");
  queue.undo("cm");
  await settle();
  expect(server.entries.get("seat")?.typed).toBe("46");
  expect(queue.undo("cm")).toBeNull();
});

test("what was refused for want of a consent is sent once it is given", async () => {
  const queue = open();
  queue.type("reason", "Neck", "cm");
  await settle();
  expect(queue.cell("reason")).toMatchObject({ state: "refused", typed: "Neck" });
  queue.type("consent", "no", "cm");
  await settle();
  expect(queue.cell("reason").state).toBe("refused");
  queue.type("consent", "yes", "cm");
  await settle();
  expect(queue.cell("reason")).toMatchObject({ state: "kept", typed: "Neck" });
  expect(server.entries.get("reason")?.typed).toBe("Neck");
});

test("both versions can be joined, theirs first", async () => {
  const queue = open();
  server.put("note", "Theirs", "Tomas");
  queue.type("note", "Mine", "cm");
  await settle();
  queue.settle("note", "both", "cm");
  await settle();
  expect(server.entries.get("note")?.typed).toBe("Theirs\nMine");
  expect(queue.cell("note").state).toBe("kept");
});

test("entries changed on the server are taken over, but never over what waits here", async () => {
  server.put("reason", "Neck");
  server.put("seat", "46");
  const queue = open();
  server.fail = () => json(503, {});
  queue.type("seat", "47", "cm");
  server.put("reason", "");
  server.put("seat", "50", "Tomas");
  queue.adopt(Object.fromEntries(server.entries));
  expect(queue.cell("reason").typed).toBe("");
  expect(queue.cell("seat")).toMatchObject({ typed: "47", state: "waiting" });
});

test("what was erased elsewhere is not brought back by undo", async () => {
  const queue = open();
  queue.type("note", "Old words", "cm");
  await settle();
  queue.type("note", "New words", "cm");
  await settle();
  server.put("note", "");
  queue.adopt(Object.fromEntries(server.entries));
  expect(queue.undo("cm")).toBeNull();
  await settle();
  expect(server.entries.get("note")?.typed).toBe("");
});
