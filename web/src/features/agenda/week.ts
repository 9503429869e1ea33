import type { Agenda, Appointment } from "@/shared/api/agenda";
import { daysLater } from "@/shared/dates";

/** Appointments are moved in steps of so many minutes. House value. */
export const STEP = 15;
const HOUR = 60;
const DAY = 24 * HOUR;

/** The days of a week that are shown: those on which the practice is open, and those that hold something. */
export function daysShown(agenda: Agenda): string[] {
  return Array.from({ length: agenda.days }, (_, index) => daysLater(agenda.start, index)).filter(
    (day) =>
      agenda.open_days.includes(`${weekdayOf(day)}`) ||
      day === agenda.today ||
      agenda.appointments.some(({ on }) => on === day),
  );
}

/** 1 for Monday to 7 for Sunday. */
export function weekdayOf(day: string): number {
  return new Date(`${day}T00:00:00Z`).getUTCDay() || 7;
}

/** From which full hour to which the days are drawn: the practice's hours, and whatever lies outside them. */
export function hoursShown({ opens_at, closes_at, appointments }: Agenda): [number, number] {
  const starts = appointments.map(({ at }) => at);
  const ends = appointments.map(({ at, minutes }) => Math.min(DAY, at + minutes));
  return [
    Math.floor(Math.min(opens_at, ...starts) / HOUR) * HOUR,
    Math.ceil(Math.max(closes_at, ...ends) / HOUR) * HOUR,
  ];
}

export type Placed = { line: Appointment; lane: number; lanes: number };

/** The appointments of one day, each in a lane of its own where they overlap. */
export function inLanes(lines: readonly Appointment[]): Placed[] {
  const placed: Placed[] = [];
  let group: Placed[] = [];
  let ends = -1;
  for (const line of [...lines].sort((a, b) => a.at - b.at)) {
    if (line.at >= ends) group = [];
    const taken = group.filter((one) => one.line.at + one.line.minutes > line.at);
    const lane = [...Array(group.length + 1).keys()].find(
      (free) => !taken.some((one) => one.lane === free),
    );
    const one = { line, lane: lane ?? 0, lanes: 1 };
    group.push(one);
    placed.push(one);
    ends = Math.max(ends, line.at + line.minutes);
    const lanes = Math.max(...group.map((each) => each.lane)) + 1;
    for (const each of group) each.lanes = lanes;
  }
  return placed;
}

/** Where an appointment goes by so many minutes and days: it stays within a day and the days shown. */
export function movedBy(
  line: { on: string; at: number; minutes: number },
  days: readonly string[],
  by: { minutes?: number; days?: number },
): { on: string; at: number } {
  const index = Math.min(days.length - 1, Math.max(0, days.indexOf(line.on) + (by.days ?? 0)));
  const at = Math.round((line.at + (by.minutes ?? 0)) / STEP) * STEP;
  const latest = DAY - Math.max(STEP, line.minutes);
  return { on: days[index] ?? line.on, at: Math.min(Math.max(0, at), Math.max(0, latest)) };
}
