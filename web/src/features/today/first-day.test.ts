import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { missingOf } from "./first-day";

const DONE = {
  letterhead: "Harbour Street 3",
  contact: "Ines",
  title: "Physiotherapist",
  registration: "PT 12",
  currency: "EUR",
  has_second_factor: true,
} as Schemas["Me"];

test("what is not set yet is named, each with where it is set, and nothing else", () => {
  expect(missingOf(DONE)).toEqual([]);
  expect(
    missingOf({ ...DONE, letterhead: "", title: "" }).map(({ to, what }) => [what, to]),
  ).toEqual([
    ["Letterhead", "/people"],
    ["Your profession", "/account"],
  ]);
});
