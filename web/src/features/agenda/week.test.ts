import { expect, test } from "vitest";
import { anAgenda, anAppointment } from "@/test/agenda";
import { daysShown, hoursShown, inLanes, movedBy } from "./week";

test("the days of a week are the open ones, today, and those that hold something", () => {
  const agenda = anAgenda({
    start: "2026-11-30",
    today: "2026-12-02",
    open_days: "145",
    appointments: [anAppointment({ on: "2026-12-05" })],
  });
  expect(daysShown(agenda)).toEqual([
    "2026-11-30",
    "2026-12-02",
    "2026-12-03",
    "2026-12-04",
    "2026-12-05",
  ]);
});

test("hours reach to what lies outside the practice's own", () => {
  const early = anAppointment({ at: 445, minutes: 30 });
  expect(hoursShown(anAgenda())).toEqual([480, 1080]);
  expect(hoursShown(anAgenda({ appointments: [early] }))).toEqual([420, 1080]);
  const late = anAppointment({ at: 1060, minutes: 45 });
  expect(hoursShown(anAgenda({ appointments: [late] }))).toEqual([480, 1140]);
});

test("what overlaps lies side by side, and a lane that is free again is used", () => {
  const lines = [
    anAppointment({ id: "a", at: 540, minutes: 120 }),
    anAppointment({ id: "b", at: 570, minutes: 30 }),
    anAppointment({ id: "c", at: 600, minutes: 30 }),
    anAppointment({ id: "d", at: 660, minutes: 30 }),
  ];
  expect(inLanes(lines).map(({ line, lane, lanes }) => [line.id, lane, lanes])).toEqual([
    ["a", 0, 2],
    ["b", 1, 2],
    ["c", 1, 2],
    ["d", 0, 1],
  ]);
});

test("a move goes by quarters of an hour and stays within the day and the days shown", () => {
  const days = ["2026-11-30", "2026-12-01"];
  const line = { on: "2026-11-30", at: 577, minutes: 60 };
  expect(movedBy(line, days, { minutes: 15 })).toEqual({ on: "2026-11-30", at: 585 });
  expect(movedBy(line, days, { days: 5 })).toEqual({ on: "2026-12-01", at: 570 });
  expect(movedBy(line, days, { minutes: -900, days: -1 })).toEqual({ on: "2026-11-30", at: 0 });
  expect(movedBy(line, days, { minutes: 2000 }).at).toBe(1380);
});
