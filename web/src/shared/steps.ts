/** The seven steps of a visit, in order. */
export const STEP_IDS = ["ask", "look", "measure", "work", "set", "pace", "report"] as const;

export type StepId = (typeof STEP_IDS)[number];
