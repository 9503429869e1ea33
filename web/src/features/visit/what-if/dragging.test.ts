import { describe, expect, it } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { draggedTo, heldBy, nudgedTo } from "./dragging";

const scene = {
  width: 860,
  height: 700,
  px_per_mm: 0.5,
  marks: [],
  grips: [],
  plan_px_per_mm: -0.25,
};
const WAYS: Record<string, string> = { distance: "along", mouse: "across" };
const row = (posture: string, key: string, setting: number | null) =>
  ({ posture, key, drag: WAYS[key] ?? "up", at: { setting } }) as unknown as Schemas["RowView"];

describe("dragging on the drawing", () => {
  const rows = [
    row("seated", "surface", 700),
    row("standing", "distance", 600),
    row("seated", "mouse", 345),
    row("seated", "seat", null),
  ];

  it("moves a height up by what the scale says, keys with their surface", () => {
    const held = heldBy("keys", "seated", rows, scene);
    expect(held?.path).toBe("work.seated.surface");
    expect(held && draggedTo(held, 40, -10, scene, "mm")).toBe("720");
  });

  it("reads a distance against the way the figure faces", () => {
    const held = heldBy("distance", "standing", rows, scene);
    expect(held && draggedTo(held, -50, 0, scene, "mm")).toBe("700");
  });

  it("reads the mouse on the plan’s own scale, to the left where it lies there", () => {
    const held = heldBy("mouse", "plan", rows, scene);
    expect(held?.path).toBe("work.seated.mouse");
    expect(held && draggedTo(held, -25, 0, scene, "mm")).toBe("445");
  });

  it("types in the display unit, and no further than the field goes", () => {
    const held = heldBy("keys", "seated", rows, scene);
    const at = (unit: "cm" | "in", ends = {}) => held && draggedTo(held, 0, -10, scene, unit, ends);
    expect([at("cm"), at("in")]).toEqual(["72.0", "28.35"]);
    expect(at("cm", { low: 350, high: 710 })).toBe("71.0");
  });

  it("grips nothing that is not set or has no way", () => {
    expect(heldBy("seat", "seated", rows, scene)).toBeNull();
    expect(heldBy("elbow", "seated", rows, scene)).toBeNull();
    expect(heldBy("mouse", "seated", rows, scene)).toBeNull();
  });

  it("turns a ring about its centre, the short way round, and by keys degree by degree", () => {
    const ring = {
      field: "work.number.recline",
      label: "Recline",
      posture: "seated",
      degrees: 10,
      x: 100,
      y: 50,
      centre_x: 100,
      centre_y: 100,
      sign: 1,
    };
    const held = heldBy(ring.field, "seated", rows, { ...scene, grips: [ring] });
    expect(held).toMatchObject({ way: "round", start: 10 });
    expect(held && draggedTo(held, -50, 50, scene, "mm")).toBe("100");
    expect(held && draggedTo(held, 50, 50, scene, "mm")).toBe("-80");
    expect(held && nudgedTo(held, -1, "mm")).toBe("9");
    const seat = heldBy("surface", "seated", rows, { ...scene, grips: [ring] });
    expect(seat && nudgedTo(seat, 5, "mm")).toBe("705");
  });
});
