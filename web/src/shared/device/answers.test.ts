import { beforeEach, expect, test, vi } from "vitest";
import { OTHER, openDevice, VISIT } from "@/test/device";
import {
  answerHere,
  answersHere,
  BY_DEVICE,
  canAnswer,
  endSitting,
  isOpenHere,
  isWanted,
  noteAnswer,
  noteSession,
} from "./answers";
import { installed } from "./installed";
import { network } from "./network";
import { outbox } from "./outbox";
import type { Asked, Said } from "./program";
import { photoName } from "./taken";
import { keepSealed, kept, keptBytes, vault } from "./vault";

/** The program stands in a worker; here it notes what it is asked and answers what a test puts there. */
const program = vi.hoisted(() => ({
  asked: [] as Asked[],
  taken: [] as unknown[],
  says: {} as Record<string, Said | ((asked: Asked) => Said)>,
}));
vi.mock("./program", () => ({
  begin: async () => undefined,
  end: () => undefined,
  isUp: () => true,
  takeIn: async (visit: unknown) => {
    program.taken.push(visit);
  },
  askProgram: async (asked: Asked): Promise<Said> => {
    program.asked.push(asked);
    const said = program.says[`${asked.method} ${asked.path}`];
    if (!said)
      return { status: 404, body: { type: "not-found", detail: "There is no such thing." } };
    return typeof said === "function" ? said(asked) : said;
  },
}));

