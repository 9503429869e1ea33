import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { aWorkup, renderInVisit } from "@/test/visit";
import { OwnPlan } from "./own-plan";

function anOffer(over: Partial<Schemas["OfferView"]> = {}): Schemas["OfferView"] {
  return {
    key: "footrest",
    slot: "Feet",
    label: "Footrest",
    does: "supports the feet",
    price: "60 EUR",
    temporary: false,
    taken: false,
    removes: "3°",
    left: "4°",
    ...over,
  };
}

const box = anOffer({ key: "feet_stack-box1", label: "1 × box under the feet", taken: true });
const riser = anOffer({ key: "screen_riser", slot: "Screen", label: "Screen riser", taken: true });

test("a tick swaps what its place has, keeps the rest, and takes the plan", async () => {
  const acts = renderInVisit(<OwnPlan />, {
    drawnVisit: aWorkup({ offers: [anOffer(), box, riser] }),
  });
  await userEvent.click(screen.getByRole("checkbox", { name: /^Footrest/ }));
  expect(acts.type.mock.calls).toEqual([
    ["work.own_plan.feet_stack-box1.taken", "", "cm"],
    ["work.own_plan.footrest.taken", "yes", "cm"],
    ["work.plan", "own", "cm"],
  ]);
});

test("the last tick taken away leads back to what is here", async () => {
  const acts = renderInVisit(<OwnPlan />, { drawnVisit: aWorkup({ offers: [anOffer(), riser] }) });
  await userEvent.click(screen.getByRole("checkbox", { name: /^Screen riser/ }));
  expect(acts.type.mock.calls).toEqual([
    ["work.own_plan.screen_riser.taken", "", "cm"],
    ["work.plan", "", "cm"],
  ]);
});
