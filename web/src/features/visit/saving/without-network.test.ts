import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { BY_DEVICE } from "@/shared/device/answers";
import { newKey } from "@/shared/device/seal";
import { vault } from "@/shared/device/vault";
import { forgetWords, join, type Words } from "@/shared/device/words";
import { ChangeQueue } from "./change-queue";

/** Who answers: a device that takes everything but `bad`, or a server that holds versions. */
let away = true;
let server: Map<string, Schemas["Entry"]>;
let sent: Schemas["EntryChange"][];
const onDevice = new Map<string, number>();

function entry(path: string, typed: string, version: number): Schemas["Entry"] {
  return {
    path,
    typed,
    value: typed,
    version,
    changed_at: "2026-11-25T09:00:00Z",
    changed_by: "Ines",
    self_reported: false,
  };
}

async function answer(request: Request): Promise<Response> {
  const body = (await request.clone().json()) as Schemas["EntryChange"];
  const headers: Record<string, string> = { "content-type": "application/json" };
  const json = (status: number, said: unknown) =>
    new Response(JSON.stringify(said), { status, headers });
  if (body.typed === "bad")
    return json(422, { type: "bad-value", status: 422, title: "", detail: "Seat: bad." });
  if (away) {
    headers[BY_DEVICE] = "1";
    const version = (onDevice.get(body.path) ?? body.expected_version) + 1;
    onDevice.set(body.path, version);
    return json(200, {
      entry: entry(body.path, body.typed, version),
      revision: 9,
      by_device: true,
    });
  }
  sent.push(body);
  const held = server.get(body.path);
  if ((held?.version ?? 0) !== body.expected_version)
    return json(409, { type: "stale", status: 409, title: "", detail: "", current: held });
  const now = entry(body.path, body.typed, body.expected_version + 1);
  server.set(body.path, now);
  return json(200, { entry: now, revision: 3 });
}

beforeEach(() => {
  vi.useFakeTimers();
  [away, server, sent] = [true, new Map(), []];
  onDevice.clear();
  vault.setState({ opened: { member: "ines", key: newKey() }, byPassword: false });
  forgetWords("visit");
  sessionStorage.clear();
  vi.stubGlobal("fetch", answer);
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const open = () => new ChangeQueue("visit", Object.fromEntries(server), () => {});
const settle = () => vi.advanceTimersByTimeAsync(30_000);
const back = async (queue: ChangeQueue) => {
  away = false;
  queue.goOn();
  await settle();
};

async function typed(queue: ChangeQueue, ...each: readonly (readonly [string, string])[]) {
  for (const [path, text] of each) {
    queue.type(path, text, "cm");
    await settle();
  }
}

test("a field typed into again and again without network is one change upon the server’s version", async () => {
  server.set("seat", entry("seat", "46 cm", 4));
  const queue = open();
  await typed(queue, ["seat", "47"], ["surface", "72"], ["seat", "48"]);
  expect(queue.read()).toMatchObject({ pending: 2, here: 2, offline: false });
  expect(queue.cell("seat")).toMatchObject({ typed: "48", version: 4, state: "here" });
  expect(queue.allHere).toBe(true);
  await back(queue);
  expect(
    sent.map((entryChange) => [entryChange.path, entryChange.typed, entryChange.expected_version]),
  ).toEqual([
    ["seat", "48", 4],
    ["surface", "72", 0],
  ]);
  expect(queue.cell("seat")).toMatchObject({ version: 5, state: "kept" });
});

test("consents go one after the other: each takes things with it", async () => {
  const queue = open();
  const consent = "ask.consent.notes";
  await typed(queue, [consent, "yes"], ["reason", "Neck"], [consent, "no"]);
  queue.adopt({ reason: entry("reason", "", 2) }, true); // the consent has taken it along
  expect(queue.cell("reason")).toMatchObject({ typed: "", state: "kept" });
  await back(queue);
  expect(
    sent.map((entryChange) => [entryChange.path, entryChange.typed, entryChange.expected_version]),
  ).toEqual([
    [consent, "yes", 0],
    [consent, "no", 1],
  ]);
});

test("what another has changed meanwhile is asked about once, with the last text", async () => {
  server.set("seat", entry("seat", "46 cm", 4));
  const queue = open();
  await typed(queue, ["seat", "47"], ["seat", "48"]);
  server.set("seat", entry("seat", "50 cm", 5));
  await back(queue);
  expect(sent.length).toBe(1);
  expect(queue.cell("seat")).toMatchObject({ typed: "48", state: "stale" });
  queue.adopt({ seat: entry("seat", "48", 6) }, true); // a late answer of the device
  expect(queue.cell("seat").held?.typed).toBe("50 cm");
});

test("a text the device refuses leaves the one before it on its way", async () => {
  const queue = open();
  await typed(queue, ["seat", "47"], ["seat", "bad"]);
  expect(queue.cell("seat")).toMatchObject({ typed: "bad", state: "refused" });
  await back(queue);
  expect(server.get("seat")?.typed).toBe("47");
  expect(queue.cell("seat")).toMatchObject({ typed: "bad", state: "refused" });
});

test("what several tabs left is one: a later text stands over an earlier one, upon its version", () => {
  const words = (value: number, typed: string, expected: number): Words => ({
    at: value,
    queue: [{ path: "seat", typed, expected }],
    cells: [["seat", { typed }]],
  });
  expect(join([])).toBeNull();
  expect(join([words(1, "46", 4), words(2, "47", -1)])).toEqual({
    at: 2,
    queue: [{ path: "seat", typed: "47", expected: 4 }],
    cells: [["seat", { typed: "47" }]],
  });
});
