import type { Schemas } from "@/shared/api/client";

type Row = Schemas["RowView"];
type Scene = Schemas["Scene"];

/** What of the drawing can be moved: by which row, and along which way. */
const DRAGGED: Record<string, { key: string; way: "up" | "along" | "across" }> = {
  seat: { key: "seat", way: "up" },
  footrest: { key: "footrest", way: "up" },
  armrest: { key: "armrest", way: "up" },
  surface: { key: "surface", way: "up" },
  keys: { key: "surface", way: "up" },
  screen_top: { key: "screen_top", way: "up" },
  distance: { key: "distance", way: "along" },
  mouse: { key: "mouse", way: "across" },
};

export type Grip = { path: string; start: number; way: "up" | "along" | "across"; sign: number };

/** What a part of the drawing is to be dragged by; null where it can't be. */
export function gripOf(
  part: string,
  posture: string,
  rows: readonly Row[],
  scene: Scene,
): Grip | null {
  const way = DRAGGED[part];
  if (!way) return null;
  const own = posture === "plan" ? "seated" : posture;
  if (way.way === "across" && posture !== "plan") return null;
  if (way.way !== "across" && posture === "plan") return null;
  const row = rows.find((one) => one.key === way.key && one.posture === own);
  const start = row?.at.setting;
  if (start == null) return null;
  const sign = way.way === "across" ? Math.sign(scene.plan_px_per_mm ?? 1) : 1;
  const facing = way.way === "along" && own === "standing" ? -1 : 1;
  return { path: `work.${own}.${way.key}`, start, way: way.way, sign: sign * facing };
}

/** Where a grip has been moved to by so many pixels, in whole millimetres. */
export function draggedTo(grip: Grip, dx: number, dy: number, scene: Scene): number {
  const scale =
    grip.way === "across" ? Math.abs(scene.plan_px_per_mm ?? scene.px_per_mm) : scene.px_per_mm;
  const moved = grip.way === "up" ? -dy / scale : (grip.sign * dx) / scale;
  return Math.round(grip.start + moved);
}
