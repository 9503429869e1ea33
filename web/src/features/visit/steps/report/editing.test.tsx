import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { renderInVisit } from "@/test/visit";
import { Editing } from "./editing";

const cause = (id: string, title: string) => ({ id, title }) as Schemas["PaperCause"];
const papers = {
  record: {
    causes: [cause("feet", "The feet are off the floor"), cause("gaze", "The gaze drops")],
    actions: [{ id: "add.footrest", field: "add-footrest", text: "Add a footrest", state: "open" }],
  },
} as unknown as Schemas["Papers"];

test("causes are moved, and left out, by hand and by keys", async () => {
  const done = renderInVisit(<Editing papers={papers} />);
  await userEvent.click(screen.getByText("Causes: order and wording"));
  await userEvent.click(screen.getByRole("button", { name: "Later: The feet are off the floor" }));
  const ranks = [
    ["report.cause.gaze.rank", "1"],
    ["report.cause.feet.rank", "2"],
  ];
  expect(done.typeAll).toHaveBeenLastCalledWith(ranks, "cm");
  screen.getByRole("button", { name: "The gaze drops" }).focus();
  await userEvent.keyboard("{Shift>}{ArrowUp}{/Shift}");
  expect(done.typeAll).toHaveBeenLastCalledWith(ranks, "cm");
  await userEvent.keyboard("l");
  expect(done.type).toHaveBeenLastCalledWith("report.cause.gaze.left_out", "yes", "cm");
  await userEvent.keyboard("{ArrowUp}");
  expect(document.activeElement?.textContent).toBe("The feet are off the floor");
});

test("an action may be said in other words", async () => {
  const words = { id: "report.action.*.words", step: "report", label: "In my words", kind: "text" };
  const field = { group: "Actions", section: "causes", help: "", unit: "", choices: [], part: "" };
  const families = [{ ...field, ...words }] as never[];
  const done = renderInVisit(<Editing papers={papers} />, { families });
  await userEvent.click(screen.getByText("Actions: wording"));
  await userEvent.click(screen.getByRole("button", { name: "Add a footrest" }));
  const entry = screen.getByLabelText("In my words");
  await userEvent.type(entry, "A box for now");
  await userEvent.tab();
  expect(done.type.mock.lastCall?.slice(0, 2)).toEqual([
    "report.action.add-footrest.words",
    "A box for now",
  ]);
});
