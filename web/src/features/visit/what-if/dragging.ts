import type { Schemas, Unit } from "@/shared/api/client";
import { lengthText } from "@/shared/quantity";

type Row = Schemas["RowView"];
type Scene = Schemas["Scene"];

type Point = { x: number; y: number };

export type Held =
  | { path: string; start: number; way: "up" | "along" | "across"; sign: number }
  | { path: string; start: number; way: "round"; sign: number; from: Point; centre: Point };

/** What a part of the drawing is to be dragged by; null where it can't be. */
export function heldBy(
  part: string,
  posture: string,
  rows: readonly Row[],
  scene: Scene,
): Held | null {
  const ring = scene.grips?.find((grip) => grip.field === part && grip.posture === posture);
  if (ring)
    return {
      path: ring.field,
      start: ring.degrees,
      way: "round",
      sign: ring.sign,
      from: { x: ring.x, y: ring.y },
      centre: { x: ring.centre_x, y: ring.centre_y },
    };
  const own = posture === "plan" ? "seated" : posture;
  const key = part === "keys" ? "surface" : part; // the keys move with what they stand on
  const row = rows.find((row) => row.key === key && row.posture === own);
  const way = row?.drag;
  const start = row?.at.setting;
  if (!way || start == null || (way === "across") !== (posture === "plan")) return null;
  const sign = way === "across" ? Math.sign(scene.plan_px_per_mm ?? 1) : 1;
  const facing = way === "along" && own === "standing" ? -1 : 1;
  return { path: `work.${own}.${key}`, start, way, sign: sign * facing };
}

type Ends = { low?: number | null | undefined; high?: number | null | undefined };

/** What is tried where something has been moved by so many pixels: whole millimetres, or degrees. */
export function draggedTo(
  held: Held,
  dx: number,
  dy: number,
  scene: Scene,
  unit: Unit,
  ends: Ends = {},
): string {
  if (held.way === "round") {
    const { from, centre } = held;
    const turn = wayOf(centre, { x: from.x + dx, y: from.y + dy }) - wayOf(centre, from);
    return typed(held, ((((turn + 180) % 360) + 360) % 360) - 180, unit, ends);
  }
  const scale =
    held.way === "across" ? Math.abs(scene.plan_px_per_mm ?? scene.px_per_mm) : scene.px_per_mm;
  return typed(held, held.way === "up" ? -dy / scale : dx / scale, unit, ends);
}

/** What a press of an arrow key makes of it: up is more. */
export function nudgedTo(held: Held, up: number, unit: Unit, ends: Ends = {}): string {
  return typed({ ...held, sign: 1 }, up, unit, ends);
}

/** As it would be typed: in the display unit, no further than its field goes. */
function typed(held: Held, by: number, unit: Unit, { low, high }: Ends): string {
  const wanted = Math.round(held.start + (held.way === "up" ? by : held.sign * by));
  const value = Math.min(high ?? wanted, Math.max(low ?? wanted, wanted));
  if (held.way === "round") return `${value}`;
  return lengthText(value, unit);
}

/** Direction of a point from a centre, degrees counter-clockwise; pixels count down. */
function wayOf(centre: Point, point: Point): number {
  return (Math.atan2(centre.y - point.y, point.x - centre.x) * 180) / Math.PI;
}
