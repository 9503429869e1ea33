import { createContext, useContext } from "react";
import type { Schemas, Unit } from "@/shared/api/client";
import type { StepId } from "@/shared/steps";
import type { Cell, Keeper } from "./saving/keeper";

export type Field = Schemas["Field"];
export type Pick = { part: string; posture: string; count: number };

export type VisitState = {
  visit: Schemas["VisitOut"];
  fields: readonly Field[];
  keeper: Keeper;
  cells: ReadonlyMap<string, Cell>;
  worked: Schemas["WorkedOut"] | undefined;
  unit: Unit;
  readOnly: boolean;
  step: StepId;
  /** The part of the drawing that belongs to what has the focus. */
  active: string | null;
  setActive: (part: string | null) => void;
  /** What was last pressed in the drawing. */
  picked: Pick | null;
  /** The body dimension being measured, whose tape is drawn. */
  setTape: (dimension: string | null) => void;
  go: (step: StepId) => void;
};

export const VisitContext = createContext<VisitState | null>(null);

export function useVisitState(): VisitState {
  const state = useContext(VisitContext);
  if (!state) throw new Error("outside a visit");
  return state;
}

/** The row of the workup for a posture and key. */
export function rowOf(
  worked: Schemas["WorkedOut"] | undefined,
  posture: string,
  key: string,
): Schemas["RowView"] | undefined {
  return worked?.rows.find((row) => row.posture === posture && row.key === key);
}
