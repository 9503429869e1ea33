import { beforeEach, expect, test, vi } from "vitest";
import { OTHER, openDevice, serve, VISIT } from "@/test/device";
import { countOut, letGoRefused, type Out, outbox, putOut, replayed, sendOut } from "./outbox";
import { photoName } from "./taken";
import { keepSealed } from "./vault";

const aClient: Out = { kind: "client", of: "", method: "POST", path: "clients", body: { id: "c" } };
const aVisit: Out = {
  kind: "visit",
  of: VISIT,
  method: "POST",
  path: "visits",
  body: { id: VISIT },
};
const aPhoto: Out = {
  kind: "photo",
  of: VISIT,
  method: "PUT",
  path: `visits/${VISIT}/photos/p`,
  photo: "p",
  type: "image/png",
};
const send = (request: Request) => fetch(request);

beforeEach(async () => {
  await openDevice();
  outbox.setState({ count: 0, refused: [] });
});

test("what visits rest on is sent first, in the order it was done, and pictures last", async () => {
  await keepSealed(photoName("p"), new Uint8Array([7, 7]), VISIT);
  for (const out of [aPhoto, aClient, aVisit]) await putOut(out);
  expect(outbox.getState().count).toBe(3);
  const sent: unknown[] = [];
  const asked = serve({
    "POST /api/clients": async (request) => {
      sent.push(await request.json());
      return { status: 201, body: {} };
    },
    "POST /api/visits": { status: 201, body: {} },
    [`PUT /api/visits/${VISIT}/photos/p`]: async (request) => {
      sent.push([
        request.headers.get("content-type"),
        [...new Uint8Array(await request.arrayBuffer())],
      ]);
      return { body: {} };
    },
  });
  await sendOut(true, send);
  expect(asked).toEqual(["POST /api/clients", "POST /api/visits"]);
  expect(outbox.getState().count).toBe(1);
  await sendOut(false, send);
  expect(asked.at(-1)).toBe(`PUT /api/visits/${VISIT}/photos/p`);
  expect(sent).toEqual([{ id: "c" }, ["image/png", [7, 7]]]);
  expect(outbox.getState()).toEqual({ count: 0, refused: [] });
});

test.each([500, 503, 401, 429])(
  "after a %i everything that follows waits as well",
  async (status) => {
    await putOut(aClient);
    await putOut(aVisit);
    const asked = serve({ "POST /api/clients": { status, body: {} } });
    await sendOut(true, send);
    expect(asked).toEqual(["POST /api/clients"]);
    expect(outbox.getState().count).toBe(2);
  },
);

test("what the server refuses stays to be seen, with its reason, until somebody lets it go", async () => {
  await putOut(aClient);
  await putOut(aVisit);
  serve({
    "POST /api/clients": { status: 422, body: { detail: "Name: at most 200 letters." } },
    "POST /api/visits": new Response("not JSON", { status: 403 }),
  });
  await sendOut(true, send);
  await sendOut(true, send); // asked again, and told of once
  const { refused, count } = outbox.getState();
  expect(refused.map(({ says }) => says)).toEqual([
    "Name: at most 200 letters.",
    "Server error 403.",
  ]);
  expect(count).toBe(2);
  await letGoRefused(refused[0]?.name ?? "");
  expect(outbox.getState().refused.map(({ what }) => what.kind)).toEqual(["visit"]);
  expect(outbox.getState().count).toBe(1);
});

test("what is gone from the server has nothing left to be done to it", async () => {
  await putOut({ kind: "drop", of: "", method: "DELETE", path: `visits/${OTHER}` });
  serve({ [`DELETE /api/visits/${OTHER}`]: { status: 404, body: {} } });
  await sendOut(false, send);
  expect(outbox.getState().count).toBe(0);
});

test("after a reload it is done again on the device, and counted", async () => {
  await putOut(aVisit);
  await putOut(aPhoto);
  await putOut({ ...aVisit, of: OTHER });
  outbox.setState({ count: 0 });
  await countOut();
  expect(outbox.getState().count).toBe(3);
  const ask = vi.fn(async () => ({ status: 201, body: {} }));
  expect(await replayed(VISIT, "visit", ask)).toBe(true);
  expect(ask).toHaveBeenCalledExactlyOnceWith({
    method: "POST",
    path: "visits",
    body: { id: VISIT },
    client: undefined,
  });
  expect(await replayed("nobody", "visit", ask)).toBe(false);
});
