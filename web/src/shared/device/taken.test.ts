import { beforeEach, expect, test } from "vitest";
import { OTHER, openDevice, serve, VISIT } from "@/test/device";
import type { Schemas } from "../api/client";
import { putOut } from "./outbox";
import {
  isTaken,
  keepAsItStands,
  letGo,
  noteVisit,
  patched,
  photoName,
  takeAlong,
  takenVisit,
} from "./taken";
import { closeVault, keepSealed, keptBytes, keptNames } from "./vault";

const entry = (path: string, version: number) => ({ path, version }) as Schemas["Entry"];
const taken = (id: string, revision: number, photos: readonly string[] = []) => ({
  visit: { id, revision, place: "kept as it came" },
  entries: [entry("look.found.seat", 1)],
  photos: photos.map((photo) => ({ id: photo, sha256: "0a" })),
});
const visit = (revision: number, photos: readonly string[] = []) =>
  ({
    id: VISIT,
    revision,
    entries: { "look.found.seat": entry("look.found.seat", 2) },
    photos: photos.map((id) => ({ id })),
  }) as unknown as Schemas["OpenVisit"];

beforeEach(() => openDevice());

test("a visit is taken along with its photographs, each of which is fetched once", async () => {
  const asked = serve({
    [`GET /api/visits/${VISIT}/device`]: { body: taken(VISIT, 4, ["p"]) },
    "GET /api/photos/p.jpg": () => new Response(new Uint8Array([1, 2])),
  });
  await takeAlong(VISIT, "4");
  expect(await isTaken(VISIT)).toBe(true);
  expect((await takenVisit(VISIT))?.visit.revision).toBe(4);
  expect(await keptBytes(photoName("p"))).toEqual(new Uint8Array([1, 2]));
  await takeAlong(VISIT, "4"); // here as it stands
  await takeAlong(VISIT, "5");
  expect(asked).toEqual([
    `GET /api/visits/${VISIT}/device`,
    "GET /api/photos/p.jpg",
    `GET /api/visits/${VISIT}/device`,
  ]);
});

test("nothing is taken along where nobody is here, or the server refuses", async () => {
  const asked = serve({ [`GET /api/visits/${VISIT}/device`]: { status: 403, body: {} } });
  await takeAlong(VISIT, "1");
  expect(await isTaken(VISIT)).toBe(false);
  closeVault();
  await takeAlong(VISIT, "2");
  expect(asked.length).toBe(1);
});

test("a picture that was erased on the server goes from the device, unless one waits to be sent", async () => {
  await keepSealed(photoName("erased"), new Uint8Array([1]), VISIT);
  await keepSealed(photoName("another"), new Uint8Array([2]), OTHER);
  serve({ [`GET /api/visits/${VISIT}/device`]: { body: taken(VISIT, 4) } });
  await putOut({ kind: "photo", of: VISIT, method: "PUT", path: "", photo: "new" });
  await takeAlong(VISIT, "");
  expect(await keptBytes(photoName("erased"))).not.toBeNull();
  const { drop } = await import("./vault");
  await drop(...(await keptNames("out:")).map(({ name }) => name));
  await takeAlong(VISIT, "");
  expect(await keptBytes(photoName("erased"))).toBeNull();
  expect(await keptBytes(photoName("another"))).not.toBeNull();
});

test("what the page has heard since is laid over it, and written down when the visit is left open", async () => {
  await keepSealed(`visit:${VISIT}`, taken(VISIT, 4, ["p"]));
  noteVisit(visit(6, ["p", "q"]));
  const now = await takenVisit(VISIT);
  expect(now?.visit).toEqual({ id: VISIT, revision: 6, place: "kept as it came" });
  expect(now?.entries.map(({ version }) => version)).toEqual([2]);
  expect(now?.photos).toEqual([
    { id: "p", sha256: "0a" },
    { id: "q", visit_id: VISIT, fov_deg: null, sha256: "" },
  ]);
  await keepAsItStands(VISIT);
  closeVault(); // and with it everything the page remembers
});

test("an older word of the page changes nothing", async () => {
  await keepSealed(`visit:${VISIT}`, taken(VISIT, 4));
  noteVisit(visit(3));
  expect((await takenVisit(VISIT))?.visit.revision).toBe(4);
  expect(patched(taken(VISIT, 4), visit(9)).visit.revision).toBe(9);
});

test("visits that are gone from the server are let go, with their pictures", async () => {
  await keepSealed(`visit:${VISIT}`, taken(VISIT, 1));
  await keepSealed(`visit:${OTHER}`, taken(OTHER, 1));
  await keepSealed(photoName("p"), new Uint8Array([1]), OTHER);
  await letGo(new Set([VISIT]), new Set());
  expect((await keptNames("visit:")).map(({ name }) => name)).toEqual([`visit:${VISIT}`]);
  expect(await keptNames("photo:")).toEqual([]);
});

test("beyond forty only those that are wanted stay", async () => {
  const ids = Array.from({ length: 41 }, (_, number) => `visit-${number}`);
  for (const id of ids) await keepSealed(`visit:${id}`, taken(id, 1));
  await letGo(new Set(ids), new Set(["visit-3", "visit-7"]));
  expect((await keptNames("visit:")).map(({ name }) => name)).toEqual([
    "visit:visit-3",
    "visit:visit-7",
  ]);
});
