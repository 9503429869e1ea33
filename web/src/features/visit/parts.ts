import { msg } from "@lingui/core/macro";
import { said } from "@/shared/words/said";
import type { Field } from "./state/facts";

/** A group's name as it stands in the address: `Eyes, hands` as `eyes-hands`. */
export function slug(label: string): string {
  return label
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");
}

/** The parts of Look, in their order. */
export const LOOK_PARTS = said({
  walk: msg`As found`,
  pieces: msg`Equipment`,
  habits: msg`Habits`,
  room: msg`Room`,
  photos: msg`Photos`,
});
export type LookPart = keyof typeof LOOK_PARTS;

/** The parts of Work out, in the order of use. */
export const WORK_PARTS = said({
  targets: msg`Targets`,
  findings: msg`Findings`,
  plans: msg`Plans`,
  try: msg`Try`,
  choices: msg`Options`,
  strain: msg`Strain`,
});
export type WorkPart = keyof typeof WORK_PARTS;

/** The parts of Pace, in the order of use. */
export const PACE_PARTS = said({
  rhythm: msg`Rhythm`,
  tasks: msg`Tasks`,
  hours: msg`Lunch and meetings`,
  eyes: msg`Eyes`,
  movements: msg`Movements`,
  spells: msg`Hour by hour`,
});
export type PacePart = keyof typeof PACE_PARTS;

/** The part of Ask in which a field is asked, or the first field whose path begins so. */
export function askPart(path: string, fields: readonly Field[]): string | undefined {
  const field = fields.find((field) => field.id === path || field.id.startsWith(`${path}.`));
  return field && slug(field.group);
}
