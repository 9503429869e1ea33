import { fieldId } from "@/shared/api/field-ids";
import { STEP_IDS, type StepId } from "@/shared/steps";
import { LOOK_PARTS, type LookPart, type PacePart, slug, type WorkPart } from "./parts";
import type { Field } from "./state/facts";

/** The field of a path, also where it belongs to one of a family. */
export function fieldOf(path: string, fields: readonly Field[]): Field | undefined {
  const family = path.replace(
    /^((?:look\.photo|work\.finding|work\.own|work\.own_plan)\.)[^.]+/,
    "$1*",
  );
  return fields.find((field) => field.id === path || field.id === family);
}

const WORK: readonly [RegExp, WorkPart][] = [
  [/^work\.policy\./, "choices"],
  [/^work\.(finding|own)\./, "findings"],
  [/^work\.own_plan\./, "plans"],
];

const PACE: readonly [RegExp, PacePart][] = [
  [/^pace\.task\./, "tasks"],
  [/^pace\.(start|lunch|meeting)/, "hours"],
  [/^pace\.(eye|far)/, "eyes"],
  [/^pace\.movement\./, "movements"],
];

/** The step, and the part of it, where a field is shown. */
export function placeOf(path: string, fields: readonly Field[]): { step: StepId; part?: string } {
  const step = STEP_IDS.find((id) => path.startsWith(`${id}.`)) ?? "ask";
  const field = fieldOf(path, fields);
  if (step === "ask") return field ? { step, part: slug(field.group) } : { step };
  if (step === "look") {
    const part = path.startsWith("look.photo.") ? "photos" : field?.section;
    return part && part in LOOK_PARTS ? { step, part: part as LookPart } : { step };
  }
  if (step === "work") {
    const plans = path === fieldId("work.plan") || path === fieldId("work.budget");
    const part = plans ? "plans" : WORK.find(([start]) => start.test(path))?.[1];
    return { step, part: part ?? "targets" };
  }
  if (step === "pace")
    return { step, part: PACE.find(([start]) => start.test(path))?.[1] ?? "rhythm" };
  return { step };
}
