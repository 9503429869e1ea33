import type { Schemas } from "@/shared/api/client";
import type { FieldState } from "../../../saving/field-state";
import { useVisitFacts } from "../../../state/facts";
import { useCells } from "../../../state/recording";

export type Point = { x: number; y: number };
export type Points = Record<string, Point>;
export type Shot = {
  id: string;
  width: number;
  height: number;
  view: "side" | "rear";
  posture: string;
  when: string;
};

/** The photographs of the visit with what is said of them. */
export function useShots(): Shot[] {
  const { visit } = useVisitFacts();
  const cells = useCells();
  const shots = visit.photos.map((photo): Shot => {
    const said = (what: string) => cells.get(`look.photo.${photo.id}.${what}`)?.typed ?? "";
    return {
      id: photo.id,
      width: photo.width,
      height: photo.height,
      view: said("view") === "rear" ? "rear" : "side",
      posture: said("posture") || "seated",
      when: said("when") || "before",
    };
  });
  const place = (shot: Shot) =>
    `${shot.posture} ${shot.view === "side" ? 0 : 1} ${shot.when === "before" ? 0 : 1}`;
  return shots.sort((a, b) => place(a).localeCompare(place(b)));
}

/** The points placed on a photograph, px. */
export function pointsOf(
  cells: ReadonlyMap<string, FieldState>,
  photo: string,
  marks: readonly Schemas["Landmark"][],
): Points {
  const points: Points = {};
  for (const mark of marks) {
    const [x, y] = (cells.get(`look.photo.${photo}.${mark.id}`)?.typed ?? "")
      .split(/[ ,]+/)
      .map(Number);
    if (x !== undefined && y !== undefined && Number.isFinite(x + y)) points[mark.id] = { x, y };
  }
  return points;
}

/** Lines between points that make the angles seen. */
export const LINES: readonly (readonly string[])[] = [
  ["c7", "ear"],
  ["c7", "shoulder"],
  ["shoulder", "hip", "knee", "ankle"],
  ["shoulder", "elbow", "wrist", "knuckle"],
  ["eye", "screen_top"],
  ["eye", "screen_bottom"],
  ["scale_a", "scale_b"],
  ["upright_a", "upright_b"],
  ["shoulder_left", "shoulder_right"],
  ["hip_left", "hip_right"],
  ["shoulder_left", "elbow_left"],
  ["shoulder_right", "elbow_right"],
];

/** The lines whose ends are placed, as SVG path data. */
export function linesOf(points: Points): string {
  return LINES.map((line) => {
    const known = line.map((name) => points[name]).filter((point) => point !== undefined);
    return known.length > 1 ? `M${known.map(({ x, y }) => `${x} ${y}`).join("L")}` : "";
  }).join("");
}
