import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import type { FieldState } from "../../../saving/field-state";
import { linesOf, pointsOf } from "./points";

const mark = (id: string) => ({ id }) as Schemas["Landmark"];
const cell = (typed: string) => ({ typed }) as FieldState;

test("points are what is typed of this photograph, and nothing half typed", () => {
  const cells = new Map([
    ["look.photo.a.ear", cell("812.5 344.0")],
    ["look.photo.a.eye", cell("900, 340")],
    ["look.photo.a.hip", cell("12")],
    ["look.photo.a.knee", cell("")],
    ["look.photo.b.wrist", cell("1 2")],
  ]);
  expect(pointsOf(cells, "a", ["ear", "eye", "hip", "knee", "wrist"].map(mark))).toEqual({
    ear: { x: 812.5, y: 344 },
    eye: { x: 900, y: 340 },
  });
});

test("lines join what is placed and leave out the rest", () => {
  const at = (x: number) => ({ x, y: 0 });
  expect(linesOf({ shoulder: at(1), elbow: at(2) })).toBe("M1 0L2 0");
  expect(linesOf({ shoulder: at(1), wrist: at(3), knuckle: at(4) })).toBe("M1 0L3 0L4 0");
  expect(linesOf({ shoulder: at(1) })).toBe("");
});
