import { t } from "@lingui/core/macro";
import type { components } from "../api/schema";
import { installed } from "./installed";
import { network } from "./network";
import { putOut, replayed } from "./outbox";
import { askProgram, begin, end, type Said, takeIn } from "./program";
import { photoName, takenVisit } from "./taken";
import { keepSealed, kept, vault, whenSomebodyElse } from "./vault";
import { loadWords, recallWords } from "./words";

type Schemas = components["schemas"];

/**
 * Answers without network: lists as the server last gave them, visits by the program's own services. What
 * is changed is kept here and sent later; what only the server can do says so.
 */

/** Answers that are kept as they come: what every visit and the places around it need. */
const KEPT = new Set([
  "/api/fields",
  "/api/clients",
  "/api/visits",
  "/api/shelf",
  "/api/policies",
  "/api/measuring/lists",
  "/api/measuring/tables",
  "/api/phrases",
  "/api/device",
]);
export const ME = "answer:/api/session";
/** Answers that were got by the device bear this. */
export const BY_DEVICE = "X-Plumb-Device";

const loaded = new Map<string, Promise<boolean>>();
/** The version of each field as the device holds it, by visit and path. */
const versions = new Map<string, number>();

/** Have the server's answers here that are wanted without it, whether or not the page has asked for them. */
export async function fetchKept(send: (request: Request) => Promise<Response>): Promise<void> {
  for (const pathname of KEPT) await send(new Request(new URL(pathname, location.origin)));
}

/** Whether this page can go on without network: its files are here, and somebody's things are open. */
export function canAnswer(): boolean {
  return vault.getState().opened !== null && installed.getState().ready;
}

/** Whether an answer of the server's will be wanted without it. */
export function isWanted(request: Request, answer: Response): boolean {
  if (request.method !== "GET" || !answer.ok || !canAnswer()) return false;
  const { pathname, search } = new URL(request.url);
  return !search && KEPT.has(pathname);
}

export async function noteAnswer(request: Request, answer: Response): Promise<void> {
  const { pathname } = new URL(request.url);
  await keepSealed(`answer:${pathname}`, await answer.json());
}

/** Keep who is here, without what a session is worth. */
export async function noteSession(me: Schemas["Me"]): Promise<void> {
  await keepSealed(ME, { ...me, csrf: "", device_key: "" });
}

whenSomebodyElse(() => endSitting());

/** Everything is on the server again, or somebody else is here: nothing of this sitting goes on. */
export function endSitting(): void {
  loaded.clear();
  versions.clear();
  end();
}

/** Answer a request here; null for what no device answers. */
export async function answerHere(request: Request): Promise<Response | null> {
  const { pathname, searchParams } = new URL(request.url);
  if (!pathname.startsWith("/api/") || pathname.startsWith("/api/own/")) return null;
  const isKept = KEPT.has(pathname) || pathname === "/api/session";
  if (request.method === "GET" && isKept) return listed(pathname);
  const path = pathname.slice("/api/".length);
  const query = Object.fromEntries(searchParams);
  if (!(await start())) return null;
  const visit = /^visits\/([0-9a-f-]{36})/.exec(path)?.[1];
  const isNew = request.method === "POST" && path === "visits";
  if (visit && !(await open(visit))) return notHere();
  const [, photo] = /\/photos\/([0-9a-f-]{36})$/.exec(path) ?? [];
  if (request.method === "PUT" && photo) return addPhoto(request, path, photo);
  const body = request.method === "GET" ? undefined : await jsonOf(request);
  if (isNew) return beginVisit(body as Schemas["NewVisit"]);
  const change = /^visits\/([^/]+)\/changes\//.test(path) ? (body as Schemas["EntryChange"]) : null;
  if (change && visit) return written(await changed(visit, path, query, change));
  const said = await askProgram({ method: request.method, path, query, body });
  if (said.status < 300 && request.method !== "GET")
    await madeHere(request.method, path, body, said);
  return written(said);
}

const notHere = () =>
  refusal(
    "not-here",
    t`This visit is not on this device. It opens when you are back online; today’s visits and those opened before are saved here.`,
  );

/** Python comes as soon as it may be wanted: the first visit opens that much sooner. */
network.subscribe(({ away }) => {
  if (away && canAnswer()) void start().catch(() => undefined);
});

/** Have the program here, with what a member works with; false where nothing of theirs is kept. */
export async function start(): Promise<boolean> {
  const belongings = await kept<unknown>("answer:/api/device");
  if (!belongings) return false;
  await begin(belongings);
  return true;
}

/** Whether a visit was gone on with here: what the server holds of it is not all. */
export const isOpenHere = (visitId: string) => loaded.has(visitId);

/** Open a visit here: as it stood on the server last, with what was done since. */
function open(visitId: string): Promise<boolean> {
  const held = loaded.get(visitId);
  if (held) return held;
  const opening = (async () => {
    const taken = await takenVisit(visitId);
    if (taken) {
      await takeIn(taken);
      for (const { path, version } of taken.entries) versions.set(`${visitId} ${path}`, version);
    } else if (!(await replayed(visitId, "visit", askProgram))) return false;
    await loadWords(visitId);
    const words = recallWords(visitId) as { queue?: readonly Waiting[] } | null;
    for (const waiting of words?.queue ?? []) {
      if (!waiting.here) continue;
      const path = `visits/${visitId}/changes/${waiting.id}`;
      await changed(visitId, path, {}, { ...waiting, expected_version: 0 });
    }
    await replayed(visitId, "photo", askProgram);
    return true;
  })();
  loaded.set(visitId, opening);
  void opening.then((there) => there || loaded.delete(visitId)).catch(() => loaded.delete(visitId));
  return opening;
}

