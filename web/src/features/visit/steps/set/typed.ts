import type { Action, Row } from "./steps";

/** What a target is typed as: a length in the unit shown, an angle bare. */
export function typedTarget(row: Row, unit: string): string {
  return row.unit === "°" ? (row.setting ?? "") : `${row.setting} ${unit}`;
}

/** What is typed when a step is ticked off, put off or opened again: with what is done stands what was aimed at. */
export function saidOf(action: Action, state: string): (readonly [string, string])[] {
  const field = `set.action.${action.field}`;
  const typed = [[`${field}.state`, state === "open" ? "" : state] as const];
  if (action.kind !== "add" || !action.aim) return typed;
  return [...typed, [`${field}.aim`, state === "done" ? action.aim : ""] as const];
}
