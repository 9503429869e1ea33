import { afterEach, expect, test } from "vitest";
import { clockTime, dayOf, daysLater, longDate, setTimeZone, shortDate } from "./dates";

const LATE = new Date("2026-11-25T23:30:00Z");

afterEach(() => setTimeZone("not/a zone"));

test.each([
  ["Pacific/Auckland", "2026-11-26", "12:30"],
  ["Europe/London", "2026-11-25", "23:30"],
  ["America/Los_Angeles", "2026-11-25", "15:30"],
])("a moment falls on the practice’s day in %s", (zone, day, time) => {
  setTimeZone(zone);
  expect(dayOf(LATE)).toBe(day);
  expect(clockTime(LATE)).toBe(time);
  expect(longDate(LATE.toISOString())).toBe(`${Number(day.slice(8))} November 2026`);
});

test("a day is the same day everywhere", () => {
  for (const zone of ["Pacific/Auckland", "America/Los_Angeles", "Pacific/Kiritimati"]) {
    setTimeZone(zone);
    expect(shortDate("2026-11-05", "2026-01-01")).toBe("5 Nov");
    expect(longDate("2026-11-05")).toBe("5 November 2026");
  }
});

test("dates name the year only where it is another one", () => {
  expect(shortDate("2026-11-05", "2026-11-25")).toBe("5 Nov");
  expect(shortDate("2025-11-05", "2026-11-25")).toBe("5 Nov 2025");
});

test("days are counted over the end of a month and a leap day", () => {
  expect(daysLater("2028-02-28", 1)).toBe("2028-02-29");
  expect(daysLater("2026-12-25", 14)).toBe("2027-01-08");
});
