import { onLanguage, writing } from "./words/language";

/** Dates as the practice lives them: days are days, moments fall on the practice's day. */

const DAY = /^(\d{4})-(\d{2})-(\d{2})$/;
/** How a day typed in numbers is read: 3/4 is 3 April, or March 4. */
export type DateOrder = "dmy" | "mdy";

let order: DateOrder = "dmy";

/** The practice's order of day and month. */
export function dateOrder(): DateOrder {
  return order;
}

export function setDateOrder(chosen: DateOrder): void {
  order = chosen;
}

let zone: string | undefined;
let [clock, calendar] = formatsIn(undefined);
onLanguage(() => setTimeZone(zone));

/** What writes the time and the day in a time zone; made once, since making one is dear. */
function formatsIn(timeZone: string | undefined): [Intl.DateTimeFormat, Intl.DateTimeFormat] {
  const where = timeZone ? { timeZone } : {};
  return [
    new Intl.DateTimeFormat(writing(), { hour: "2-digit", minute: "2-digit", ...where }),
    new Intl.DateTimeFormat("sv-SE", where),
  ];
}

/** The practice's time zone, an IANA name; the browser's own where it is not known here. */
export function setTimeZone(name: string | undefined): void {
  zone = name;
  try {
    [clock, calendar] = formatsIn(name);
  } catch {
    [clock, calendar] = formatsIn(undefined);
  }
}

/** The practice's day at a moment, YYYY-MM-DD. */
export function dayOf(moment: Date): string {
  return calendar.format(moment);
}

/** A day some days later, YYYY-MM-DD. */
export function daysLater(day: string, count: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + count);
  return date.toISOString().slice(0, 10);
}

/** Days from one day to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 86_400_000);
}

/** The day in words, never shifted by a time zone: 25 Nov, or 25 Nov 2025 for another year. */
export function shortDate(iso: string, today = dayOf(new Date())): string {
  return inWords(iso, "short", today);
}

/** 25 November 2026. */
export function longDate(iso: string): string {
  return inWords(iso, "long", "");
}

/** 15 Dec 2026: a day as a field shows it. */
export function writtenDate(iso: string): string {
  return inWords(iso, "short", "");
}

function inWords(iso: string, month: "short" | "long", today: string): string {
  const day = DAY.test(iso) ? iso : dayOf(new Date(iso));
  const year = day.slice(0, 4) === today.slice(0, 4) ? {} : ({ year: "numeric" } as const);
  return new Date(`${day}T00:00:00Z`).toLocaleDateString(writing(), {
    day: "numeric",
    month,
    ...year,
    timeZone: "UTC",
  });
}

/** The practice's clock at a moment, 14:05. */
export function clockTime(moment: Date): string {
  return clock.format(moment);
}

/** A time of day from minutes after midnight: 09:30. */
export function clockOf(minutes: number): string {
  return new Date(Date.UTC(2000, 0, 1, 0, minutes)).toLocaleTimeString(writing(), {
    hour: "2-digit",
    minute: "2-digit",
    timeZone: "UTC",
  });
}

/** The weekday with day and month: Thu 3 Dec. */
export function weekdayAndDay(iso: string, weekday: "short" | "long" = "short"): string {
  return new Date(`${iso}T00:00:00Z`).toLocaleDateString(writing(), {
    weekday,
    day: "numeric",
    month: weekday,
    timeZone: "UTC",
  });
}

/** The first day of the week that a day is in: Monday, or Sunday where the practice writes the month first. */
export function weekStart(iso: string): string {
  const weekday = new Date(`${iso}T00:00:00Z`).getUTCDay();
  return daysLater(iso, -(order === "mdy" ? weekday : (weekday + 6) % 7));
}

/** The name of a weekday, 1 for Monday. */
export function weekdayName(number: number): string {
  return new Date(Date.UTC(2024, 0, number)).toLocaleDateString(writing(), {
    weekday: "short",
    timeZone: "UTC",
  });
}
