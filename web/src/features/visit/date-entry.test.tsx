import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { dayOf, daysLater, setDateOrder } from "@/shared/dates";
import { cell, renderInVisit } from "@/test/visit";
import { DateEntry } from "./date-entry";

const PATH = "report.follow_up";
const visit = { reports: [], started_on: "2026-11-26" } as unknown as Schemas["OpenVisit"];
const entry = <DateEntry path={PATH} id="due" ahead />;

test("a day is sent once it is whole, and shown in words", async () => {
  const done = renderInVisit(entry, { visit });
  await userEvent.type(screen.getByRole("textbox"), "15 dec 2027{Enter}");
  expect(done.type).toHaveBeenCalledExactlyOnceWith(PATH, "2027-12-15", "cm");
});

test("a day in numbers is read in the practice’s order", async () => {
  setDateOrder("mdy");
  const done = renderInVisit(entry, { visit });
  await userEvent.type(screen.getByRole("textbox"), "3/4/2027{Enter}");
  expect(done.type).toHaveBeenCalledExactlyOnceWith(PATH, "2027-03-04", "cm");
  setDateOrder("dmy");
});

test("what is no day is said and stays where it was typed", async () => {
  const done = renderInVisit(entry, { visit });
  await userEvent.type(screen.getByRole("textbox"), "31 feb{Enter}");
  expect(screen.getByRole("alert").textContent).toContain("is not a date");
  expect(screen.getByRole<HTMLInputElement>("textbox").value).toBe("31 feb");
  expect(done.type).not.toHaveBeenCalled();
});

test("a day before the visit is asked about", async () => {
  const done = renderInVisit(entry, { visit });
  await userEvent.type(screen.getByRole("textbox"), "2026-01-15{Enter}");
  expect(done.type).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole("button", { name: "Save" }));
  expect(done.type).toHaveBeenCalledWith(PATH, "2026-01-15", "cm");
});

test("usual distances are one press, and what is held is written out", async () => {
  const cells = new Map([[PATH, cell("2026-12-24")]]);
  const done = renderInVisit(entry, { visit, cells });
  expect(screen.getByRole<HTMLInputElement>("textbox").value).toBe("24 Dec 2026");
  await userEvent.click(screen.getByRole("button", { name: "In 4 weeks" }));
  const day = daysLater(dayOf(new Date()), 28);
  if (day !== "2026-12-24") expect(done.type).toHaveBeenCalledWith(PATH, day, "cm");
});
