import { createContext, useContext } from "react";
import type { Schemas, Unit } from "@/shared/api/client";
import type { StepId } from "@/shared/steps";
import type { PlaceId } from "./at-place";
import type { ChangeQueue, FieldState } from "./saving/change-queue";
import type { WhatIfStore } from "./what-if/what-if-store";

export type Field = Schemas["FieldOut"];
export type Pick = { part: string; posture: string; count: number };

export type VisitState = {
  visit: Schemas["VisitOut"];
  /** What is asked and seen, beside the fields: signs, regions, habits, landmarks … */
  catalogue: Schemas["Fields"];
  fields: readonly Field[];
  queue: ChangeQueue;
  cells: ReadonlyMap<string, FieldState>;
  /** Which of the visit's places is open; queue and cells are those of it. */
  place: PlaceId;
  worked: Schemas["VisitWorkup"] | undefined;
  unit: Unit;
  readOnly: boolean;
  step: StepId;
  /** The part of the drawing that belongs to what has the focus. */
  active: string | null;
  setActive: (part: string | null) => void;
  /** What was last pressed in the drawing. */
  picked: Pick | null;
  /** The field that was asked for from elsewhere; panels open what holds it. */
  sought: string | null;
  seek: (path: string) => void;
  /** The body dimension being measured, whose tape is drawn. */
  setTape: (dimension: string | null) => void;
  /** Draw habits in the place of heights. */
  setHabits: (on: boolean) => void;
  /** Where something else than the elevation is shown; see StagePortal. */
  stageRoom: HTMLElement | null;
  takeStage: (taken: boolean) => void;
  /** The part of a step that is open. */
  part: string | null;
  setPart: (part: string) => void;
  go: (step: StepId, part?: string) => void;
  /** Where things are tried and not kept; see useWhatIf. */
  bench: WhatIfStore;
};

export const VisitContext = createContext<VisitState | null>(null);

export function useVisitState(): VisitState {
  const state = useContext(VisitContext);
  if (!state) throw new Error("outside a visit");
  return state;
}

/** The row of the workup for a posture and key. */
export function rowOf(
  worked: Schemas["VisitWorkup"] | undefined,
  posture: string,
  key: string,
): Schemas["RowView"] | undefined {
  return worked?.rows.find((row) => row.posture === posture && row.key === key);
}

/** Whether a field makes sense with what is already said. */
export function applies(field: Field, cells: ReadonlyMap<string, FieldState>): boolean {
  return field.when.every(([path, values]) => values.includes(cells.get(path)?.typed ?? ""));
}

/** A field of a family, for one member of it. */
export function memberField(
  catalogue: Schemas["Fields"],
  family: string,
  member: string,
): Field | undefined {
  const field = catalogue.families.find((one) => one.id === family);
  return field && { ...field, id: field.id.replace("*", member) };
}
