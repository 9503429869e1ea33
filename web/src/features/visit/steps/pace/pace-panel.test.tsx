import { fireEvent, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, expect, test, vi } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aDay, aPage, spell } from "@/test/day";
import { ServerStandIn } from "@/test/server";
import { aField, aWorkup, cell, renderInVisit } from "@/test/visit";
import { PacePanel } from "./pace-panel";

const DAY = "GET /api/visits/visit-1/day";
const MOVEMENTS = "GET /api/visits/visit-1/movements";
const visit = { id: "visit-1", reports: [], consents: [] } as unknown as Schemas["OpenVisit"];

let server: ServerStandIn;
beforeEach(() => {
  server = new ServerStandIn({ [DAY]: { body: aPage() } });
  vi.spyOn(Element.prototype, "clientWidth", "get").mockReturnValue(900);
});

const open = (over: Parameters<typeof renderInVisit>[1] = {}) =>
  renderInVisit(<PacePanel />, { visit, ...over });

test("the day is laid out over the width there is, and told in figures", async () => {
  open();
  expect(
    await screen.findByText(/^Sit 20, stand 8, move 2, 9:00 to 17:00\. No single posture/),
  ).toBeTruthy();
  expect(server.calls[0]?.query).toEqual({ place: "main", week: "1", width: "900" });
  const value = (name: string) => screen.getByText(name).nextSibling?.textContent;
  expect(value("sitting")).toBe("300 min");
  expect(value("strain, found → planned")).toBe("120 → 40 min");
  expect(screen.getByText(/300 minutes sitting, 100 standing/)).toBeTruthy();
});

test("without hours it says what is missing and leads there", async () => {
  server.answers[DAY] = { body: aPage(null) };
  const acts = open();
  await userEvent.click(await screen.findByRole("button", { name: "Hours by task" }));
  expect(acts.seek).toHaveBeenCalledWith("ask.hours.typing");
});

test("a rhythm is chosen by school; one that a limit bars says which", async () => {
  const acts = open();
  const suggested = await screen.findByRole("radio", { name: /suggested/ });
  expect(suggested.textContent).toContain("sit 300 · stand 100 · move 40 min");
  const barred = screen.getByRole("radio", { name: /An hour each/ }) as HTMLButtonElement;
  expect(barred.disabled).toBe(true);
  expect(barred.textContent).toContain("Standing: at most 20 min.");
  await userEvent.click(suggested);
  expect(acts.type).toHaveBeenCalledWith("pace.rhythm", "30-8-2", "cm");
});

test("numbers of one’s own are asked for where they were chosen", async () => {
  const sit = aField({
    id: "pace.sit",
    step: "pace",
    label: "Sit for",
    kind: "number",
    unit: "min",
  });
  open({ fields: [sit], cells: new Map([["pace.rhythm", cell("own")]]) });
  expect(await screen.findByLabelText("Sit for")).toBeTruthy();
});

test("each task is sat, stood or moved through, with its reason, and given back to what is usual", async () => {
  const choices: [string, string][] = [
    ["sit", "Sit"],
    ["stand", "Stand"],
  ];
  const field = aField({ id: "pace.task.typing", step: "pace", kind: "choice", choices });
  const acts = open({ part: "tasks", fields: [field] });
  await screen.findByText(/Hands need a rest\./);
  await userEvent.click(screen.getByRole("radio", { name: "Stand" }));
  expect(acts.type).toHaveBeenCalledWith("pace.task.typing", "stand", "cm");
  await userEvent.click(screen.getByRole("button", { name: "As usual" }));
  expect(acts.type).toHaveBeenCalledWith("pace.task.typing", "", "cm");
});

test("an edge of the day goes by keys, within its ends, and is typed as a time or as minutes", async () => {
  const acts = open();
  const begins = await screen.findByRole("slider", { name: "The day begins" });
  expect(begins.getAttribute("aria-valuetext")).toBe("9:00");
  fireEvent.keyDown(begins, { key: "ArrowRight" });
  expect(acts.typeAll).toHaveBeenLastCalledWith([["pace.start", "9:05"]], "cm");
  const lunch = screen.getByRole("slider", { name: "Lunch ends" });
  fireEvent.keyDown(lunch, { key: "PageDown" });
  expect(acts.typeAll).toHaveBeenLastCalledWith([["pace.lunch_minutes", "15"]], "cm");
  fireEvent.keyDown(lunch, { key: "a" });
  expect(acts.typeAll).toHaveBeenCalledTimes(2);
});

