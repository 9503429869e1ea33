import type { components } from "../api/schema";
import { drop, keepSealed, kept, keptNames, vault, whenSomebodyElse } from "./vault";

type Schemas = components["schemas"];
type VisitOut = Schemas["OpenVisit"];

/** A visit as the server hands it over to a device; what is not read here stays as it came. */
export type TakenVisit = {
  visit: { id: string; revision: number };
  entries: readonly Schemas["Entry"][];
  photos: readonly { id: string }[];
};

/** So many visits are kept beside those that wait to be sent. House value. */
const MOST_TAKEN = 40;
const name = (visitId: string) => `visit:${visitId}`;
export const photoName = (photoId: string) => `photo:${photoId}`;

const latest = new Map<string, VisitOut>();
whenSomebodyElse(() => latest.clear());

/** How a visit stands on the server, as the page last heard. */
export function noteVisit(visit: VisitOut): void {
  latest.set(visit.id, visit);
}

/** A visit with everything it is worked through from, as it stood when the network was there last. */
export async function takenVisit(visitId: string): Promise<TakenVisit | null> {
  const taken = await kept<TakenVisit>(name(visitId));
  const now = latest.get(visitId);
  return taken && now && now.revision > taken.visit.revision ? patched(taken, now) : taken;
}

/** Whether a visit is here, as it stands or as it stood. */
export async function isTaken(visitId: string): Promise<boolean> {
  return (await keptNames(name(visitId))).length > 0;
}

/** What has come to the server since a visit was taken along. */
export function patched(taken: TakenVisit, now: VisitOut): TakenVisit {
  const heads = new Map(taken.photos.map((photo) => [photo.id, photo]));
  return {
    ...taken,
    visit: { ...taken.visit, revision: now.revision },
    entries: Object.values(now.entries),
    photos: now.photos.map(
      (photo) =>
        heads.get(photo.id) ?? { ...photo, visit_id: taken.visit.id, fov_deg: null, sha256: "" },
    ),
  };
}

/** Take a visit along, with its photographs, unless it is here as it stands. */
export async function takeAlong(visitId: string, stamp: string): Promise<void> {
  if (!vault.getState().opened) return;
  const here = await keptNames(name(visitId));
  if (stamp && here.some((one) => one.stamp === stamp)) return;
  const answer = await globalThis.fetch(`/api/visits/${visitId}/device`);
  if (!answer.ok) return;
  const taken = (await answer.json()) as TakenVisit;
  await keepSealed(name(visitId), taken, stamp);
  const pictures = new Set((await keptNames("photo:")).map((keptName) => keptName.name));
  await drop(...(await erased(visitId, taken)));
  for (const photo of taken.photos) {
    if (pictures.has(photoName(photo.id))) continue;
    const picture = await globalThis.fetch(`/api/photos/${photo.id}.jpg`);
    if (picture.ok)
      await keepSealed(photoName(photo.id), new Uint8Array(await picture.arrayBuffer()), visitId);
  }
}

/** Pictures of a visit that are no longer on the server, and do not wait to be sent there. */
async function erased(visitId: string, { photos }: TakenVisit): Promise<readonly string[]> {
  if ((await keptNames("out:")).some(({ stamp }) => stamp === visitId)) return [];
  const there = new Set(photos.map((photo) => photoName(photo.id)));
  const here = (await keptNames("photo:")).filter(({ stamp }) => stamp === visitId);
  return here.map(({ name }) => name).filter((name) => !there.has(name));
}

/** Write down how an open visit stands, so that it is opened like this after the browser was closed. */
export async function keepAsItStands(visitId: string): Promise<void> {
  const taken = await takenVisit(visitId);
  if (taken) await keepSealed(name(visitId), taken, "");
}

/** Let go of visits that are gone from the server, and of the oldest beyond those that are wanted here. */
export async function letGo(
  known: ReadonlySet<string>,
  wanted: ReadonlySet<string>,
): Promise<void> {
  const here = (await keptNames("visit:")).map((keptName) => keptName.name.slice("visit:".length));
  const many = here.length > MOST_TAKEN;
  const gone = here.filter((id) => !known.has(id) || (many && !wanted.has(id)));
  if (gone.length === 0) return;
  const pictures = await keptNames("photo:");
  const theirs = pictures
    .filter((picture) => gone.includes(picture.stamp))
    .map((picture) => picture.name);
  await drop(...gone.map(name), ...theirs);
}
