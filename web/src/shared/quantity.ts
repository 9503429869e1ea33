import { decimal } from "./words/language";

/** Millimetres to one of each unit a length is shown in. */
export const MM_PER = { mm: 1, cm: 10, in: 25.4 } as const;
const DECIMALS = { mm: 0, cm: 1, in: 2 } as const;

/** A length as a number in a unit, with the decimals that unit is shown with. */
export function lengthText(mm: number, unit: keyof typeof MM_PER): string {
  return decimal(mm / MM_PER[unit], DECIMALS[unit]);
}

/** A number with its unit: degrees set close, a true minus, and never broken between the two. */
export function quantity(value: string, unit: string): string {
  const shown = value.replace(/^-(?=\d)/, "−");
  if (!unit) return shown;
  return unit === "°" ? `${shown}°` : `${shown}\u00a0${unit}`;
}