test("an edge is drawn by hand, in steps of five minutes, and let go where it is", async () => {
  const acts = open();
  const begins = await screen.findByRole("slider", { name: "The day begins" });
  begins.setPointerCapture = () => undefined;
  fireEvent.pointerDown(begins, { clientX: 70, pointerId: 1 });
  fireEvent.pointerMove(begins, { clientX: 83, pointerId: 1 });
  expect(begins.getAttribute("aria-valuetext")).toBe("9:15");
  fireEvent.pointerUp(begins, { clientX: 83, pointerId: 1 });
  expect(acts.typeAll).toHaveBeenCalledExactlyOnceWith([["pace.start", "9:15"]], "cm");
});

test("a hand that is interrupted changes nothing", async () => {
  const acts = open();
  const begins = await screen.findByRole("slider", { name: "The day begins" });
  begins.setPointerCapture = () => undefined;
  fireEvent.pointerDown(begins, { clientX: 70, pointerId: 1 });
  fireEvent.pointerMove(begins, { clientX: 120, pointerId: 1 });
  fireEvent.pointerCancel(begins);
  expect(begins.getAttribute("aria-valuetext")).toBe("9:00");
  expect(acts.typeAll).not.toHaveBeenCalled();
});

const families = [
  aField({ id: "pace.spell.*.at", step: "pace", label: "From", kind: "time" as never }),
  aField({
    id: "pace.spell.*.minutes",
    step: "pace",
    label: "Minutes",
    kind: "number",
    unit: "min",
  }),
];

test("a spell of the rhythm is taken in hand under Hour by hour", async () => {
  const acts = open({ part: "spells", families });
  const table = within(await screen.findByRole("table"));
  expect(table.queryByRole("button", { name: "Lunch" })).toBeNull();
  await userEvent.click(table.getByRole("button", { name: "Stand" }));
  const one = within(await screen.findByRole("region", { name: "One period of the day" }));
  expect(one.getByText("From the pattern.")).toBeTruthy();
  await userEvent.click(one.getByRole("radio", { name: "Move" }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["pace.spell.9-30.at", "9:30"],
      ["pace.spell.9-30.minutes", "20"],
      ["pace.spell.9-30.posture", "move"],
    ],
    "cm",
  );
});

