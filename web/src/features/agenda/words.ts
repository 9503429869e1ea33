import { msg, plural, t } from "@lingui/core/macro";
import type { Appointment } from "@/shared/api/agenda";
import { clockOf, weekdayAndDay } from "@/shared/dates";
import { said } from "@/shared/words/said";

export const KIND_WORDS: Record<Appointment["kind"], string> = said({
  visit: msg`Visit`,
  follow_up: msg`Follow-up`,
  check: msg`Check`,
  call_back: msg`Call back`,
});

/** Who an appointment is with, as far as one may know. */
export function whoOf(line: Appointment): string {
  return line.private ? t`Private` : line.client;
}

/** Thu 3 Dec, 09:30. */
export function dayAndTime(on: string, at: number): string {
  return t`${weekdayAndDay(on)}, ${clockOf(at)}`;
}

/** 09:30–10:30. */
export function fromTo(at: number, minutes: number): string {
  return `${clockOf(at)}–${clockOf(at + minutes)}`;
}

export function minutesWords(minutes: number): string {
  return plural(minutes, { one: "# minute", other: "# minutes" });
}

/** Where an appointment is. */
export function whereOf({ place_kind, place }: Pick<Appointment, "place_kind" | "place">): string {
  if (place_kind === "call") return place ? t`Phone ${place}` : t`By phone`;
  return place;
}

/** Everything about an appointment in one line, for somebody who hears it. */
export function spoken(line: Appointment): string {
  const { at, minutes, on } = line;
  const about = [
    `${clockOf(at)} ${whoOf(line)}`,
    line.private ? "" : KIND_WORDS[line.kind],
    weekdayAndDay(on),
    minutesWords(minutes),
    line.private ? "" : whereOf(line),
    line.member,
    ...line.clashes,
  ];
  return about.filter(Boolean).join(", ");
}
