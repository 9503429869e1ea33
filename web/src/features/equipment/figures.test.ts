import { expect, test } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { appliesTo, byWeight, figuresOf, figuresOfStation } from "./figures";

const field = (id: string, kind: string, label: string, unit = "", pair = "") =>
  ({ id, kind, label, unit, pair, when: [], or_when: [] }) as unknown as Schemas["FieldView"];
const FIELDS = [
  field("look.chair.kind", "choice", "Kind"),
  field("look.chair.slope", "number", "Slope", "°"),
  field("look.chair.depth_min", "length", "Seat depth, shortest", "", "Seat depth"),
  field("look.chair.depth_max", "length", "Seat depth, longest"),
  field("look.chair.seat_min", "length", "Seat, lowest", "", "Seat"),
  field("look.chair.seat_max", "length", "Seat, highest"),
  field("look.desk.surface_min", "length", "Surface, lowest", "", "Surface"),
];
const VALUES = {
  "look.chair.kind": "task",
  "look.chair.seat_min": "41 cm",
  "look.chair.seat_max": "52 cm",
  "look.chair.depth_min": "45 cm",
  "look.chair.depth_max": "45 cm",
  "look.chair.slope": "-5",
};

test("a piece is asked first what it is and what it can be set to, then the rest", () => {
  const chair = FIELDS.filter(({ id }) => id.startsWith("look.chair."));
  const step = {
    ...field("look.chair.step", "length", "Step"),
    when: [["look.chair.kind", ["task"]]],
  };
  const [first, rest] = byWeight([...chair, step as Schemas["FieldView"]]);
  expect(first.map(({ id }) => id.slice(11))).toEqual([
    "kind",
    "depth_min",
    "depth_max",
    "seat_min",
    "seat_max",
  ]);
  expect(rest.map(({ id }) => id.slice(11))).toEqual(["slope", "step"]);
});

test("figures of a piece: the seat first, ranges with one unit, a fixed one as one number", () => {
  expect(figuresOf(VALUES, FIELDS)).toEqual([
    { name: "Seat", value: "41 to 52 cm" },
    { name: "Seat depth", value: "45 cm" },
    { name: "Slope", value: "−5°" },
  ]);
  expect(figuresOf(VALUES, FIELDS, 1)).toHaveLength(1);
  expect(figuresOf({}, FIELDS)).toEqual([]);
});

test("figures of a workstation: one a piece", () => {
  const pieces = ["chair", "desk"].map((id) => ({
    id,
    label: id,
    paths: FIELDS.map((field) => field.id).filter((path) => path.includes(`.${id}.`)),
  }));
  const values = { ...VALUES, "look.desk.surface_min": "24 in" };
  expect(figuresOfStation(values, FIELDS, pieces).map((figure) => figure.value)).toEqual([
    "41 to 52 cm",
    "24 in",
  ]);
});

test("what depends on another answer is asked with it only", () => {
  const asked = { ...field("a", "length", "A"), when: [["kind", ["arm"]]] } as Schemas["FieldView"];
  expect(appliesTo(asked, { kind: "arm" })).toBe(true);
  expect(appliesTo(asked, {})).toBe(false);
});
