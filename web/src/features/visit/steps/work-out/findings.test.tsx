import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aFinding, aWorkup, renderInVisit } from "@/test/visit";
import { Findings } from "./findings";

const feet: Schemas["CauseView"] = {
  id: "feet",
  title: "The feet are off the floor",
  severity: "marked",
  safety: false,
  minutes: 88,
  explains: ["Knee 4 of 10"],
  findings: ["seated.seat"],
};
const gone = aFinding({ id: "chair.base", title: "Base cracked", verdict: "dismissed" });

test("findings stand under their cause, with what it may explain", () => {
  const drawnVisit = aWorkup({ causes: [feet], findings: [aFinding()] });
  renderInVisit(<Findings />, { drawnVisit: drawnVisit });
  const cause = screen.getByRole("region", { name: "The feet are off the floor" });
  expect(cause.textContent).toContain("88\u00a0min a day");
  expect(within(cause).getByText("May explain: Knee 4 of 10")).toBeTruthy();
  expect(within(cause).getByRole("button", { name: /Seat.*Lower by 4.0 cm/ })).toBeTruthy();
});

test("a complaint that nothing explains is said, and a dismissed finding is kept apart", () => {
  const drawnVisit = aWorkup({ findings: [aFinding(), gone], unexplained: ["Left wrist 6 of 10"] });
  renderInVisit(<Findings />, { drawnVisit: drawnVisit });
  expect(screen.getByText(/Not explained by any cause found: Left wrist 6 of 10/)).toBeTruthy();
  expect(screen.getByText("Dismissed: 1")).toBeTruthy();
  expect(screen.getByRole("heading", { level: 2 }).textContent).toBe("1 found");
});

test("accepting types a verdict under the finding’s own path", async () => {
  const drawnVisit = aWorkup({ causes: [feet], findings: [aFinding()] });
  const done = renderInVisit(<Findings />, { drawnVisit: drawnVisit });
  await userEvent.click(screen.getByRole("button", { name: /Seat/ }));
  await userEvent.click(screen.getByRole("button", { name: "Accept" }));
  expect(done.type).toHaveBeenCalledWith("work.finding.seated-seat.verdict", "accepted", "cm");
});

test("who may only read sees the verdict and nothing to press", async () => {
  const accepted = aFinding({ verdict: "accepted" });
  const drawnVisit = aWorkup({ causes: [feet], findings: [accepted] });
  renderInVisit(<Findings />, { drawnVisit: drawnVisit, readOnly: true });
  await userEvent.click(screen.getByRole("button", { name: /Seat/ }));
  expect(screen.queryByRole("button", { name: "Accept" })).toBeNull();
  expect(screen.queryByRole("button", { name: /Add your own/ })).toBeNull();
});
