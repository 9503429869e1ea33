// @vitest-environment jsdom
import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { aField, anAction, aRow, aWorkup, renderInVisit } from "@/test/visit";
import { SetPanel } from "./set-panel";

const done = aRow({ left: "44.0", left_over: "0.4" });
const next = aRow({ key: "surface", label: "Surface", setting: "66.0" });
const order = ["seated.seat", "seated.surface"];

test("the first piece that is not set comes up, and the list says what is still off", () => {
  renderInVisit(<SetPanel />, { worked: aWorkup({ rows: [done, next], order }) });
  expect(screen.getByRole("heading", { level: 3, name: /^Surface 66\.0\scm$/ })).toBeTruthy();
  expect(screen.getByText("1 of 2")).toBeTruthy();
  const seat = screen.getByRole("row", { name: /^Seat/ });
  expect(within(seat).getByText("0.4 cm")).toBeTruthy();
});

test("set to target is typed as aimed at, never as measured", async () => {
  const fields = [aField({ id: "set.seated.surface", label: "Surface" })];
  const worked = aWorkup({ rows: [done, next], order });
  const acts = renderInVisit(<SetPanel />, { worked, fields });
  await userEvent.click(screen.getByRole("button", { name: "Set to target" }));
  expect(acts.type).toHaveBeenCalledWith("set.seated.surface.aimed", "66.0 cm", "cm");
});

test("the plan's additions stand beside the settings and are ticked off", async () => {
  const refer = anAction({ id: "refer", kind: "refer", text: "To the doctor" });
  const worked = aWorkup({ rows: [next], order, actions: [anAction(), refer] });
  const acts = renderInVisit(<SetPanel />, { worked });
  const also = screen.getByRole("region", { name: "Also to do" });
  expect(within(also).queryByText(/To the doctor/)).toBeNull();
  await userEvent.click(within(also).getByRole("radio", { name: "Done" }));
  expect(acts.type).toHaveBeenCalledWith("set.action.add-footrest.state", "done", "cm");
});

test("with nothing worked out it leads back to measuring", async () => {
  const acts = renderInVisit(<SetPanel />, { worked: aWorkup({ rows: [], order: [] }) });
  await userEvent.click(screen.getByRole("button", { name: "Back to Measure" }));
  expect(acts.go).toHaveBeenCalledWith("measure");
});

test("by eye, a thing is ticked off by its test on the person", async () => {
  const eye = { target: null, setting: null, state: "unknown", change: null } as const;
  const rows = [aRow({ ...eye }), aRow({ ...eye, key: "surface", label: "Surface" })];
  const step = { kind: "set", step: "seated.seat", field: "set-seated-seat" } as const;
  const seat = anAction({ ...step, text: "Seat, by eye: Feet flat on the floor." });
  const acts = renderInVisit(<SetPanel />, { worked: aWorkup({ rows, order, actions: [seat] }) });
  expect(screen.getByRole("heading", { level: 3, name: "Seat by eye" })).toBeTruthy();
  await userEvent.click(screen.getByRole("radio", { name: "Done" }));
  expect(acts.type).toHaveBeenCalledWith("set.action.set-seated-seat.state", "done", "cm");
});