test("a spell put by hand is given back to the rhythm; one who can’t stand is not offered it", async () => {
  const own = aDay({ spells: [spell({ kind: "own" })], stands: false });
  server.answers[DAY] = { body: aPage(own) };
  const acts = open({ part: "spells", families });
  expect(await screen.findByText("by hand")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Sit" }));
  const one = within(await screen.findByRole("region", { name: "One period of the day" }));
  expect(one.queryByRole("radio", { name: "Stand" })).toBeNull();
  expect(one.getByLabelText("Minutes")).toBeTruthy();
  await userEvent.click(one.getByRole("button", { name: "Back to the pattern" }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["pace.spell.9-0.at", ""],
      ["pace.spell.9-0.minutes", ""],
      ["pace.spell.9-0.posture", ""],
    ],
    "cm",
  );
});

test("who has to get used to standing goes week by week", async () => {
  const weeks = [
    { week: 1, label: "Week 1", says: "Stand for 30 min a day.", stand: 10 },
    { week: 0, label: "Then", says: "", stand: 20 },
  ] as unknown as ReturnType<typeof aDay>["weeks"];
  server.answers[DAY] = ({ url }) => ({
    body: aPage(aDay({ weeks, week: url.includes("week=1") ? 1 : 0 })),
  });
  open();
  expect(await screen.findByText("Stand for 30 min a day.")).toBeTruthy();
  await userEvent.click(screen.getByRole("radio", { name: "Then" }));
  await expect.poll(() => server.calls.at(-1)?.query.week).toBe("0");
});

test("a day that can’t be is said to be, in the server’s words", async () => {
  const message = "Start: from 18:00 the day of 8 h would end after midnight.";
  server.answers[DAY] = {
    status: 422,
    body: { type: "range", title: "", status: 422, detail: message },
  };
  open();
  expect((await screen.findByRole("alert")).textContent).toBe(message);
});

test("limits of the day stand above it, with whom to ask", async () => {
  const care = {
    id: "pregnancy",
    label: "Pregnancy",
    ask: "midwife",
    limits: [
      {
        id: "no_long_standing",
        says: "Standing: at most 20 min at a time.",
        of_the_day: true,
        cleared: null,
      },
      { id: "no_lifting", says: "No lifting.", of_the_day: false, cleared: null },
    ],
  };
  open({ drawnVisit: aWorkup({ precautions: [care] as never }) });
  const limits = await screen.findByRole("list", { name: "Limits for the day" });
  expect(limits.textContent).toContain("Standing: at most 20 min at a time. Pregnancy.");
  expect(limits.textContent).toContain("Ask the midwife.");
  expect(limits.textContent).not.toContain("No lifting.");
});

const movement = (id: string, own = true) => ({
  id,
  label: `Movement ${id}`,
  start: "Sit tall",
  steps: ["Turn", "Return"],
  dose: "5 times",
  own,
  felt: "in the neck",
  never: "into pain",
  why: "Neck aches.",
  times: Array(8).fill("9:30"),
});
const programme = (chosen: unknown[], over = {}) => ({
  body: {
    programme: { chosen, further: [], left_out: [], rules: ["Stop where it hurts."], ...over },
    figures: {
      a: [
        { says: "Start", marks: [] },
        { says: "Turn", marks: [] },
      ],
    },
  },
});

test("movements say how, how often and why; one is left out by a press, another added", async () => {
  server.answers[MOVEMENTS] = programme([movement("a")], {
    further: [{ id: "b", label: "Shoulder rolls", regions: "shoulders" }],
    left_out: [{ id: "c", label: "Squat", because: "Knee bends at most 60°." }],
  });
  const acts = open({ part: "movements" });
  expect(await screen.findByText("Stop where it hurts.")).toBeTruthy();
  expect(screen.getByText(/For: Neck aches\. Felt: in the neck\. Not into pain\./)).toBeTruthy();
  expect(screen.getByText(/At 9:30(, 9:30){5} …/)).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Leave out" }));
  expect(acts.type).toHaveBeenCalledWith("pace.movement.a", "no", "cm");
  await userEvent.click(screen.getByText("1 other movements available"));
  await userEvent.click(screen.getByRole("button", { name: "Add Shoulder rolls" }));
  expect(acts.type).toHaveBeenCalledWith("pace.movement.b", "yes", "cm");
  expect(screen.getByText("Knee bends at most 60°.")).toBeTruthy();
});

test("five of one’s own are enough", async () => {
  server.answers[MOVEMENTS] = programme(
    ["a", "b", "c", "d", "e"].map((id) => movement(id)),
    {
      further: [{ id: "f", label: "Sixth", regions: "" }],
    },
  );
  open({ part: "movements" });
  const add = (await screen.findByRole("button", {
    name: "Add Sixth",
    hidden: true,
  })) as HTMLButtonElement;
  expect(add.disabled).toBe(true);
});

test("a movement’s moments follow each other, and stand side by side once it is stopped", async () => {
  server.answers[MOVEMENTS] = programme([movement("a")]);
  open({ part: "movements" });
  const figure = await screen.findByRole("figure", { name: "Movement a: start, then turn" });
  expect(within(figure).getAllByText(/^(Start|Turn)$/).length).toBe(1);
  await userEvent.click(within(figure).getByRole("button", { name: "Stop Movement a" }));
  expect(within(figure).getAllByText(/^(Start|Turn)$/).length).toBe(2);
});

test("where no movement fits within the limits, none is made up", async () => {
  server.answers[MOVEMENTS] = programme([]);
  open({ part: "movements" });
  expect(await screen.findByText("No movement in the library fits the limits.")).toBeTruthy();
});

test("who only reads changes nothing of the day", async () => {
  open({ readOnly: true });
  const radio = (await screen.findByRole("radio", { name: /suggested/ })) as HTMLButtonElement;
  expect(radio.disabled).toBe(true);
  expect(screen.queryByRole("slider")).toBeNull();
});
