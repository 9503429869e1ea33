import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { words } from "./words";

const field = (id: string, kind: string, label: string, unit = "", pair = "") =>
  ({ id, kind, label, unit, pair }) as Schemas["FieldOut"];
const FIELDS = [
  field("chair.kind", "choice", "Kind"),
  field("chair.seat_min", "length", "Seat, lowest", "", "Seat"),
  field("chair.seat_max", "length", "Seat, highest"),
  field("chair.depth_min", "length", "Seat depth, shortest", "", "Seat depth"),
  field("chair.depth_max", "length", "Seat depth, longest"),
  field("chair.slope", "number", "Slope", "°"),
];

test("a piece in words: ranges once, a fixed one as one number, units said", () => {
  const values = {
    "chair.kind": "task",
    "chair.seat_min": "41 cm",
    "chair.seat_max": "52 cm",
    "chair.depth_min": "45 cm",
    "chair.depth_max": "45 cm",
    "chair.slope": "5",
  };
  expect(words(values, FIELDS)).toBe("seat 41 cm to 52 cm · seat depth 45 cm · slope 5 °");
  expect(words(values, FIELDS, 1)).toBe("seat 41 cm to 52 cm");
  expect(words({}, FIELDS)).toBe("");
});
