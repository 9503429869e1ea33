import { fieldId } from "@/shared/api/field-ids";
import { STEP_IDS, type StepId } from "@/shared/steps";
import type { Field } from "./visit-context";

const LOOK: Record<string, string> = {
  walk: "As found",
  pieces: "Pieces",
  habits: "Watch",
  room: "Room",
  photos: "Photos",
};

/** The field of a path, also where it belongs to one of a family. */
export function fieldOf(path: string, fields: readonly Field[]): Field | undefined {
  const family = path.replace(
    /^((?:look\.photo|work\.finding|work\.own|work\.own_plan)\.)[^.]+/,
    "$1*",
  );
  return fields.find((field) => field.id === path || field.id === family);
}

/** The step, and the part of it, where a field is shown. */
export function placeOf(path: string, fields: readonly Field[]): { step: StepId; part?: string } {
  const step = STEP_IDS.find((id) => path.startsWith(`${id}.`)) ?? "ask";
  const field = fieldOf(path, fields);
  if (step === "ask") return field ? { step, part: field.group } : { step };
  if (step === "look") {
    const part = LOOK[path.startsWith("look.photo.") ? "photos" : (field?.section ?? "")];
    return part ? { step, part } : { step };
  }
  if (step === "work") {
    const part = path.startsWith("work.policy.")
      ? "Choices"
      : /^work\.(finding|own)\./.test(path)
        ? "Findings"
        : path === fieldId("work.plan") ||
            path === fieldId("work.budget") ||
            path.startsWith("work.own_plan.")
          ? "Plans"
          : "Targets";
    return { step, part };
  }
  return { step };
}
