import { t } from "@lingui/core/macro";
import { Maximize, ZoomIn, ZoomOut } from "lucide-react";
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { DrawnPicture } from "@/shared/ui/picture";
import { useVisitFacts } from "../../../state/facts";
import { useCells, useQueue } from "../../../state/recording";
import { linesOf, type Point, pointsOf, type Shot } from "./points";
import { withError } from "./readings";
import { inPicture, useZoom } from "./use-zoom";

type Mark = Schemas["Landmark"];

const LEFT = new Set([
  "ear",
  "c7",
  "shoulder",
  "hip",
  "scale_a",
  "scale_b",
  "upright_a",
  "upright_b",
  "shoulder_left",
  "hip_left",
  "elbow_left",
  "other_shoulder",
]); // prettier-ignore
const NUDGES: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** A photograph with its points: dragged, or nudged by arrow keys under a magnifier. */
export function Placing({
  shot,
  marks,
  present,
  read,
  onChoose,
}: {
  shot: Shot;
  /** What is read from it so far. */
  read: Schemas["PhotoView"] | undefined;
  marks: readonly Mark[];
  present: string | null;
  onChoose: (mark: string | null) => void;
}) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const svg = useRef<SVGSVGElement>(null);
  const [moving, setMoving] = useState<{ id: string; point: Point } | null>(null);
  const zoom = useZoom(svg, shot);
  const { frame, perPx } = zoom;
  const [panning, setPanning] = useState(false);

  const points = pointsOf(cells, shot.id, marks);
  if (moving) points[moving.id] = moving.point;
  const focus = moving?.id ?? present;
  const under = focus ? points[focus] : undefined;

  const inside = (point: Point): Point => ({
    x: Math.min(shot.width, Math.max(0, point.x)),
    y: Math.min(shot.height, Math.max(0, point.y)),
  });
  const place = (id: string, { x, y }: Point) =>
    queue.type(`look.photo.${shot.id}.${id}`, `${x.toFixed(1)} ${y.toFixed(1)}`, unit);
  const at = (event: PointerEvent): Point => inside(inPicture(svg.current, event));
  const start = (event: PointerEvent, id: string) => {
    if (readOnly || (present && !points[present])) return; // the one to be placed goes first
    event.stopPropagation();
    if (zoom.down(event)) return setMoving(null); // two fingers move the picture
    svg.current?.setPointerCapture(event.pointerId);
    onChoose(id);
    setMoving({ id, point: points[id] ?? at(event) });
  };
  const down = (event: PointerEvent) => {
    if (zoom.down(event)) return setMoving(null);
    svg.current?.setPointerCapture(event.pointerId);
    if (readOnly || !present || points[present]) setPanning(true);
    else setMoving({ id: present, point: at(event) });
  };
  const move = (event: PointerEvent) => {
    if (zoom.pinch(event)) return;
    if (moving) setMoving({ ...moving, point: at(event) });
    else if (panning) zoom.pan(event);
  };
  const up = (event: PointerEvent) => {
    zoom.up(event);
    setPanning(false);
    if (!moving) return;
    place(moving.id, moving.point);
    const next = marks.find((mark) => !points[mark.id]);
    setMoving(null);
    if (!pointsOf(cells, shot.id, marks)[moving.id]) onChoose(next?.id ?? moving.id);
  };
  const press = (event: KeyboardEvent, id: string) => {
    const nudge = NUDGES[event.key];
    const here = points[id];
    if (nudge && here && !readOnly) {
      const far = event.shiftKey ? 10 : 1;
      const to = inside({ x: here.x + far * nudge[0], y: here.y + far * nudge[1] });
      place(id, to);
      zoom.show(to);
    } else if (event.key === "Enter") {
      const next = marks[(marks.findIndex((mark) => mark.id === id) + 1) % marks.length];
      if (next) onChoose(next.id);
    } else if ((event.key === "Delete" || event.key === "Backspace") && !readOnly) {
      svg.current?.focus(); // the point goes, and the focus stays on the picture
      queue.type(`look.photo.${shot.id}.${id}`, "", unit);
    } else return;
    event.preventDefault();
  };
  /** By key alone: plus and minus zoom; the first press on the picture puts the present point in its middle. */
  const begin = (event: KeyboardEvent) => {
    const nearer = { "+": zoom.nearer, "-": zoom.further, "0": zoom.toWhole }[event.key];
    if (nearer) {
      event.preventDefault();
      nearer();
      return;
    }
    if (event.target !== svg.current || !present || points[present] || readOnly) return;
    if (!NUDGES[event.key] && event.key !== "Enter") return;
    event.preventDefault();
    place(present, { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 });
  };
  const focused = useRef<SVGGElement>(null);
  const there = present ? points[present] !== undefined : false;
  // biome-ignore lint/correctness/useExhaustiveDependencies: a newly chosen point comes into view, and takes the focus
  useEffect(() => {
    if (present && points[present]) zoom.show(points[present]);
    if (!svg.current?.contains(document.activeElement)) return;
    if (there) focused.current?.focus();
    else svg.current.focus(); // the next key places it
  }, [present, there]);

  const labels = fanned(marks, points, perPx);
  return (
    <div className="relative flex min-h-0 flex-1 flex-col bg-deep" data-own-keys="">
      {/* biome-ignore lint/a11y/useSemanticElements: SVG has no fieldset */}
      <svg
        ref={svg}
        viewBox={`${frame.x} ${frame.y} ${frame.width} ${frame.height}`}
        role="group"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the picture takes the first key
        tabIndex={0}
        aria-label={t`Photo with points. Press Enter or an arrow key to place the next point in the middle`}
        className={`min-h-0 w-full flex-1 touch-none select-none ${!readOnly && present && !points[present] ? "cursor-crosshair" : ""}`}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={(event) => {
          zoom.up(event);
          setPanning(false);
          setMoving(null);
        }}
        onKeyDown={begin}
        data-testid="photo"
      >
        <DrawnPicture id={shot.id} width={shot.width} height={shot.height} />
        {[
          ["var(--ground)", 3.4],
          ["var(--ink)", 1.4],
        ].map(([colour, width]) => (
          <path
            key={colour}
            d={linesOf(points)}
            fill="none"
            stroke={`${colour}`}
            strokeWidth={Number(width) * perPx}
          />
        ))}
        {marks.map((mark) => {
          const point = points[mark.id];
          if (!point) return null;
          const on = mark.id === focus;
          const label = labels[mark.id] ?? point;
          return (
            // biome-ignore lint/a11y/useSemanticElements: SVG has no button element
            <g
              key={mark.id}
              ref={on ? focused : null}
              role="button"
              tabIndex={0}
              aria-label={`${mark.label}, ${point.x.toFixed(0)} ${point.y.toFixed(0)} px`}
              data-point={mark.id}
              onPointerDown={(event) => start(event, mark.id)}
              onFocus={() => mark.id !== present && onChoose(mark.id)}
              onKeyDown={(event) => press(event, mark.id)}
              style={{ cursor: readOnly ? "default" : "grab", outline: "none" }}
            >
              <circle cx={point.x} cy={point.y} r={22 * perPx} fill="transparent" />
              <circle
                cx={point.x}
                cy={point.y}
                r={(on ? 9 : 6) * perPx}
                fill="none"
                stroke="var(--ground)"
                strokeWidth={4.5 * perPx}
              />
              <circle
                cx={point.x}
                cy={point.y}
                r={(on ? 9 : 6) * perPx}
                fill="none"
                stroke={on ? "var(--accent)" : "var(--ink)"}
                strokeWidth={2 * perPx}
              />
              <text
                x={label.x}
                y={label.y}
                textAnchor={LEFT.has(mark.id) ? "end" : "start"}
                fontSize={12.5 * perPx}
                fontWeight={on ? 600 : 400}
                fill="var(--ink)"
                stroke="var(--ground)"
                strokeWidth={3.5 * perPx}
                paintOrder="stroke"
              >
                {mark.label}
              </text>
            </g>
          );
        })}
      </svg>
      {under && !readOnly && (
        <Magnifier shot={shot} point={under} left={under.x > shot.width / 2} />
      )}
      <ReadSoFar read={read} />
      <div className="flex items-center gap-2 px-3 py-1">
        <p className="flex-1 text-sm text-soft">
          {t`Drag a point, or move it with the arrow keys (with Shift by 10 px). Enter: next point.`}
        </p>
        {[
          { label: t`Zoom in`, icon: ZoomIn, act: zoom.nearer, off: false },
          { label: t`Zoom out`, icon: ZoomOut, act: zoom.further, off: !zoom.near },
          { label: t`Show the whole photo`, icon: Maximize, act: zoom.toWhole, off: !zoom.near },
        ].map(({ label, icon: Icon, act, off }) => (
          <button
            key={label}
            type="button"
            aria-label={label}
            title={label}
            disabled={off}
            onClick={act}
            className="grid size-11 place-items-center border border-ink/60 bg-ground disabled:opacity-40"
          >
            <Icon size={18} aria-hidden="true" />
          </button>
        ))}
      </div>
    </div>
  );
}

