import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aLine, openPage } from "@/test/page";
import { type Answers, refused } from "@/test/server";

function aCheck(over: Partial<Schemas["CheckView"]> = {}): Schemas["CheckView"] {
  return {
    id: "check-1",
    client_id: "client-1",
    client: "Odile Marrick",
    visit_id: "visit-1",
    round: "week_1",
    sent_at: "2026-11-28T10:00:00Z",
    level: "call",
    level_says: "Call",
    reasons: [{ level: "call", says: "Worse than before the visit.", answers: ["Neck: 6 of 10"] }],
    decided: null,
    decided_by: "",
    decided_at: null,
    note: "",
    open: 2,
    answers: [
      { section: "felt", question: "felt.neck", says: "Neck", answer: "6 of 10" },
      { section: "reason", question: "reason", says: "Why you come", answer: "My neck aches." },
      { section: "felt", question: "felt.wrist", says: "Wrist", answer: "none" },
    ],
    doubts: [],
    ...over,
  } as Schemas["CheckView"];
}

const open = (check: object, answers: Answers = {}, me = {}) =>
  openPage(
    "/clients/checks/check-1",
    {
      "GET /api/checks/check-1": { body: check },
      "GET /api/visits": { body: [aLine()] },
      ...answers,
    },
    me,
  );

test("answers are sorted by stated rules with the client’s own words, section by section", async () => {
  await open(aCheck({ doubts: ["Popliteal height", "Stature"] }));
  expect(
    await screen.findByRole("heading", { level: 1, name: "Odile Marrick: after 1 week" }),
  ).toBeTruthy();
  const sorted = within(screen.getByRole("region", { name: "Triage" }));
  expect(sorted.getByText("Neck: 6 of 10")).toBeTruthy();
  expect(sorted.getByText(/The decision is yours\.$/)).toBeTruthy();
  const felt = within(screen.getByRole("region", { name: "Discomfort" }));
  expect(felt.getAllByRole("definition").map(({ textContent }) => textContent)).toEqual([
    "6 of 10",
    "none",
  ]);
  expect(screen.getByText(/Measure again: popliteal height, stature\./)).toBeTruthy();
});

test("the decision begins with what the rules say, and is the practitioner’s", async () => {
  const { server } = await open(aCheck(), { "PUT /api/checks/check-1/decision": { body: {} } });
  const section = within(await screen.findByRole("region", { name: "Decision" }));
  expect(section.getByRole("button", { name: "Record decision: call" })).toBeTruthy();
  await userEvent.click(section.getByRole("radio", { name: "See a clinician first" }));
  await userEvent.type(section.getByLabelText("Note"), "Rang her.");
  await userEvent.click(
    section.getByRole("button", { name: "Record decision: see a clinician first" }),
  );
  expect(server.sent("PUT /api/checks/check-1/decision")).toEqual({
    level: "clinician",
    note: "Rang her.",
  });
});

test("what was decided is told with who and when, and is changed only by another decision", async () => {
  const decided = {
    decided: "advice",
    decided_by: "Tom Averly",
    decided_at: "2026-11-29T08:00:00Z",
  };
  await open(aCheck(decided as Partial<Schemas["CheckView"]>));
  const section = within(await screen.findByRole("region", { name: "Decision" }));
  expect(section.getByText(/Written advice, decided by Tom Averly on 29 Nov/)).toBeTruthy();
  const button = section.getByRole("button", {
    name: "Record decision: written advice",
  }) as HTMLButtonElement;
  expect(button.disabled).toBe(true);
});

test("answers go into the open visit, and what stood there is named", async () => {
  const { server } = await open(aCheck(), {
    "POST /api/checks/check-1/take-over": { body: { taken: 4, kept: ["Footwear when seated"] } },
  });
  const section = within(await screen.findByRole("region", { name: "Copy to the visit" }));
  await userEvent.click(await section.findByRole("button", { name: "Copy answers" }));
  expect((await section.findByRole("status")).textContent).toBe(
    "4 entries copied. Already recorded, not changed: Footwear when seated.",
  );
  expect(server.sent("POST /api/checks/check-1/take-over")).toEqual({ visit_id: "visit-1" });
});

test("without an open visit there is nowhere to put them, and the page says what to do", async () => {
  await open(aCheck(), { "GET /api/visits": { body: [aLine({ state: "signed" })] } });
  expect(await screen.findByText(/There is no open visit\. Start one/)).toBeTruthy();
  expect(screen.queryByRole("button", { name: "Copy answers" })).toBeNull();
});

test("who reads decides nothing, and what was not sent yet is nobody’s decision", async () => {
  await open(aCheck(), {}, { role: "reader", writes: false });
  await screen.findByRole("region", { name: "Triage" });
  expect(screen.queryByRole("region", { name: "Decision" })).toBeNull();
});

test("answers that are gone are said to be", async () => {
  await openPage("/clients/checks/check-1", {
    "GET /api/checks/check-1": refused(404, "There are no such answers."),
  });
  expect(await screen.findByRole("heading", { name: "Answers not found" })).toBeTruthy();
  expect(screen.getByText("There are no such answers.")).toBeTruthy();
});
