import { canAnswer, isOpenHere, isWanted, noteAnswer, start } from "./answers";
import { askProgram, isUp, takeIn } from "./program";
import { takenVisit } from "./taken";

/**
 * A server that many draw on at once says so, with the revision it has written. For a while this device then draws
 * what it holds itself, by the same program, and the server is left to what is typed.
 */
const BUSY = "X-Plumb-Busy";
/** So long after it said so a server is spared, ms. House value. */
const SPARED_MS = 10_000;

const RESULTS = /^\/api\/visits\/([0-9a-f-]{36})\/results$/;
const CHANGE = /^\/api\/visits\/([0-9a-f-]{36})\/changes\//;
let busyUntil = 0;
let bringing = false;
/** What the server has written of each visit, by the last it said of it. */
const written = new Map<string, number>();

/** Hear whether the server is busy; Python comes meanwhile. */
export function noteCrowd(request: Request, answer: Response): void {
  const busy = answer.headers.get(BUSY);
  const visit = busy && CHANGE.exec(new URL(request.url).pathname)?.[1];
  if (!visit) return;
  written.set(visit, Number(busy));
  busyUntil = Date.now() + SPARED_MS;
  void bringProgram().catch(() => undefined);
}

/** Have the program here, with what the practice works with now. */
async function bringProgram(): Promise<void> {
  if (!canAnswer() || isUp() || bringing) return;
  bringing = true;
  try {
    const request = new Request(new URL("/api/device", location.origin));
    const answer = await globalThis.fetch(request);
    if (isWanted(request, answer)) await noteAnswer(request, answer);
    await start();
  } finally {
    bringing = false;
  }
}

/** A visit worked out and drawn here while the server is busy; null where the server has to be asked. */
export async function drawnHere(request: Request): Promise<Response | null> {
  if (Date.now() > busyUntil || request.method !== "GET") return null;
  const { pathname, searchParams } = new URL(request.url);
  const visit = RESULTS.exec(pathname)?.[1];
  if (!visit || !isUp() || isOpenHere(visit)) return null;
  const taken = await takenVisit(visit);
  if (!taken || taken.visit.revision < (written.get(visit) ?? 0)) return null;
  try {
    await takeIn(taken);
    const query = Object.fromEntries(searchParams);
    const said = await askProgram({ method: "GET", path: `visits/${visit}/results`, query });
    return said.status === 200 ? Response.json(said.body) : null;
  } catch {
    return null;
  }
}
