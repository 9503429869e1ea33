import { createContext, useContext, useMemo } from "react";
import { useStore } from "zustand";
import { cellsAt, type PlaceId, pathAt, queueAt } from "../at-place";
import type { ChangeQueue } from "../saving/change-queue";
import type { FieldState, Snapshot } from "../saving/field-state";

/** What is typed at the open place, and what takes it in. */
export type Recording = { queue: ChangeQueue; kept: ChangeQueue; place: PlaceId };

export const RecordingContext = createContext<Recording | null>(null);

/** A queue as the panels of one place use it; `kept` is the visit's own. */
export function useRecordingAt(kept: ChangeQueue, place: PlaceId): Recording {
  return useMemo(() => ({ queue: queueAt(kept, place), kept, place }), [kept, place]);
}

export function useRecording(): Recording {
  const recording = useContext(RecordingContext);
  if (!recording) throw new Error("outside a visit");
  return recording;
}

/** What takes changes in, under the open place's own paths. */
export function useQueue(): ChangeQueue {
  return useRecording().queue;
}

/** The state of one field; who uses it draws again only when that field changed. */
export function useCell(path: string): FieldState | undefined {
  const { kept, place } = useRecording();
  return useStore(kept.store, ({ cells }) => cells.get(pathAt(path, place)));
}

/** The state of everything typed at the open place; who uses it draws again at each key. */
export function useCells(): ReadonlyMap<string, FieldState> {
  const { kept, place } = useRecording();
  const cells = useStore(kept.store, (snapshot) => snapshot.cells);
  return useMemo(() => cellsAt(cells, place), [cells, place]);
}

/** Something worked out of what is typed, for those who need no more of it. */
export function useFromCells<T>(select: (cells: ReadonlyMap<string, FieldState>) => T): T {
  const { kept, place } = useRecording();
  return useStore(kept.store, ({ cells }) => select(cellsAt(cells, place)));
}

/** What is on its way, refused or waited for. */
export function useSnapshot(kept: ChangeQueue): Snapshot {
  return useStore(kept.store);
}
