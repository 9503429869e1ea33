import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";

const questions = [
  {
    id: "elbow",
    label: "Elbow",
    default: "right",
    standing: true,
    positions: [
      { id: "right", label: "At a right angle", why: "Least load." },
      { id: "open", label: "A little open", why: "Easier to hold." },
    ],
  },
];
const bundle = {
  id: "set-1",
  version: 4,
  name: "Ours",
  is_default: true,
  choices: { elbow: "open" },
};
const open = (answers: Answers = {}, bundles: unknown[] = [bundle], me = {}) =>
  openPage("/rules", { "GET /api/policies": { body: { questions, bundles } }, ...answers }, me);

test("without a set of one’s own the standard options stand with their reasons", async () => {
  await open({}, []);
  expect(await screen.findByText(/None yet\. Visits use the standard options\./)).toBeTruthy();
  const usual = within(screen.getByRole("region", { name: "Standard options" }));
  expect(usual.getByText("Least load.")).toBeTruthy();
});

test("a set is changed upon its version, and gives a position back to the standard", async () => {
  const { server } = await open({ "PUT /api/policies/set-1": { body: bundle } });
  await userEvent.click(await screen.findByRole("button", { name: /^Ours/ }));
  const form = within(screen.getByRole("form", { name: "Rule set" }));
  expect(form.getByText("Easier to hold.")).toBeTruthy();
  await userEvent.click(form.getByRole("combobox", { name: "Elbow" }));
  await userEvent.click(await screen.findByRole("option", { name: "standard: At a right angle" }));
  await userEvent.click(form.getByRole("combobox", { name: "Elbow, standing" }));
  await userEvent.click(await screen.findByRole("option", { name: "A little open" }));
  await userEvent.click(form.getByRole("checkbox", { name: "Use for new visits" }));
  await userEvent.click(form.getByRole("button", { name: "Save" }));
  expect(server.sent("PUT /api/policies/set-1")).toEqual({
    version: 4,
    name: "Ours",
    choices: { "standing.elbow": "open" },
    is_default: false,
  });
});

test("a new set needs a name, and a refusal leaves what was chosen", async () => {
  await open({ "POST /api/policies": refused(409, "There is a rule set of this name.") });
  await userEvent.click(await screen.findByRole("button", { name: "New rule set" }));
  const form = within(screen.getByRole("form", { name: "Rule set" }));
  const save = form.getByRole("button", { name: "Save" }) as HTMLButtonElement;
  expect(save.disabled).toBe(true);
  await userEvent.type(form.getByLabelText("Name"), "Ours");
  await userEvent.click(save);
  expect((await form.findByRole("alert")).textContent).toBe("There is a rule set of this name.");
  expect((form.getByLabelText("Name") as HTMLInputElement).value).toBe("Ours");
});

test("a deleted set comes back by Undo", async () => {
  const { server } = await open({
    "DELETE /api/policies/set-1": { status: 204 },
    "POST /api/policies": { status: 201, body: bundle },
  });
  await userEvent.click(await screen.findByRole("button", { name: /^Ours/ }));
  await userEvent.click(screen.getByRole("button", { name: "Delete" }));
  await userEvent.click(await screen.findByRole("button", { name: "Undo" }));
  await expect
    .poll(() => server.sent("POST /api/policies"))
    .toMatchObject({ id: "set-1", name: "Ours" });
});

test("who only reads sees the rules as they are", async () => {
  await open({}, [bundle], { writes: false, role: "reader" });
  await userEvent.click(await screen.findByRole("button", { name: /^Ours/ }));
  const form = within(screen.getByRole("form", { name: "Rule set" }));
  expect((form.getByLabelText("Name") as HTMLInputElement).readOnly).toBe(true);
  expect(form.queryByRole("button", { name: "Save" })).toBeNull();
});
