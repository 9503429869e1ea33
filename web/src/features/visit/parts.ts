import type { Field } from "./state/facts";

/** A group's name as it stands in the address: `Eyes, hands` as `eyes-hands`. */
export function slug(label: string): string {
  return label
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-|-$/g, "");
}

/** The parts of Look, in their order. */
export const LOOK_PARTS = {
  walk: "As found",
  pieces: "Equipment",
  habits: "Habits",
  room: "Room",
  photos: "Photos",
} as const;
export type LookPart = keyof typeof LOOK_PARTS;

/** The parts of Work out, in the order of use. */
export const WORK_PARTS = {
  targets: "Targets",
  findings: "Findings",
  plans: "Plans",
  try: "Try",
  choices: "Options",
  strain: "Strain",
} as const;
export type WorkPart = keyof typeof WORK_PARTS;

/** The parts of Pace, in the order of use. */
export const PACE_PARTS = {
  rhythm: "Rhythm",
  tasks: "Tasks",
  hours: "Lunch and meetings",
  eyes: "Eyes",
  movements: "Movements",
  spells: "Hour by hour",
} as const;
export type PacePart = keyof typeof PACE_PARTS;

/** The part of Ask in which a field is asked, or the first field whose path begins so. */
export function askPart(path: string, fields: readonly Field[]): string | undefined {
  const field = fields.find((field) => field.id === path || field.id.startsWith(`${path}.`));
  return field && slug(field.group);
}
