import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { aField, anAction, aRow, aWorkup, cell, renderInVisit } from "@/test/visit";
import { SetPanel } from "./set-panel";

const set = { kind: "set", heading: "Set", text: "Seat: lower to 44.0 cm." } as const;
const seat = anAction({ ...set, id: "set.seated.seat", step: "seated.seat", state: "done" });
const surface = anAction({
  ...set,
  id: "set.seated.surface",
  step: "seated.surface",
  field: "set-seated-surface",
  group: "hands",
  aim: "660.0",
  tolerance: "± 0.5 cm",
  lever: "Keys at the front edge",
});
const rows = [
  aRow({ left: "44.0", left_over: "0.4" }),
  aRow({ key: "surface", label: "Surface", setting: "66.0", check: "Shoulders hang." }),
];
const set_order = ["set.seated.seat", "set.seated.surface"];
const drawnVisit = aWorkup({ rows, actions: [seat, surface], set_order });
const choices = (name: string, ...labels: string[]) =>
  aField({
    id: `set.action.*.${name}`,
    kind: "choice",
    choices: labels.map((label) => [label.toLowerCase(), label] as [string, string]),
  });
const families = [
  choices("test", "Passes", "Nearly", "Fails"),
  choices("word", "Good", "Hurts"),
  choices("because", "Heavy"),
  choices("hurts_at", "Neck"),
];

test("the first piece that is not set comes up with its lever, and the list says what is off", () => {
  renderInVisit(<SetPanel />, { drawnVisit });
  expect(screen.getByRole("heading", { level: 3, name: /^Surface 66\.0\scm$/ })).toBeTruthy();
  expect(screen.getByText("Keys at the front edge.")).toBeTruthy();
  expect(screen.getByText("1 of 2")).toBeTruthy();
  const row = screen.getByRole("row", { name: /^Seat/ });
  expect(within(row).getByText("0.4 cm")).toBeTruthy();
});

test("set as worked out is typed as such with its aim, never as measured", async () => {
  const fields = [aField({ id: "set.seated.surface", label: "Surface" })];
  const acts = renderInVisit(<SetPanel />, { drawnVisit, fields });
  await userEvent.click(screen.getByRole("button", { name: "Set to target" }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["set.seated.surface.aimed", "66.0 cm"],
      ["set.action.set-seated-surface.aim", "660.0"],
    ],
    "cm",
  );
});

test("a test that nearly passes offers what was seen, and one tap puts the number with its reason", async () => {
  const nudges = [{ reason: "Shoulders rise", by: "lower by 0.5 cm", typed: "65.5 cm" }];
  const near = aWorkup({ rows, actions: [seat, { ...surface, nudges }], set_order });
  const cells = new Map([["set.action.set-seated-surface.test", cell("nearly")]]);
  const acts = renderInVisit(<SetPanel />, { drawnVisit: near, families, cells });
  await userEvent.click(screen.getByRole("button", { name: /Shoulders rise/ }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["work.seated.surface", "65.5 cm"],
      ["work.seated.surface.why", "Shoulders rise"],
      ["set.action.set-seated-surface.test", ""],
    ],
    "cm",
  );
});

test("what hurts stops the step and is asked where", () => {
  const cells = new Map([["set.action.set-seated-surface.word", cell("hurts")]]);
  renderInVisit(<SetPanel />, { drawnVisit, families, cells });
  expect(screen.getByText(/Stop here\. Pain overrides the number/)).toBeTruthy();
  expect(screen.getByRole("combobox", { name: "Where does it hurt?" })).toBeTruthy();
});

test("an aim that went away under what was set is kept or done again", async () => {
  const moved = { ...seat, field: "set-seated-seat", moved: "The aim was 44.0 cm …", aim: "421.0" };
  const acts = renderInVisit(<SetPanel />, {
    drawnVisit: aWorkup({ rows, actions: [moved, surface], set_order }),
  });
  await userEvent.click(screen.getByRole("button", { name: /^Seat/ }));
  await userEvent.click(screen.getByRole("button", { name: /^Keep 44\.0/ }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["set.action.set-seated-seat.aim", "421.0"],
      ["set.action.set-seated-seat.state", "done"],
    ],
    "cm",
  );
});

test("an addition is a step of its own, ticked off with the height it was made to", async () => {
  const refer = anAction({ id: "refer", kind: "refer", text: "To the doctor" });
  const acts = renderInVisit(<SetPanel />, {
    drawnVisit: aWorkup({
      rows,
      actions: [anAction({ aim: "100.0" }), refer],
      set_order: ["add.footrest"],
    }),
  });
  expect(screen.queryByText(/To the doctor/)).toBeNull();
  await userEvent.click(screen.getByRole("radio", { name: "Done" }));
  const done = [
    ["set.action.add-footrest.state", "done"],
    ["set.action.add-footrest.aim", "100.0"],
  ];
  expect(acts.typeAll).toHaveBeenCalledWith(done, "cm");
});

test("with nothing worked out it leads back to measuring", async () => {
  const acts = renderInVisit(<SetPanel />, { drawnVisit: aWorkup({ rows: [], set_order: [] }) });
  await userEvent.click(screen.getByRole("button", { name: "Back to Measure" }));
  expect(acts.go).toHaveBeenCalledWith("measure");
});

test("the test and the client’s word are one press where both are good", async () => {
  const checked = aWorkup({
    rows,
    actions: [seat, { ...surface, check: "Shoulders hang." }],
    set_order,
  });
  const acts = renderInVisit(<SetPanel />, { drawnVisit: checked, families });
  await userEvent.click(screen.getByRole("button", { name: "Passes, and comfortable" }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["set.action.set-seated-surface.test", "passes"],
      ["set.action.set-seated-surface.word", "good"],
    ],
    "cm",
  );
});

test("the number at which it hurt is kept apart, and what follows from it is shown", async () => {
  const there = aRow({ key: "surface", label: "Surface", setting: "66.0", left: "66.0" });
  const at = { ...there.at, left: 660 };
  const follows = [
    {
      id: "screen_top",
      posture: "seated",
      label: "Screen top",
      unit: "cm",
      before: "117.3",
      after: "112.0",
      by: "",
    },
  ];
  const tried = aWorkup({
    rows: [rows[0] ?? there, { ...there, at }],
    actions: [seat, surface],
    set_order,
    follows,
  });
  const acts = renderInVisit(<SetPanel />, { drawnVisit: tried, families });
  expect(screen.getByRole("region", { name: "Updated targets" }).textContent).toMatch(
    /Screen top: 112\.0\scm instead of 117\.3\scm/,
  );
  await userEvent.click(screen.getByRole("radio", { name: "Hurts" }));
  expect(acts.typeAll).toHaveBeenCalledWith(
    [
      ["set.action.set-seated-surface.word", "hurts"],
      ["set.action.set-seated-surface.stopped_at", "660.0"],
      ["set.seated.surface", ""],
      ["set.seated.surface.aimed", ""],
      ["set.seated.surface.by", ""],
    ],
    "cm",
  );
});
