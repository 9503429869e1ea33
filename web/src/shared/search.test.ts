import { expect, test } from "vitest";
import { matches } from "./search";

test.each([
  ["penn hugo", true],
  ["hug", true],
  ["chart penn", true],
  ["ELODIE", true],
  ["ugo", false],
  ["penn sonar", false],
  ["", true],
])("%s", (words, found) => {
  expect(matches(words, "Hugo Penn Élodie", "Chart compiler, two screens")).toBe(found);
});