/** What the points say so far, under the photo where the hand is. */
function ReadSoFar({ read }: { read: Schemas["PhotoView"] | undefined }) {
  const readingViews = read?.readings.filter((reading) => reading.value) ?? [];
  return (
    <ul
      aria-label={t`Readings so far`}
      className="figures flex min-h-9 flex-wrap items-center gap-x-4 border-t border-hair bg-ground px-3 py-1 text-sm"
    >
      {readingViews.map((reading) => (
        <li key={reading.id}>
          {reading.label} <b>{withError(reading)}</b>
        </li>
      ))}
      {readingViews.length === 0 && (
        <li className="text-soft">{t`Angles appear here as points are placed.`}</li>
      )}
    </ul>
  );
}

/** Four times the picture around a point, with a cross where the point is. */
function Magnifier({ shot, point, left }: { shot: Shot; point: Point; left: boolean }) {
  const half = Math.max(16, shot.width / 50);
  return (
    <svg
      viewBox={`${point.x - half} ${point.y - half} ${2 * half} ${2 * half}`}
      className={`pointer-events-none absolute top-3 size-40 border-2 border-ink bg-deep ${left ? "start-3" : "end-3"}`}
      aria-hidden="true"
      data-testid="magnifier"
    >
      <DrawnPicture id={shot.id} width={shot.width} height={shot.height} />
      <path
        d={`M${point.x - half} ${point.y}H${point.x - half / 6}M${point.x + half / 6} ${point.y}H${point.x + half}M${point.x} ${point.y - half}V${point.y - half / 6}M${point.x} ${point.y + half / 6}V${point.y + half}`}
        stroke="var(--accent)"
        strokeWidth={half / 40}
      />
    </svg>
  );
}

/** Where labels stand: beside their point, pushed down where two would lie on each other. */
function fanned(
  marks: readonly Mark[],
  points: Record<string, Point>,
  perPx: number,
): Record<string, Point> {
  const labels: Record<string, Point> = {};
  for (const left of [true, false]) {
    const mine = marks
      .filter((mark) => LEFT.has(mark.id) === left && points[mark.id])
      .sort((a, b) => (points[a.id]?.y ?? 0) - (points[b.id]?.y ?? 0));
    const done: (Point & { wide: number })[] = [];
    for (const mark of mine) {
      const point = points[mark.id];
      if (!point) continue;
      let y = point.y + 4 * perPx;
      const x = point.x + (left ? -14 : 14) * perPx;
      const wide = 6.8 * perPx * mark.label.length;
      for (const other of done)
        if (
          Math.abs(other.y - y) < 15 * perPx &&
          (left
            ? Math.max(other.x - other.wide, x - wide) < Math.min(other.x, x)
            : Math.max(other.x, x) < Math.min(other.x + other.wide, x + wide))
        )
          y = other.y + 15 * perPx;
      labels[mark.id] = { x, y };
      done.push({ x, y, wide });
    }
  }
  return labels;
}