type Waiting = {
  id: string;
  path: string;
  typed: string;
  unit: "cm" | "mm" | "in";
  here?: boolean;
};

/** A change upon the version that the device holds: nobody else changes anything here. */
async function changed(
  visitId: string,
  path: string,
  query: Record<string, string>,
  { path: field, typed, unit }: Schemas["EntryChange"],
): Promise<Said> {
  const key = `${visitId} ${field}`;
  const body = { path: field, typed, unit, expected_version: versions.get(key) ?? 0 };
  const said = await askProgram({ method: "PUT", path, query, body });
  if (said.status === 200) {
    const { entry } = said.body as Schemas["ChangeAnswer"];
    versions.set(key, entry.version);
    if (field.startsWith("ask.consent.")) await versionsAnew(visitId);
  }
  return said;
}

/** A consent taken back has erased things, which counts as a change of each. */
async function versionsAnew(visitId: string): Promise<void> {
  const { body } = await askProgram({ method: "GET", path: `visits/${visitId}` });
  const { entries } = body as Schemas["OpenVisit"];
  for (const entry of Object.values(entries))
    versions.set(`${visitId} ${entry.path}`, entry.version);
}

async function beginVisit(body: Schemas["NewVisit"]): Promise<Response> {
  const every = (await kept<Schemas["ClientView"][]>("answer:/api/clients")) ?? [];
  const client = every.find((client) => client.id === body.client_id);
  if (body.from_visit && !(await open(body.from_visit))) return notHere();
  const said = await askProgram({ method: "POST", path: "visits", body, client });
  if (said.status !== 201) return written(said);
  const visit = said.body as Schemas["OpenVisit"];
  for (const entry of Object.values(visit.entries))
    versions.set(`${visit.id} ${entry.path}`, entry.version);
  loaded.set(visit.id, Promise.resolve(true));
  await putOut({ kind: "visit", of: visit.id, method: "POST", path: "visits", body, client });
  const me = await kept<Schemas["Me"]>(ME);
  const line: Schemas["VisitLineView"] = {
    id: visit.id,
    client_id: visit.client.id,
    client: visit.client.name,
    work: visit.client.work,
    practitioner: me?.name ?? "",
    started_on: visit.started_on,
    changed_at: null,
    follow_up: null,
    state: "new",
    sign: null,
    call_back: null,
    shared_report: null,
    step: null,
    settles_at: null,
    worse: [],
  };
  await addTo("/api/visits", line);
  return written(said);
}

async function addTo<T extends { id: string }>(list: string, t: T): Promise<void> {
  const every = (await kept<T[]>(`answer:${list}`)) ?? [];
  await keepSealed(`answer:${list}`, [t, ...every.filter((held) => held.id !== t.id)]);
}

/** What was done here and is done on the server later. */
async function madeHere(method: string, path: string, body: unknown, said: Said): Promise<void> {
  if (method === "POST" && path === "clients") {
    await putOut({ kind: "client", of: "", method, path, body });
    await addTo("/api/clients", said.body as Schemas["ClientView"]);
  } else if (method === "DELETE") await putOut({ kind: "drop", of: "", method, path });
}

/** The longest side of a kept photograph, px; as the server makes it. */
const LONGEST_SIDE = 2560;

async function addPhoto(request: Request, path: string, photoId: string): Promise<Response> {
  const picture = new Uint8Array(await request.arrayBuffer());
  const type = request.headers.get("Content-Type") ?? "image/jpeg";
  let size: { width: number; height: number };
  try {
    const { width, height } = await createImageBitmap(new Blob([picture], { type }));
    const by = Math.min(1, LONGEST_SIDE / Math.max(width, height));
    size = { width: Math.round(width * by), height: Math.round(height * by) };
  } catch {
    return refusal("bad-picture", t`This file isn’t a JPEG, PNG or WebP photo.`, 422);
  }
  const digest = new Uint8Array(await crypto.subtle.digest("SHA-256", picture));
  const sha256 = [...digest].map((value) => value.toString(16).padStart(2, "0")).join("");
  const body = { ...size, size: picture.length, sha256 };
  const said = await askProgram({ method: "PUT", path, body });
  if (said.status !== 200) return written(said);
  const visit = path.split("/")[1] ?? "";
  const stored = await keepSealed(photoName(photoId), picture, visit);
  if (!stored) return refusal("no-room", t`There is no space on this device for the photo.`, 507);
  await putOut({ kind: "photo", of: visit, method: "PUT", path, body, photo: photoId, type });
  return written(said);
}

async function listed(pathname: string): Promise<Response | null> {
  const body = await kept<unknown>(`answer:${pathname}`);
  return body === null ? null : written({ status: 200, body });
}

async function jsonOf(request: Request): Promise<unknown> {
  const text = await request.text();
  return text ? JSON.parse(text) : undefined;
}

function written({ status, body }: Said): Response {
  const marked = body && typeof body === "object" && !Array.isArray(body);
  const said = marked && status < 300 ? { ...body, by_device: true } : body;
  const headers = { "Content-Type": "application/json", [BY_DEVICE]: "1" };
  return new Response(status === 204 ? null : JSON.stringify(said), { status, headers });
}

function refusal(type: string, detail: string, status = 503): Response {
  return written({ status, body: { type, title: type, status, detail } });
}

/** Whether the server is out of reach and this device answers. */
export const answersHere = () => network.getState().away && canAnswer();
