import { msg } from "@lingui/core/macro";
import { said } from "@/shared/words/said";
/** The seven steps of a visit, in order. */
export const STEP_IDS = ["ask", "look", "measure", "work", "set", "pace", "report"] as const;

export type StepId = (typeof STEP_IDS)[number];

/** What they are called where no visit is open. */
export const STEP_NAMES: Record<StepId, string> = said({
  ask: msg`Ask`,
  look: msg`Look`,
  measure: msg`Measure`,
  work: msg`Work out`,
  set: msg`Set`,
  pace: msg`Pace`,
  report: msg`Report`,
});
