import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aField, aQuestion, cell, renderInVisit } from "@/test/visit";
import { Consents } from "./consents";
import { RedFlags } from "./red-flags";

const flags = [
  aQuestion("ask.sign.calf", "Hot, swollen calf"),
  aQuestion("ask.sign.fall", "A fall"),
];
const more = [
  aField({ id: "ask.sign.calf.to", label: "Referred to", kind: "text" }),
  aField({ id: "ask.sign.calf.done", label: "Action taken", kind: "text" }),
  aField({ id: "ask.sign.calf.by", label: "By whom and when", kind: "text" }),
];
const catalogue = {
  families: [],
  sources: {},
  urgencies: { same_day: "Refer today" },
  red_flags: [
    { id: "calf", urgency: "same_day", label: "Hot, swollen calf" },
    { id: "fall", urgency: "same_day", label: "A fall" },
  ],
  consents: [{ id: "notes", label: "To keep health notes", says: "Stored.", effect: "Erased." }],
} as unknown as Schemas["Fields"];

test("none of them answers only what is still open", async () => {
  const cells = new Map([["ask.sign.calf", cell("yes")]]);
  const done = renderInVisit(<RedFlags onDone={() => {}} />, { fields: flags, catalogue, cells });
  await userEvent.click(screen.getByRole("button", { name: /asked:/ }));
  expect(done.typeAll).toHaveBeenCalledWith([["ask.sign.fall", "no"]], "cm");
});

test("a red flag that is there asks what was done and by whom, and one press signs it", async () => {
  const cells = new Map([["ask.sign.calf", cell("yes")]]);
  const done = renderInVisit(<RedFlags onDone={() => {}} />, {
    fields: [...flags, ...more],
    catalogue,
    cells,
  });
  expect(screen.getByLabelText("Action taken")).toBeTruthy();
  await userEvent.click(screen.getByRole("button", { name: /^By me, today/ }));
  expect(done.type).toHaveBeenCalledWith(
    "ask.sign.calf.by",
    expect.stringMatching(/^Ines Calloway, \d+ \w+ \d{4}$/),
    "cm",
  );
});

test("consent is withdrawn only after saying what that erases", async () => {
  const cells = new Map([["ask.consent.notes", cell("yes")]]);
  const done = renderInVisit(<Consents onDone={() => {}} />, { catalogue, cells });
  await userEvent.click(screen.getByRole("button", { name: "Withdraw: To keep health notes" }));
  expect(screen.getByText("Erased.")).toBeTruthy();
  expect(done.type).not.toHaveBeenCalled();
  await userEvent.click(screen.getByRole("button", { name: "Withdraw consent" }));
  expect(done.type).toHaveBeenCalledWith("ask.consent.notes", "withdrawn", "cm", { undo: true });
});
