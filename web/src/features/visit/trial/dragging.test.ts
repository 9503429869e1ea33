import { describe, expect, it } from "vitest";
import type { Schemas } from "@/shared/api/client";
import { draggedTo, gripOf } from "./dragging";

const scene = { width: 860, height: 700, px_per_mm: 0.5, marks: [], plan_px_per_mm: -0.25 };
const row = (posture: string, key: string, setting: number | null) =>
  ({ posture, key, at: { setting } }) as unknown as Schemas["RowView"];

describe("dragging on the drawing", () => {
  const rows = [
    row("seated", "surface", 700),
    row("standing", "distance", 600),
    row("seated", "mouse", 345),
    row("seated", "seat", null),
  ];

  it("moves a height up by what the scale says, keys with their surface", () => {
    const grip = gripOf("keys", "seated", rows, scene);
    expect(grip?.path).toBe("work.seated.surface");
    expect(grip && draggedTo(grip, 40, -10, scene)).toBe(720);
  });

  it("reads a distance against the way the figure faces", () => {
    const grip = gripOf("distance", "standing", rows, scene);
    expect(grip && draggedTo(grip, -50, 0, scene)).toBe(700);
  });

  it("reads the mouse on the plan's own scale, to the left where it lies there", () => {
    const grip = gripOf("mouse", "plan", rows, scene);
    expect(grip?.path).toBe("work.seated.mouse");
    expect(grip && draggedTo(grip, -25, 0, scene)).toBe(445);
  });

  it("grips nothing that is not set or has no way", () => {
    expect(gripOf("seat", "seated", rows, scene)).toBeNull();
    expect(gripOf("elbow", "seated", rows, scene)).toBeNull();
    expect(gripOf("mouse", "seated", rows, scene)).toBeNull();
  });
});
