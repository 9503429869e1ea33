import type { Row } from "./steps";

/** What a target is typed as: a length in the unit shown, an angle bare. */
export function typedTarget(row: Row, unit: string): string {
  return row.unit === "°" ? (row.setting ?? "") : `${row.setting} ${unit}`;
}
