import type { Schemas } from "@/shared/api/client";

/** A day of work as the server lays it out: three spells, two rhythms of which one is barred. */

type Page = Schemas["DayPage"];
type Day = Schemas["DayView"];

export const totals = (sit: number, stand: number): Schemas["DayTotals"] => ({
  sit,
  stand,
  move: 40,
  changes: 12,
  micro_breaks: 8,
  eye_breaks: 20,
  longest_sit: 30,
  longest_stand: stand ? 20 : 0,
});
export const spell = (over: Partial<Schemas["SpellView"]>): Schemas["SpellView"] => ({
  id: "9-0",
  kind: "rhythm",
  start: 540,
  at: "9:00",
  end: "9:30",
  minutes: 30,
  posture: "sit",
  label: "Sit",
  tasks: "Typing",
  ...over,
});

export function aDay(over: Partial<Day> = {}): Day {
  return {
    start: "9:00",
    end: "17:00",
    rhythm: "30-8-2",
    rhythm_label: "Sit 20, stand 8, move 2",
    proposed: "30-8-2",
    week: 0,
    totals: totals(300, 100),
    weeks: [],
    says: "",
    spells: [
      spell({}),
      spell({
        id: "9-30",
        start: 570,
        at: "9:30",
        end: "9:50",
        minutes: 20,
        posture: "stand",
        label: "Stand",
      }),
      spell({ id: "lunch", kind: "lunch", start: 720, at: "12:00", end: "12:30", label: "Lunch" }),
    ],
    tasks: [
      {
        id: "typing",
        label: "Typing",
        minutes: 240,
        posture: "sit",
        reason: "Hands need a rest.",
        own: true,
        laptop: "",
      },
    ],
    eyes: "Look at the mast outside.",
    tips: ["Stand for calls."],
    stands: true,
    ...over,
  };
}

export function aPage(day: Day | null = aDay(), over: Partial<Page> = {}): Page {
  const bar: Page["bar"] = {
    width: 900,
    height: 120,
    marks: [],
    first: 480,
    left: 10,
    px_per_min: 1,
    handles: [
      {
        field: "pace.start",
        label: "The day begins",
        x: 70,
        at: 540,
        low: 300,
        high: 720,
        start: null,
      },
      {
        field: "pace.lunch_minutes",
        label: "Lunch ends",
        x: 280,
        at: 750,
        low: 735,
        high: 840,
        start: 720,
      },
    ],
  };
  const rhythms = [
    { id: "30-8-2", label: "Sit 20, stand 8, move 2", says: "Short turns.", possible: true },
    {
      id: "60",
      label: "An hour each",
      says: "Long turns.",
      possible: false,
      why_not: "Standing: at most 20 min.",
    },
  ].map((one) => ({ why_not: null, totals: totals(300, 100), ...one }));
  return {
    day,
    bar: day ? bar : null,
    rhythms,
    strain_before: 120,
    strain_after: 40,
    doubt: null,
    ...over,
  };
}
