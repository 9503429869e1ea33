import type { Schemas } from "@/shared/api/client";
import type { ChangeQueue } from "./saving/change-queue";
import type { FieldState } from "./saving/field-state";

/** A place of a visit: the main one is the record itself, the others stand under `place.<id>.`. */
export type PlaceId = NonNullable<Schemas["StackRequest"]["place"]>;
export const MAIN = "main";
export const FURTHER = ["2", "3", "4"] as const;

/** Whether a path is the place's own, and not the visit's: body, person and report are everywhere. */
function isOfPlace(path: string): boolean {
  return /^(look|work|set)\./.test(path) && !path.startsWith("look.photo.");
}

/** A path as it is kept for one place. */
export function pathAt(path: string, place: PlaceId): string {
  return place !== MAIN && isOfPlace(path) ? `place.${place}.${path}` : path;
}

/** The path that a place's panels use for one as it is kept; null for what is another place's. */
export function pathWithin(path: string, place: PlaceId): string | null {
  const start = `place.${place}.`;
  if (path.startsWith("place.")) return path.startsWith(start) ? path.slice(start.length) : null;
  return place === MAIN || !isOfPlace(path) ? path : null;
}

/** What was typed at one place, by the paths that its panels use. */
export function cellsAt(
  cells: ReadonlyMap<string, FieldState>,
  place: PlaceId,
): ReadonlyMap<string, FieldState> {
  if (place === MAIN) return cells;
  const map = new Map<string, FieldState>();
  for (const [path, cell] of cells) {
    const own = pathWithin(path, place);
    if (own !== null) map.set(own, cell);
  }
  return map;
}

/** The queue as a panel at one place uses it: the same changes, under the place's own paths. */
export function queueAt(queue: ChangeQueue, place: PlaceId): ChangeQueue {
  if (place === MAIN) return queue;
  const at = (path: string) => pathAt(path, place);
  const mine: Partial<ChangeQueue> = {
    type: (path, ...rest) => queue.type(at(path), ...rest),
    typeAll: (changes, unit) =>
      queue.typeAll(
        changes.map(([path, typed]) => [at(path), typed] as const),
        unit,
      ),
    holds: (path, held) => queue.holds(at(path), held),
    cell: (path) => queue.cell(at(path)),
    settle: (path, ...rest) => queue.settle(at(path), ...rest),
  };
  return new Proxy(queue, {
    get(target, name) {
      const own = mine[name as keyof ChangeQueue];
      if (own) return own;
      const value = Reflect.get(target, name, target);
      return typeof value === "function" ? value.bind(target) : value;
    },
    set: (target, name, value) => Reflect.set(target, name, value, target),
  });
}
