import { expect, test } from "vitest";
import { inkStyle } from "./ink";

const ink = {
  fill: "deep",
  stroke: "ink",
  width: 1.2,
  dash: "",
  size: 12,
  weight: 400,
  figures: true,
  opacity: 1,
  halo: true,
};

test("colours are tokens, so that day and night differ in one place", () => {
  expect(inkStyle(ink, false, false)).toMatchObject({
    fill: "var(--deep)",
    stroke: "var(--ink)",
    strokeWidth: 1.2,
    strokeDasharray: undefined,
  });
  expect(inkStyle({ ...ink, fill: "hatch", stroke: "none" }, false, false)).toMatchObject({
    fill: "url(#hatch)",
    stroke: "none",
  });
});

test("what has the focus is drawn bolder; text keeps its family and halo", () => {
  expect(inkStyle(ink, false, true).strokeWidth).toBe(2.6);
  expect(inkStyle(ink, true, false)).toMatchObject({
    fontFamily: "var(--font-figures)",
    stroke: "var(--ground)",
  });
});
