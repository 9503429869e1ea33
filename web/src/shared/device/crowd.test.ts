import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { drawnHere, noteCrowd } from "./crowd";

const ID = "0f3cf1a6-6c1f-4e0a-9f54-2f7f1f0f9a11";
const here = vi.hoisted(() => ({ up: true, revision: 5, open: false, status: 200 }));
vi.mock("./answers", () => ({
  canAnswer: () => true,
  isOpenHere: () => here.open,
  isWanted: () => false,
  noteAnswer: async () => undefined,
  start: async () => true,
}));
vi.mock("./program", () => ({
  isUp: () => here.up,
  takeIn: async () => undefined,
  askProgram: async ({ path, query }: { path: string; query: unknown }) => ({
    status: here.status,
    body: { path, query, revision: here.revision },
  }),
}));
vi.mock("./taken", () => ({
  takenVisit: async () => ({ visit: { id: ID, revision: here.revision } }),
}));

const at = (path: string, method = "GET") => new Request(`http://plumb.test${path}`, { method });
const worked = () => at(`/api/visits/${ID}/results?unit=cm`);

/** The server has written this revision, and was too busy to draw it. */
function busy(revision: number): void {
  const headers = { "X-Plumb-Busy": `${revision}` };
  noteCrowd(at(`/api/visits/${ID}/changes/1`, "PUT"), new Response("{}", { headers }));
}

beforeEach(() => {
  vi.useFakeTimers();
  Object.assign(here, { up: true, revision: 5, open: false, status: 200 });
});
afterEach(() => {
  vi.advanceTimersByTime(60_000);
  vi.useRealTimers();
});

test("what the server was too busy to draw is drawn here, for a while", async () => {
  expect(await drawnHere(worked())).toBeNull();
  busy(5);
  const drawn = await drawnHere(worked());
  expect(await drawn?.json()).toEqual({
    path: `visits/${ID}/results`,
    query: { unit: "cm" },
    revision: 5,
  });
  expect(await drawnHere(at(`/api/visits/${ID}/report`))).toBeNull();
  vi.advanceTimersByTime(10_001);
  expect(await drawnHere(worked())).toBeNull();
});

test.each([
  ["it is older than what the server has", { revision: 4 }],
  ["the program is not here yet", { up: false }],
  ["the visit was gone on with without network", { open: true }],
  ["the program refuses", { status: 404 }],
])("the server is asked where %s", async (_, so) => {
  busy(5);
  Object.assign(here, so);
  expect(await drawnHere(worked())).toBeNull();
});
