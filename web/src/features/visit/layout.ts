import type { StepId } from "@/shared/steps";

/** How a step shares the window with the drawing. */
export type Room =
  /** The panel beside the elevation. */
  | "beside"
  /** The work has the width: the elevation says nothing here. */
  | "wide"
  /** A panel beside something else than the elevation. */
  | "paper"
  /** The elevation has the width: to point at, together with the client. */
  | "alone";

/** Which room a part of a step gets by itself; one key calls the elevation back. */
export function roomOf(step: StepId, part: string | null): Room {
  if (step === "report") return "paper";
  if (step === "pace") return "wide";
  if (step === "ask") return part === "discomfort" ? "paper" : "wide";
  if (step === "look" && part === "room") return "wide";
  if (step === "look" && part === "photos") return "paper";
  return "beside";
}

/** What the drawing's key leads to: it is put away, or called back. */
export function calledRoom(now: Room, own: Room): Room | null {
  if (now === "beside" || now === "alone") return own === "beside" ? "wide" : null;
  return own === "beside" ? null : "beside";
}
