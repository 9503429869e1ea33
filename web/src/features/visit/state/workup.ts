import { createContext, useContext } from "react";
import type { Schemas } from "@/shared/api/client";

export type Workup = Schemas["DrawnVisit"];

/** What the visit comes to: rows, findings, plans; undefined until it is worked out. */
export const WorkupContext = createContext<Workup | undefined>(undefined);

/** The same for the drawing, which comes first: what a hand has just moved is seen before it is read. */
export const DrawnContext = createContext<Workup | undefined>(undefined);

export function useDrawn(): Workup | undefined {
  return useContext(DrawnContext);
}

export function useWorkup(): Workup | undefined {
  return useContext(WorkupContext);
}

/** The row of the workup for a posture and key. */
export function rowOf(
  drawnVisit: Workup | undefined,
  posture: string,
  key: string,
): Schemas["RowView"] | undefined {
  return drawnVisit?.rows.find((row) => row.posture === posture && row.key === key);
}
