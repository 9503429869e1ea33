import type { Action } from "./steps";

/** What is typed when a step is ticked off, put off or opened again: with what is done stands what was aimed at. */
export function saidOf(action: Action, state: string): (readonly [string, string])[] {
  const field = `set.action.${action.field}`;
  const typed = [[`${field}.state`, state === "open" ? "" : state] as const];
  if (action.kind !== "add" || !action.aim) return typed;
  return [...typed, [`${field}.aim`, state === "done" ? action.aim : ""] as const];
}
