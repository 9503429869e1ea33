const two = (number: number) => `${number}`.padStart(2, "0");

/** Minutes after midnight as a time field holds them: 09:30. */
export function typedClock(minutes: number): string {
  return `${two(Math.floor(minutes / 60) % 24)}:${two(minutes % 60)}`;
}

/** Minutes after midnight of what a time field holds. */
export function clockMinutes(typed: string): number {
  const [hours = 0, minutes = 0] = typed.split(":").map(Number);
  return hours * 60 + minutes;
}
