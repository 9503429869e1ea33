import type { Problem, Schemas, Unit } from "@/shared/api/client";
import type { Words } from "@/shared/device/words";

type Entry = Schemas["Entry"];

/** One field on the page: what is typed, what the server holds, and what stands between them. */
export type FieldState = {
  typed: string;
  /** The version of the entry that what is typed builds on. */
  version: number;
  held: Entry | null;
  /** `here`: taken in by this device, and not yet by the server. */
  state: "kept" | "waiting" | "here" | "refused" | "stale";
  problem: Problem | null;
  /** Unit of what is typed, while it is not kept. */
  unit?: Unit;
  /** The visit's revision since which the server holds it; what is worked out before does not know it. */
  since?: number;
};

export type Snapshot = {
  cells: ReadonlyMap<string, FieldState>;
  pending: number;
  /** So many of what is pending this device has taken in, without network. */
  here: number;
  offline: boolean;
  signedOut: boolean;
  /** So many fields hold text that has not been handed over yet. */
  typing: number;
  keptAt: Date | null;
  /** Everything that waits outlives this tab and the browser. */
  onDisk: boolean;
  /** This device has no room: what is typed would not outlive a reload. */
  full: boolean;
  /** Waits for a yes, since the visit is signed. */
  asking: boolean;
};

/** A change on its way; `here` once this device has taken it in, without network. */
export type Pending = {
  id: string;
  path: string;
  typed: string;
  unit: Unit;
  expected: number;
  here?: boolean;
};

/** What of a visit outlives a reload. */
export type Kept = Omit<Words, "cells" | "queue"> & {
  cells: [string, FieldState][];
  queue: Pending[];
};

export const EMPTY: FieldState = {
  typed: "",
  version: 0,
  held: null,
  state: "kept",
  problem: null,
};

export function isKept(value: unknown): value is Kept {
  const kept = value as Kept | null;
  return Array.isArray(kept?.cells) && Array.isArray(kept?.queue);
}

/** Put back into the cells what was kept of them, each as it stood; what of it waits to be sent. */
export function takenUp(kept: Kept, cells: Map<string, FieldState>): Pending[] {
  const waiting = new Set(kept.queue.map((change) => change.path));
  const queue = [...kept.queue];
  for (const [path, cell] of kept.cells) {
    const now = cells.get(path) ?? EMPTY;
    if (cell.state === "stale" && now.version > cell.version)
      cells.set(path, { ...cell, version: now.version, held: now.held });
    else cells.set(path, cell);
    if (cell.state === "waiting" && !waiting.has(path))
      queue.push({
        id: crypto.randomUUID(),
        path,
        typed: cell.typed,
        unit: cell.unit ?? "cm",
        expected: cell.version,
      });
  }
  const states = new Set<FieldState["state"]>(["waiting", "here", "refused"]);
  return queue.filter(({ path }) => states.has((cells.get(path) ?? EMPTY).state));
}

/** What a field said before it was typed into: where it is open, what the server holds. */
export function settled(cell: FieldState): string {
  const open = cell.state === "refused" || cell.state === "stale";
  return open ? (cell.held?.typed ?? "") : cell.typed;
}

type Answer = Schemas["ChangeAnswer"];

/** A field whose change the server has taken; `newer` text of it is on its way. */
export function fieldTakenIn(
  now: FieldState,
  change: Pending,
  { entry, revision }: Answer,
  newer: boolean,
): FieldState {
  const typedOn = newer || now.typed !== change.typed;
  const refused = now.state === "refused" && typedOn; // a later text was not taken
  return {
    ...(typedOn && now.unit ? { unit: now.unit } : {}),
    typed: typedOn ? now.typed : entry.typed,
    version: entry.version,
    held: entry,
    state: newer ? "waiting" : refused ? "refused" : "kept",
    problem: refused ? now.problem : null,
    since: revision,
  };
}

/** A field whose change this device has taken; the version it rests on stays the server's. */
export function fieldTakenHere(
  now: FieldState,
  change: Pending,
  { entry, revision }: Answer,
  newer: boolean,
): FieldState {
  const typedOn = newer || now.typed !== change.typed;
  return {
    ...now,
    typed: typedOn ? now.typed : entry.typed,
    unit: change.unit,
    held: entry,
    state: newer ? "waiting" : "here",
    problem: null,
    since: revision,
  };
}
