import { QueryClient } from "@tanstack/react-query";
import { beforeEach, expect, test, vi } from "vitest";
import { network } from "@/shared/device/network";
import { outbox, putOut } from "@/shared/device/outbox";
import { keepSealed, keptNames } from "@/shared/device/vault";
import { countWaiting } from "@/shared/device/words";
import { openDevice, serve, VISIT } from "@/test/device";
import { merge } from "./merge";
import { leave, liveQueues, queueOf } from "./queues";
import { UndoSteps } from "./undo-steps";

const QUEUE = [
  { id: "change-1", path: "look.found.seat", typed: "44", unit: "cm", expected: 0, here: true },
];
/** The field as the device took it in, upon nothing of the server's. */
const CELLS = [
  ["look.found.seat", { typed: "44", version: 0, held: null, state: "here", problem: null }],
];
const aVisit = { id: VISIT, revision: 1, entries: {}, reports: [], photos: [], consents: [] };
const entry = (typed: string, version = 1) => ({
  path: "look.found.seat",
  typed,
  value: 440,
  version,
  changed_by: "Tom Averly",
  changed_at: "2026-11-25T09:00:00Z",
  self_reported: false,
});
const taken = { body: { entry: entry("44"), revision: 2, worked: null } };
const CHANGE = `PUT /api/visits/${VISIT}/changes/change-1`;

beforeEach(async () => {
  await openDevice();
  network.setState({ away: false });
  outbox.setState({ count: 0, refused: [] });
  await countWaiting();
});

test("where nothing was done alone, nothing is asked of the server", async () => {
  const asked = serve({});
  await merge(new QueryClient(), { wasAway: false });
  expect(asked).toEqual([]);
});

test("a visit begun alone is sent before what was typed in it, and its pictures after", async () => {
  await keepSealed(`queue:${VISIT}:closed`, { at: 1, queue: QUEUE, cells: CELLS }, "1:1");
  await keepSealed("photo:p", new Uint8Array([1]), VISIT);
  await putOut({
    kind: "photo",
    of: VISIT,
    method: "PUT",
    path: `visits/${VISIT}/photos/p`,
    photo: "p",
  });
  await putOut({ kind: "visit", of: VISIT, method: "POST", path: "visits", body: { id: VISIT } });
  const asked = serve({
    "POST /api/visits": { status: 201, body: aVisit },
    [`GET /api/visits/${VISIT}`]: { body: aVisit },
    [CHANGE]: taken,
    [`PUT /api/visits/${VISIT}/photos/p`]: { body: {} },
  });
  const queries = new QueryClient();
  const settled = vi.spyOn(queries, "invalidateQueries");
  await merge(queries, { wasAway: true });
  expect(asked).toEqual([
    "POST /api/visits",
    `GET /api/visits/${VISIT}`,
    CHANGE,
    `PUT /api/visits/${VISIT}/photos/p`,
  ]);
  expect(outbox.getState().count).toBe(0);
  expect(settled).toHaveBeenCalled(); // and everything on the page is asked of the server
  await expect.poll(() => keptNames("queue:")).toEqual([]);
  expect(liveQueues().map(({ open }) => open.length)).toEqual([0]);
});

test("what somebody else changed meanwhile waits for its answer, and keeps both texts", async () => {
  await keepSealed(`queue:${VISIT}:closed`, { at: 1, queue: QUEUE, cells: CELLS }, "1:1");
  for (const queue of liveQueues()) leave(queue);
  serve({
    [`GET /api/visits/${VISIT}`]: { body: aVisit },
    [CHANGE]: {
      status: 409,
      body: {
        type: "stale",
        title: "",
        status: 409,
        detail: "Changed meanwhile.",
        current: entry("46", 5),
      },
    },
  });
  await merge(new QueryClient(), { wasAway: true });
  const [queue] = liveQueues();
  const cell = queue?.read().cells.get("look.found.seat");
  expect(cell?.state).toBe("stale");
  expect([cell?.typed, cell?.held?.typed]).toEqual(["44", "46"]);
  expect(queue?.open.length).toBe(1);
});

test("a server in trouble leaves the words where they are, and the next merge sends them", async () => {
  await keepSealed(`queue:${VISIT}:closed`, { at: 1, queue: QUEUE, cells: CELLS }, "1:1");
  serve({ [`GET /api/visits/${VISIT}`]: { status: 500, body: { detail: "failed" } } });
  await merge(new QueryClient(), { wasAway: true });
  expect((await keptNames("queue:")).length).toBe(1);
});

test("two merges at once are one after the other", async () => {
  await putOut({ kind: "client", of: "", method: "POST", path: "clients", body: {} });
  let atOnce = 0;
  let most = 0;
  const asked = serve({
    "POST /api/clients": async () => {
      atOnce += 1;
      most = Math.max(most, atOnce);
      await new Promise((resolve) => setTimeout(resolve, 5));
      atOnce -= 1;
      return { status: 201, body: {} };
    },
  });
  const queries = new QueryClient();
  await Promise.all([merge(queries, { wasAway: true }), merge(queries, { wasAway: true })]);
  expect([asked.length, most]).toEqual([1, 1]);
});

test("there is one queue for a visit, until it is left with nothing waiting", () => {
  const queries = new QueryClient();
  const other = { ...aVisit, id: "another" } as never;
  const queue = queueOf(other, queries);
  expect(queueOf(other, queries)).toBe(queue);
  leave(queue);
  expect(liveQueues()).not.toContain(queue);
  expect(queueOf(other, queries)).not.toBe(queue);
});

test("a step is taken back as a whole, last field first, and forth again once", () => {
  const steps = new UndoSteps();
  const first = steps.next();
  steps.note("seat", "", first);
  steps.note("seat", "4", first); // keystrokes of one edit
  const second = steps.next();
  steps.note("seat", "44", second);
  steps.note("desk", "70", second);
  const now: Record<string, string> = { seat: "46", desk: "72" };
  expect(steps.back((path) => now[path] ?? "").map(({ path, typed }) => [path, typed])).toEqual([
    ["desk", "70"],
    ["seat", "44"],
  ]);
  expect(steps.forth()).toEqual([
    ["seat", "46"],
    ["desk", "72"],
  ]);
  expect(steps.forth()).toEqual([]);
  expect(steps.back(() => "").map(({ typed }) => typed)).toEqual([""]);
  expect(steps.back(() => "")).toEqual([]);
});

test("what somebody else changed is not taken back", () => {
  const steps = new UndoSteps();
  steps.note("seat", "44", steps.next());
  steps.note("desk", "70", steps.next());
  steps.forget("desk");
  expect(steps.back(() => "").map(({ path }) => path)).toEqual(["seat"]);
  steps.note("seat", "44", steps.next());
  steps.forget();
  expect(steps.back(() => "")).toEqual([]);
});
