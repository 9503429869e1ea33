import { type PointerEvent, type RefObject, useEffect, useMemo, useRef, useState } from "react";
import type { Point, Shot } from "./points";
import { type Frame, moved, STEP, showing, whole, zoomed } from "./zoom";

/** Where a place on the screen lies in the photograph, px. */
export function inPicture(
  svg: SVGSVGElement | null,
  event: { clientX: number; clientY: number },
): Point {
  const matrix = svg?.getScreenCTM();
  if (!matrix) return { x: 0, y: 0 };
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  return { x, y };
}

/** Nearer and further by wheel, two fingers, keys or buttons; `perPx` are photograph px for one of the screen. */
export function useZoom(svg: RefObject<SVGSVGElement | null>, { width, height }: Shot) {
  const shot = useMemo(() => ({ width, height }), [width, height]);
  const [frame, setFrame] = useState<Frame>(() => whole(shot));
  const [size, setSize] = useState({ width: 1, height: 1 });
  const fingers = useRef(new Map<number, Point>());
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    const watch = new ResizeObserver(() => setSize(element.getBoundingClientRect()));
    const turn = (event: WheelEvent) => {
      event.preventDefault();
      const about = inPicture(element, event);
      setFrame((last) => zoomed(last, shot, STEP ** (-event.deltaY / 100), about));
    };
    watch.observe(element);
    element.addEventListener("wheel", turn, { passive: false });
    return () => {
      watch.disconnect();
      element.removeEventListener("wheel", turn);
    };
  }, [svg, shot]);
  const by = (factor: number) =>
    setFrame((last) => {
      const middle = { x: last.x + last.width / 2, y: last.y + last.height / 2 };
      return zoomed(last, shot, factor, middle);
    });
  const perPx = Math.max(frame.width / (size.width || 1), frame.height / (size.height || 1));
  const place = (event: PointerEvent): Point => ({ x: event.clientX, y: event.clientY });
  return {
    frame,
    perPx,
    near: frame.width < shot.width,
    nearer: () => by(STEP),
    further: () => by(1 / STEP),
    toWhole: () => setFrame(whole(shot)),
    show: (point: Point) => setFrame((last) => showing(last, shot, point)),
    pan: (event: PointerEvent) =>
      setFrame((last) => moved(last, shot, -event.movementX * perPx, -event.movementY * perPx)),
    /** Fingers on the picture; true while two of them hold it. */
    down: (event: PointerEvent) => {
      fingers.current.set(event.pointerId, place(event));
      return fingers.current.size > 1;
    },
    up: (event: PointerEvent) => fingers.current.delete(event.pointerId),
    pinch: (event: PointerEvent) => {
      const before = [...fingers.current.values()];
      if (before.length !== 2 || !fingers.current.has(event.pointerId)) return false;
      fingers.current.set(event.pointerId, place(event));
      const now = [...fingers.current.values()];
      const [from, to] = [spread(before), spread(now)];
      const about = inPicture(svg.current, { clientX: to.x, clientY: to.y });
      setFrame((last) =>
        moved(
          zoomed(last, shot, to.far / (from.far || 1), about),
          shot,
          (from.x - to.x) * perPx,
          (from.y - to.y) * perPx,
        ),
      );
      return true;
    },
  };
}

function spread([a, b]: Point[]): Point & { far: number } {
  if (!a || !b) return { x: 0, y: 0, far: 1 };
  return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, far: Math.hypot(a.x - b.x, a.y - b.y) };
}
