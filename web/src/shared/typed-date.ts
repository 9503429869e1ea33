import { type DateOrder, daysLater } from "./dates";

/** The first letters of each month: English, German, Spanish. */
const MONTHS = [
  ["jan", "ene"],
  ["feb"],
  ["mar", "mär"],
  ["apr", "abr"],
  ["may", "mai"],
  ["jun"],
  ["jul"],
  ["aug", "ago"],
  ["sep"],
  ["oct", "okt"],
  ["nov"],
  ["dec", "dez", "dic"],
];
const ISO = /^(\d{4})-(\d{1,2})-(\d{1,2})$/;
const BY_NUMBERS = /^(\d{1,2})[./ -](\d{1,2})(?:[./ -](\d{2}|\d{4}))?$/;
const DAY_FIRST = /^(\d{1,2})\.?\s*(?:de\s+)?([a-zä]{3,})\.?,?\s*(?:de\s+)?(\d{4})?$/i;
const MONTH_FIRST = /^([a-zä]{3,})\.?\s*(\d{1,2}),?\s*(\d{4})?$/i;
const AHEAD =
  /^\+?\s*(\d{1,2})\s*(d|days?|tage?|días?|dias?|w|weeks?|wochen?|semanas?|m|months?|monate?|mes|meses)$/i;
/** How a count of weeks begins, in each language; the same for days. */
const WEEKS = /^(w|sem)/;
const DAYS = /^(d|tag)/;

/**
 * A day as it is typed, YYYY-MM-DD; null for what is none. Without a year it is the next such day. The order of
 * day and month is the practice's: day first, but for `mdy`.
 */
export function dayTyped(text: string, today: string, order: DateOrder = "dmy"): string | null {
  const typed = text.trim();
  const ahead = AHEAD.exec(typed);
  if (ahead) return later(today, Number(ahead[1]), (ahead[2] ?? "d").toLowerCase());
  const iso = ISO.exec(typed);
  if (iso) return whole(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const numbers = BY_NUMBERS.exec(typed);
  if (numbers) {
    const [first, second] = [Number(numbers[1]), Number(numbers[2])];
    const [day, month] = order === "dmy" ? [first, second] : [second, first];
    return inYear(numbers[3], month, day, today);
  }
  const named = DAY_FIRST.exec(typed);
  if (named) return inYear(named[3], monthOf(named[2]), Number(named[1]), today);
  const turned = MONTH_FIRST.exec(typed);
  if (turned) return inYear(turned[3], monthOf(turned[1]), Number(turned[2]), today);
  return null;
}

function monthOf(name = ""): number {
  const start = name.slice(0, 3).toLowerCase();
  return MONTHS.findIndex((starts) => starts.includes(start)) + 1;
}

function inYear(year: string | undefined, month: number, day: number, today: string) {
  if (year) return whole(Number(year.length === 2 ? `20${year}` : year), month, day);
  const now = Number(today.slice(0, 4));
  const thisYear = whole(now, month, day);
  return thisYear !== null && thisYear < today ? whole(now + 1, month, day) : thisYear;
}

/** The day of these numbers; null where the calendar has none. */
function whole(year: number, month: number, day: number): string | null {
  const date = new Date(Date.UTC(year, month - 1, day));
  const there = date.getUTCMonth() === month - 1 && date.getUTCDate() === day && year >= 1900;
  return there && year <= 2200 ? date.toISOString().slice(0, 10) : null;
}

function later(today: string, count: number, unit: string): string {
  if (DAYS.test(unit)) return daysLater(today, count);
  if (WEEKS.test(unit)) return daysLater(today, 7 * count);
  const date = new Date(`${today}T00:00:00Z`);
  const day = date.getUTCDate();
  date.setUTCDate(1);
  date.setUTCMonth(date.getUTCMonth() + count);
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + 1, 0)).getUTCDate();
  date.setUTCDate(Math.min(day, last));
  return date.toISOString().slice(0, 10);
}
