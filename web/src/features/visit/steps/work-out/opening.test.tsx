import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import { aRow, aWorkup, renderInVisit } from "@/test/visit";
import { StrainMinutes } from "./strain";
import { Targets } from "./targets";

const stays = aRow({ key: "seat_depth", label: "Seat depth", state: "as_found" });
const near = aRow({ key: "distance", label: "Eye to screen", state: "in_band" });
const headline = "Seat down 4.0 cm (the feet are off the floor).";

test("it opens with what to change, and what stays is folded away", async () => {
  renderInVisit(<Targets />, {
    drawnVisit: aWorkup({ headline, rows: [aRow(), stays, near] }),
  });
  expect(screen.getByText(headline)).toBeTruthy();
  const sitting = within(screen.getByRole("region", { name: "seated" }));
  expect(sitting.queryByRole("button", { name: /Seat depth/ })).toBeNull();
  const fold = sitting.getByRole("button", { name: "2 settings stay" });
  expect(fold.getAttribute("aria-expanded")).toBe("false");
  await userEvent.click(fold);
  expect(sitting.getByRole("button", { name: /Seat depth/ })).toBeTruthy();
  expect(sitting.getByRole("button", { name: /Eye to screen/ })).toBeTruthy();
});

test("degrees are summed under Strain, and never as if joints that nobody knows were none", () => {
  const drawnVisit = aWorkup({ over_found: 8, over_set: 0, untold_set: ["elbow"] });
  renderInVisit(<StrainMinutes />, { drawnVisit });
  expect(screen.getByText(/8° as found, not known at target. Not known: elbow./)).toBeTruthy();
});
