/** A number with its unit: degrees set close, a true minus, and never broken between the two. */
export function quantity(value: string, unit: string): string {
  const shown = value.replace(/^-(?=\d)/, "−");
  if (!unit) return shown;
  return unit === "°" ? `${shown}°` : `${shown}\u00a0${unit}`;
}
