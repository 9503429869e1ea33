import type { Point, Shot } from "./points";

/** The part of a photograph that is shown, px of the photograph. */
export type Frame = Point & { width: number; height: number };
type Size = Pick<Shot, "width" | "height">;

/** So many times as large as the whole picture at most. House value: a pixel is then several mm wide. */
const MOST = 8;
/** How much nearer one press or one notch of the wheel goes. House value. */
export const STEP = 1.5;

export function whole({ width, height }: Size): Frame {
  return { x: 0, y: 0, width, height };
}

/** Nearer by a factor above 1, further by one below; the spot at `about` stays where it is. */
export function zoomed(frame: Frame, shot: Size, factor: number, about: Point): Frame {
  const width = Math.min(shot.width, Math.max(shot.width / MOST, frame.width / factor));
  const by = width / frame.width;
  return within(
    {
      x: about.x - (about.x - frame.x) * by,
      y: about.y - (about.y - frame.y) * by,
      width,
      height: frame.height * by,
    },
    shot,
  );
}

/** Moved, as far as the picture reaches. */
export function moved(frame: Frame, shot: Size, dx: number, dy: number): Frame {
  return within({ ...frame, x: frame.x + dx, y: frame.y + dy }, shot);
}

/** The same frame where it shows a spot well, else the one around it. */
export function showing(frame: Frame, shot: Size, { x, y }: Point): Frame {
  const [right, down] = [(x - frame.x) / frame.width, (y - frame.y) / frame.height];
  if (Math.min(right, 1 - right, down, 1 - down) > 0.05) return frame;
  return moved(frame, shot, x - frame.x - frame.width / 2, y - frame.y - frame.height / 2);
}

function within(frame: Frame, { width, height }: Size): Frame {
  return {
    ...frame,
    x: Math.min(width - frame.width, Math.max(0, frame.x)),
    y: Math.min(height - frame.height, Math.max(0, frame.y)),
  };
}
