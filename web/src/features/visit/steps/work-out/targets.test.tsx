import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { aField, anAction, aRow, aWorkup, renderInVisit } from "@/test/visit";
import { Targets } from "./targets";

const limited = aRow({
  key: "surface",
  label: "Surface",
  state: "stopped",
  limits: ["thighs stop it at 64.4 cm"],
});
const left = aRow({ key: "lumbar", label: "Lumbar pad", state: "as_found", change: "0" });

test("what Set has to do is counted, and of it what has to move", () => {
  const order = ["seated.seat", "seated.surface", "seated.lumbar"];
  const actions = [...order, "seated.tilt"].map((step) => anAction({ id: `set.${step}`, step }));
  actions.push(anAction({ id: "add.lamp", state: "done" }));
  const set_order = actions.map(({ id }) => id);
  const rows = [aRow(), limited, left];
  renderInVisit(<Targets />, { drawnVisit: aWorkup({ rows, order, actions, set_order }) });
  expect(screen.getByRole("heading", { level: 2 }).textContent).toBe("Four things to set");
  expect(screen.getByText("2 of them move from where they were found.")).toBeTruthy();
  const surface = screen.getByRole("button", { name: /Surface/ });
  expect(surface.textContent).toContain("thighs stop it at 64.4 cm");
  expect(screen.getByRole("button", { name: /Lumbar pad/ }).textContent).toContain("as found");
});

test("what does not fit at all is said before any degrees", () => {
  const hard = ["Thighs or armrests do not fit under the desk: 3.0 cm short."];
  renderInVisit(<Targets />, { drawnVisit: aWorkup({ hard, over_set: 0 }) });
  expect(screen.getByText(hard[0] ?? "")).toBeTruthy();
  expect(screen.queryByText(/Degrees outside the bands/)).toBeNull();
});

test("degrees of joints that nobody knows are never summed up as none", () => {
  const untold = ["Elbow angle"];
  const kept = aRow({ state: "as_found", change: "0" });
  const drawnVisit = aWorkup({
    rows: [kept],
    over_set: 0,
    untold_found: untold,
    untold_set: untold,
  });
  renderInVisit(<Targets />, { drawnVisit: drawnVisit });
  expect(screen.getByRole("heading", { level: 2 }).textContent).toBe("Not enough information yet");
  expect(
    screen.getByText(
      /8°, of what is known, as found, not known at target. Not known: Elbow angle./,
    ),
  ).toBeTruthy();
});

test("what is still missing is listed, and one press leads to it", async () => {
  const shoe = aField({
    id: "ask.shoe_seated",
    label: "Heel, seated",
    group: "Shoes",
    needed: true,
  });
  const unknown = aRow({ target: null, setting: null, change: null, state: "unknown" });
  const done = renderInVisit(<Targets />, {
    fields: [shoe],
    drawnVisit: aWorkup({ rows: [unknown] }),
  });
  const missing = screen.getByRole("list", { name: "Missing" });
  await userEvent.click(within(missing).getByRole("button", { name: "Heel, seated" }));
  expect(done.seek).toHaveBeenCalledWith("ask.shoe_seated");
});

test("a dimension in doubt puts its name over the targets", async () => {
  const done = renderInVisit(<Targets />, { drawnVisit: aWorkup({ doubtful: ["Arm length"] }) });
  expect(screen.getByText("In doubt, so every target with it: arm length.")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: "Check in Measure" }));
  expect(done.go).toHaveBeenCalledWith("measure");
});
