import { expect, test } from "vitest";
import { dayTyped } from "./typed-date";

const TODAY = "2026-11-26";

test.each([
  ["15 Dec", "2026-12-15"],
  ["15 december 2026", "2026-12-15"],
  ["Dec 15, 2027", "2027-12-15"],
  ["3 feb", "2027-02-03"],
  ["15.12.2026", "2026-12-15"],
  ["15/12", "2026-12-15"],
  ["1/2/27", "2027-02-01"],
  ["2026-12-15", "2026-12-15"],
  ["+4 weeks", "2026-12-24"],
  ["10 d", "2026-12-06"],
  ["+3 months", "2027-02-26"],
])("%s is %s", (typed, day) => {
  expect(dayTyped(typed, TODAY)).toBe(day);
});

test("month first where the practice writes it so", () => {
  expect(dayTyped("1/2/2027", TODAY, "mdy")).toBe("2027-01-02");
});

test.each(["31 feb", "soon", "32/1/2027", "2026-13-01", "", "15 foo"])("%s is no day", (typed) => {
  expect(dayTyped(typed, TODAY)).toBeNull();
});

test("three months after the end of a month is the end of a shorter one", () => {
  expect(dayTyped("+3 months", "2026-11-30")).toBe("2027-02-28");
});

test("days are read as they are typed in German and Spanish", () => {
  const today = "2026-11-30";
  const typed = [
    "15. Dez",
    "3 de marzo de 2027",
    "1 März 2027",
    "+4 Wochen",
    "2 semanas",
    "+ 3 Tage",
  ];
  expect(typed.map((text) => dayTyped(text, today))).toEqual([
    "2026-12-15",
    "2027-03-03",
    "2027-03-01",
    "2026-12-28",
    "2026-12-14",
    "2026-12-03",
  ]);
});
