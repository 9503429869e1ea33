import { t } from "@lingui/core/macro";
import { type CSSProperties, type KeyboardEvent, memo, type PointerEvent, useRef } from "react";
import type { Schemas } from "@/shared/api/client";
import { inkStyle } from "./ink";

type Scene = Schemas["Scene"];
type Mark = Schemas["Mark"];
type Inks = Record<string, Schemas["Ink"]>;

/** How far an arrow key moves a flag; with Shift one millimetre. */
const NUDGE_MM = 5;
/** Steps of the keys: a ring turns by a degree, or by five. */
const NUDGES: Record<string, number> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 5,
  PageDown: -5,
};
/** How near a ring a finger has to be, px. */
const HOLD_PX = 18;

/** A hand on the drawing. */
export type Hand = {
  /** Take hold of a part; whether it can be moved. */
  grab: (part: string, posture: string) => boolean;
  /** It has been moved so far from where it was taken hold of, px. */
  drag: (dx: number, dy: number) => void;
  /** A key moves it: so many millimetres or degrees more. */
  nudge: (up: number) => void;
};

/** The elevation: marks from the server, inked. Flags can be pressed; the table twin says the same. */
export const Elevation = memo(function Elevation({
  scene,
  inks,
  active,
  onPick,
  hand,
  label,
}: {
  scene: Scene;
  inks: Inks;
  active: string | null;
  onPick: (part: string, posture: string) => void;
  /** What moves parts, where they can be moved. */
  hand: Hand | null;
  label: string;
}) {
  const held = useRef<{ x: number; y: number; moved: boolean } | null>(null);
  const partOf = (target: EventTarget): [string, string] | null => {
    const mark = (target as Element).closest<SVGElement>("[data-part]");
    return mark ? [mark.dataset.part ?? "", mark.dataset.posture ?? ""] : null;
  };
  const grab = (event: PointerEvent<SVGSVGElement>) => {
    const part = partOf(event.target);
    if (!part || !hand?.grab(...part)) return;
    held.current = { x: event.clientX, y: event.clientY, moved: false };
  };
  const move = (event: PointerEvent<SVGSVGElement>) => {
    const from = held.current;
    if (!from) return;
    const dx = event.clientX - from.x;
    const dy = event.clientY - from.y;
    if (!from.moved && Math.hypot(dx, dy) < 4) return;
    if (!from.moved) event.currentTarget.setPointerCapture(event.pointerId);
    from.moved = true;
    hand?.drag(dx, dy);
  };
  const drop = () => {
    held.current = null;
  };
  const nudge = (event: KeyboardEvent<SVGSVGElement>) => {
    const way = NUDGES[event.key];
    const part = partOf(event.target);
    if (!way || !part || !hand?.grab(...part)) return;
    event.preventDefault();
    const ring = (event.target as Element).getAttribute("role") === "slider";
    if (!ring && Math.abs(way) > 1) return;
    hand.nudge(way * (event.shiftKey || ring ? 1 : NUDGE_MM));
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: SVG has no fieldset; flags inside are buttons
    <svg
      viewBox={`0 0 ${scene.width} ${scene.height}`}
      width={scene.width}
      height={scene.height}
      role="group"
      aria-label={label}
      className={`block max-w-full select-none ${hand ? "touch-none" : ""}`}
      data-testid="elevation"
      onPointerDown={grab}
      onPointerMove={move}
      onPointerUp={drop}
      onPointerCancel={drop}
      onKeyDown={nudge}
    >
      <defs>
        <pattern
          id="hatch"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="5" height="5" fill="var(--ground)" />
          <path d="M0 0V5" stroke="var(--ink)" strokeWidth="1.6" />
        </pattern>
      </defs>
      {scene.marks.map((mark, index) => (
        <Inked
          key={keyOf(mark, index)}
          mark={mark}
          ink={inks[mark.role]}
          lit={mark.part !== "" && mark.part === active && mark.role.startsWith("flag-")}
          onPick={onPick}
        />
      ))}
    </svg>
  );
});

/** Marks have no identity of their own, but for those that hold the focus, and the arrow that grows. */
function keyOf(mark: Mark, index: number): string | number {
  if (mark.role === "measure-arrow") return t`arrow ${mark.part}`;
  return isButton(mark) || mark.role === "grip" ? `${mark.posture} ${mark.part}` : index;
}

function isButton({ kind, role }: Mark): boolean {
  const flag = role.startsWith("flag-");
  return kind === "path" && (flag || role === "habit-on" || role === "habit-off");
}

/** One mark; one that is the same as before is not drawn again. */
export const Inked = memo(function Inked({
  mark,
  ink,
  lit,
  onPick,
}: {
  mark: Mark;
  ink: Schemas["Ink"] | undefined;
  lit: boolean;
  /** None where nothing of the drawing can be pressed. */
  onPick: ((part: string, posture: string) => void) | null;
}) {
  if (!ink) return null;
  const style = inkStyle(ink, mark.kind === "text", lit);
  if (mark.role === "measure-arrow")
    return <path style={{ ...style, d: `path("${mark.d}")` } as CSSProperties} className="grows" />;
  if (mark.kind === "text")
    return (
      // biome-ignore lint/a11y/noAriaHiddenOnFocusable: SVG text takes no focus; flags say it in words
      <text
        x={mark.x}
        y={mark.y}
        textAnchor={mark.anchor}
        style={style}
        pointerEvents="none"
        aria-hidden="true"
      >
        {mark.text}
      </text>
    );
  if (mark.role === "grip")
    return (
      <g
        role="slider"
        tabIndex={0}
        aria-label={mark.text}
        aria-valuenow={Math.round(mark.value ?? 0)}
        aria-valuemin={-180}
        aria-valuemax={180}
        aria-valuetext={mark.text}
        data-part={mark.part}
        data-posture={mark.posture}
        style={{ cursor: "grab" }}
      >
        <title>{mark.text}</title>
        <circle cx={mark.x} cy={mark.y} r={HOLD_PX} fill="transparent" />
        <circle cx={mark.x} cy={mark.y} r={mark.size} style={style} />
      </g>
    );
  if (mark.kind === "dot") return <circle cx={mark.x} cy={mark.y} r={mark.size} style={style} />;
  const habit = mark.role === "habit-on" || mark.role === "habit-off";
  if (!isButton(mark) || !onPick) {
    const pick =
      onPick && mark.part
        ? {
            onClick: () => onPick(mark.part, mark.posture),
            "data-part": mark.part,
            "data-posture": mark.posture,
          }
        : {};
    return <path d={mark.d} style={style} {...pick} />;
  }
  const press = (event: KeyboardEvent) => {
    if (event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    onPick(mark.part, mark.posture);
  };
  return (
    // biome-ignore lint/a11y/useSemanticElements: SVG has no button element
    <path
      d={mark.d}
      style={{ ...style, cursor: "pointer" }}
      role="button"
      tabIndex={0}
      data-part={mark.part}
      data-posture={mark.posture}
      aria-label={mark.text}
      {...(habit ? { "aria-pressed": mark.role === "habit-on" } : {})}
      onClick={() => onPick(mark.part, mark.posture)}
      onKeyDown={press}
    />
  );
});