const at = (path: string, method = "GET", body?: unknown) =>
  new Request(new URL(`/api/${path}`, location.origin), {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
const json = async (answer: Response | null) =>
  (await answer?.json()) as { type?: string; detail?: string };

beforeEach(async () => {
  await openDevice();
  endSitting();
  installed.setState({ ready: true });
  network.setState({ away: true });
  Object.assign(program, { asked: [], taken: [], says: {} });
  await keepSealed("answer:/api/device", { member: "Ines" });
  await keepSealed(`visit:${VISIT}`, {
    visit: { id: VISIT, revision: 4 },
    entries: [{ path: "look.found.seat", version: 3 }],
    photos: [],
  });
});

test("only a page whose files are here, with somebody's things open, goes on alone", () => {
  expect([canAnswer(), answersHere()]).toEqual([true, true]);
  network.setState({ away: false });
  expect(answersHere()).toBe(false);
  installed.setState({ ready: false });
  expect(canAnswer()).toBe(false);
  installed.setState({ ready: true });
  vault.setState({ opened: null });
  expect(canAnswer()).toBe(false);
});

test("lists are answered as the server last gave them, and what is not kept is not made up", async () => {
  const answer = Response.json([{ id: "client-1" }]);
  expect(isWanted(at("clients"), answer)).toBe(true);
  expect(isWanted(at("clients?words=od"), answer)).toBe(false); // a search is no list
  expect(isWanted(at("clients", "POST", {}), answer)).toBe(false);
  expect(isWanted(at("clients"), new Response(null, { status: 500 }))).toBe(false);
  await noteAnswer(at("clients"), answer);
  const here = await answerHere(at("clients"));
  expect(here?.headers.get(BY_DEVICE)).toBe("1");
  expect(await here?.json()).toEqual([{ id: "client-1" }]);
  expect(await answerHere(at("shelf"))).toBeNull();
});

test("who is here is kept without what a session is worth", async () => {
  await noteSession({ name: "Ines", csrf: "secret", device_key: "abc" } as never);
  expect(await json(await answerHere(at("session")))).toEqual({
    name: "Ines",
    csrf: "",
    device_key: "",
    by_device: true,
  });
});

test("a client's own page is the server's alone, and so is what lies elsewhere", async () => {
  expect(await answerHere(at("own/page"))).toBeNull();
  expect(await answerHere(new Request(new URL("/fonts/x.woff2", location.origin)))).toBeNull();
});

test("nothing is answered before the practice's things were ever here", async () => {
  await openDevice();
  expect(await answerHere(at(`visits/${VISIT}`))).toBeNull();
});

test("a visit that was taken along is opened once, and everything of it asked of the program", async () => {
  program.says[`GET visits/${VISIT}/results`] = { status: 200, body: { rows: [] } };
  const first = await answerHere(at(`visits/${VISIT}/results?unit=cm`));
  await answerHere(at(`visits/${VISIT}/results?unit=in`));
  expect(await json(first)).toEqual({ rows: [], by_device: true });
  expect(program.taken.length).toBe(1);
  expect(program.asked.map(({ query }) => query)).toEqual([{ unit: "cm" }, { unit: "in" }]);
  expect(isOpenHere(VISIT)).toBe(true);
});

test("a visit that is not here says so, and is asked for anew next time", async () => {
  const answer = await answerHere(at(`visits/${OTHER}/results`));
  expect(answer?.status).toBe(503);
  expect((await json(answer)).type).toBe("not-here");
  expect(isOpenHere(OTHER)).toBe(false);
});

test("a change rests on the version the device holds, and the next one upon that", async () => {
  const path = `visits/${VISIT}/changes/1`;
  program.says[`PUT ${path}`] = ({ body }) => {
    const { path, expected_version } = body as { path: string; expected_version: number };
    return { status: 200, body: { entry: { path, version: expected_version + 1 }, revision: 5 } };
  };
  const typed = { path: "look.found.seat", typed: "44", unit: "cm", expected_version: 99 };
  await answerHere(at(path, "PUT", typed));
  await answerHere(at(path, "PUT", typed));
  const rested = program.asked.map(({ body }) => (body as typeof typed).expected_version);
  expect(rested).toEqual([3, 4]);
});

test("a consent taken back changes the versions of what it erased", async () => {
  const change = (path: string) => ({ path, typed: "withdrawn", unit: "cm", expected_version: 0 });
  program.says[`PUT visits/${VISIT}/changes/1`] = ({ body }) => ({
    status: 200,
    body: { entry: { path: (body as { path: string }).path, version: 1 }, revision: 5 },
  });
  program.says[`GET visits/${VISIT}`] = {
    status: 200,
    body: { entries: { "look.found.seat": { path: "look.found.seat", version: 8 } } },
  };
  await answerHere(at(`visits/${VISIT}/changes/1`, "PUT", change("ask.consent.notes")));
  await answerHere(at(`visits/${VISIT}/changes/1`, "PUT", change("look.found.seat")));
  const last = program.asked.at(-1)?.body as { expected_version: number };
  expect(last.expected_version).toBe(8);
});

test("a visit begun here is on Today, waits to be sent, and is opened again after a reload", async () => {
  await keepSealed("answer:/api/clients", [{ id: "client-1", name: "Odile Marrick" }]);
  await keepSealed("answer:/api/visits", [{ id: OTHER }]);
  await keepSealed("answer:/api/session", { name: "Ines Calloway" });
  const client = { id: "client-1", name: "Odile Marrick", work: "clerk" };
  program.says["POST visits"] = {
    status: 201,
    body: { id: "new", client, started_on: "2026-11-25", entries: {} },
  };
  const answer = await answerHere(at("visits", "POST", { id: "new", client_id: "client-1" }));
  expect(answer?.status).toBe(201);
  expect(program.asked[0]?.client).toEqual({ id: "client-1", name: "Odile Marrick" });
  const list =
    (await kept<{ id: string; practitioner?: string; state?: string }[]>("answer:/api/visits")) ??
    [];
  expect(list.map(({ id }) => id)).toEqual(["new", OTHER]);
  expect(list[0]).toMatchObject({ practitioner: "Ines Calloway", state: "new" });
  expect(outbox.getState().count).toBe(1);
});

test("a client written down here is in the list, and one refused is not", async () => {
  program.says["POST clients"] = { status: 201, body: { id: "c", name: "Nadia Orrin" } };
  await answerHere(at("clients", "POST", { id: "c", name: "Nadia Orrin" }));
  expect((await kept<{ id: string }[]>("answer:/api/clients"))?.map(({ id }) => id)).toEqual(["c"]);
  program.says["POST clients"] = { status: 422, body: { detail: "Name: missing." } };
  const refused = await answerHere(at("clients", "POST", { id: "d" }));
  expect(await json(refused)).toEqual({ detail: "Name: missing." });
  expect((await kept<unknown[]>("answer:/api/clients"))?.length).toBe(1);
});

test("a photograph is kept as it is, told to the program in the size the server makes of it", async () => {
  vi.stubGlobal("createImageBitmap", async () => ({ width: 5120, height: 2560 }));
  program.says[`PUT visits/${VISIT}/photos/${OTHER}`] = { status: 200, body: { id: OTHER } };
  const picture = new Uint8Array([1, 2, 3]);
  const request = new Request(new URL(`/api/visits/${VISIT}/photos/${OTHER}`, location.origin), {
    method: "PUT",
    body: picture,
    headers: { "Content-Type": "image/png" },
  });
  expect((await answerHere(request))?.status).toBe(200);
  expect(program.asked[0]?.body).toMatchObject({ width: 2560, height: 1280, size: 3 });
  expect(await keptBytes(photoName(OTHER))).toEqual(picture);
  expect(outbox.getState().count).toBe(1);
});

test("what is no picture is refused in words, and not kept", async () => {
  vi.stubGlobal("createImageBitmap", async () => {
    throw new Error("no picture");
  });
  const path = `visits/${VISIT}/photos/${OTHER}`;
  const answer = await answerHere(at(path, "PUT", "words"));
  expect(answer?.status).toBe(422);
  expect((await json(answer)).detail).toContain("JPEG, PNG or WebP");
  expect(program.asked).toEqual([]);
});
