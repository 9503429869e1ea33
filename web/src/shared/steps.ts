/** The seven steps of a visit, in order. */
export const STEP_IDS = ["ask", "look", "measure", "work", "set", "pace", "report"] as const;

export type StepId = (typeof STEP_IDS)[number];

/** What they are called where no visit is open. */
export const STEP_NAMES: Record<StepId, string> = {
  ask: "Ask",
  look: "Look",
  measure: "Measure",
  work: "Work out",
  set: "Set",
  pace: "Pace",
  report: "Report",
};
