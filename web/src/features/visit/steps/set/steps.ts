import { msg, t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { said } from "@/shared/words/said";
import { rowOf, type Workup } from "../../state/workup";

export type Row = Schemas["RowView"];
export type Action = Schemas["ActionView"];

/** One step of Set: an action, and the row it sets where it is a setting. */
export type Step = { action: Action; row: Row | undefined };

/** Headings of the groups, in the order of work; what is set standing has its own. */
const GROUPS: Record<Action["group"], string> = said({
  safe: msg`Make safe first`,
  feet_chair: msg`Feet and chair`,
  hands: msg`Hands`,
  screen: msg`Screen and light`,
  other: msg`Around the desk`,
});

export function headingOf({ action }: Step): string {
  return action.posture === "standing" ? t`Standing` : GROUPS[action.group];
}

/** The steps in their order. */
export function stepsOf(drawnVisit: Workup | undefined): Step[] {
  if (!drawnVisit) return [];
  const steps: Step[] = [];
  for (const id of drawnVisit.set_order) {
    const action = drawnVisit.actions.find((action) => action.id === id);
    if (!action) continue;
    const [posture = "", key = ""] = action.step.split(".");
    steps.push({ action, row: action.step ? rowOf(drawnVisit, posture, key) : undefined });
  }
  return steps;
}

/** Whether nothing is left to do: set, done, put off with a reason, or stopped. */
export function settled({ action }: Step): boolean {
  return action.settled;
}

/** What a step is called in a list. */
export function nameOf({ action, row }: Step): string {
  return row?.label ?? action.text.split(/[.:,]/)[0] ?? action.heading;
}
