import { expect, test } from "vitest";
import { quantity } from "./quantity";

test.each([
  ["-38", "°", "−38°"],
  ["44.0", "cm", "44.0\u00a0cm"],
  ["right 17", "°", "right 17°"],
  ["in band, nearer 0.9", "cm", "in band, nearer 0.9\u00a0cm"],
  ["12", "", "12"],
])("%s and %s are written %s", (value, unit, shown) => {
  expect(quantity(value, unit)).toBe(shown);
});
