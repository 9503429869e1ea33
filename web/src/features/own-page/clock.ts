export type Spell = { at: string; end: string; posture: string };

/** Minutes after midnight of a time, 9:30. */
export function minutesOf(time: string): number {
  const [hour = 0, minute = 0] = time.split(":").map(Number);
  return hour * 60 + minute;
}

/** The spell that a minute lies in, and the one after it. */
export function nowIn(
  spells: readonly Spell[],
  minute: number,
): { now: Spell | null; next: Spell | null } {
  const now =
    spells.find((spell) => minutesOf(spell.at) <= minute && minute < minutesOf(spell.end)) ?? null;
  return { now, next: spells.find((spell) => minutesOf(spell.at) > minute) ?? null };
}

/** The day runs round from lower left to lower right; the gap below is the night. */
const [FIRST, LAST] = [215, 505];

/** A spell as an arc of the ring; with a minute, a short stroke there: the hand. */
export function arcOf(
  spell: Spell,
  from: number,
  to: number,
  size: number,
  hand: number | null = null,
): string {
  const angle = (minute: number) => FIRST + ((LAST - FIRST) * (minute - from)) / (to - from);
  const gap = 0.6;
  const [start, end] =
    hand === null
      ? [angle(minutesOf(spell.at)) + gap, angle(minutesOf(spell.end)) - gap]
      : [angle(hand) - 0.8, angle(hand) + 0.8];
  const radius = size / 2 - 24;
  const point = (degrees: number) => {
    const turn = ((degrees - 90) * Math.PI) / 180;
    const x = size / 2 + radius * Math.cos(turn);
    const y = size / 2 + radius * Math.sin(turn);
    return `${x.toFixed(2)} ${y.toFixed(2)}`;
  };
  return `M${point(start)}A${radius} ${radius} 0 ${end - start > 180 ? 1 : 0} 1 ${point(end)}`;
}
