import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type KeyboardEvent, type MouseEvent, type PointerEvent, useRef, useState } from "react";
import { Marks } from "@/drawing/marks";
import type { Schemas } from "@/shared/api/client";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";
import { type Spell, wholeSpell } from "./own-spell";

/** An edge goes by five minutes, by a quarter of an hour with Page up and down. */
const STEP_MIN = 5;
/** As long as a spell put by hand may be. */
const LONGEST_MIN = 480;
const STEPS: Record<string, number> = {
  ArrowLeft: -STEP_MIN,
  ArrowDown: -STEP_MIN,
  ArrowRight: STEP_MIN,
  ArrowUp: STEP_MIN,
  PageDown: -15,
  PageUp: 15,
};

/** The day as the core draws it; edges of what lies fast are drawn along it by hand or by key. */
export function DayBar({
  bar,
  day,
  picked,
  onPick,
}: {
  bar: Schemas["DayBar"];
  day: Schemas["DayView"];
  picked: Spell | null;
  onPick: (spell: Spell) => void;
}) {
  const { catalogue, readOnly } = useVisitFacts();
  const x = (value: number) => bar.left + (value - bar.first) * bar.px_per_min;
  /** A tap on the bar picks the spell that lies there. */
  const tap = (event: MouseEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const value = bar.first + (event.clientX - box.left - bar.left) / bar.px_per_min;
    const spell = day.spells.find(
      (spell) => spell.start <= value && value < spell.start + spell.minutes,
    );
    if (spell && (spell.kind === "rhythm" || spell.kind === "own")) onPick(spell);
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: by keys a spell is picked under Hour by hour
    <figure
      dir="ltr"
      className="relative mb-2"
      style={{ width: bar.width, maxWidth: "100%" }}
      onClick={readOnly ? undefined : tap}
    >
      <figcaption className="sr-only">
        <Trans>
          The day from {day.start} to {day.end}: {day.totals.sit} minutes sitting,{" "}
          {day.totals.stand} standing, {day.totals.move} moving. See Hour by hour for details.
        </Trans>
      </figcaption>
      <Marks marks={bar.marks} inks={catalogue.inks} width={bar.width} height={bar.height} />
      {picked && (
        <span
          aria-hidden="true"
          className="pointer-events-none absolute top-5 border-2 border-b-0 border-ink"
          style={{ left: x(picked.start), width: picked.minutes * bar.px_per_min, height: 94 }}
        />
      )}
      {!readOnly &&
        bar.handles.map((handle) => (
          <Edge key={handle.field} handle={handle} perMin={bar.px_per_min} />
        ))}
      {!readOnly && picked?.kind === "rhythm" && (
        <Edge
          key={`end of ${picked.id}`}
          perMin={bar.px_per_min}
          also={wholeSpell(picked)}
          handle={{
            field: `pace.spell.${picked.id}.minutes`,
            label: t`${picked.label} ends`,
            x: x(picked.start + picked.minutes),
            at: picked.start + picked.minutes,
            low: picked.start + STEP_MIN,
            high: picked.start + LONGEST_MIN,
            start: picked.start,
          }}
        />
      )}
    </figure>
  );
}

function Edge({
  handle,
  perMin,
  also = [],
}: {
  handle: Schemas["DayHandle"];
  perMin: number;
  /** What is written with it. */
  also?: readonly (readonly [string, string])[];
}) {
  const { unit } = useVisitFacts();
  const queue = useQueue();
  const held = useRef<number | null>(null);
  const [at, setAt] = useState<number | null>(null);
  const shown = at ?? handle.at;
  const within = (minutes: number) =>
    Math.min(handle.high, Math.max(handle.low, Math.round(minutes / STEP_MIN) * STEP_MIN));
  const put = (minutes: number) => {
    setAt(null);
    if (minutes === handle.at) return;
    const typed =
      handle.start === null || handle.start === undefined
        ? clock(minutes)
        : String(minutes - handle.start);
    queue.typeAll([...also, [handle.field, typed]], unit);
  };
  const grab = (event: PointerEvent<HTMLElement>) => {
    held.current = event.clientX;
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const move = (event: PointerEvent<HTMLElement>) => {
    if (held.current === null) return;
    setAt(within(handle.at + (event.clientX - held.current) / perMin));
  };
  const drop = () => {
    if (held.current !== null && at !== null) put(at);
    held.current = null;
  };
  const key = (event: KeyboardEvent<HTMLElement>) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    put(within(handle.at + step));
  };
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={handle.label}
      aria-valuemin={handle.low}
      aria-valuemax={handle.high}
      aria-valuenow={shown}
      aria-valuetext={clock(shown)}
      className="group absolute top-0 flex w-11 -translate-x-1/2 cursor-ew-resize touch-none justify-center"
      style={{ left: handle.x + (shown - handle.at) * perMin, height: 118 }}
      onClick={(event) => event.stopPropagation()}
      onPointerDown={grab}
      onPointerMove={move}
      onPointerUp={drop}
      onPointerCancel={() => {
        held.current = null;
        setAt(null);
      }}
      onKeyDown={key}
    >
      <span
        aria-hidden="true"
        className="absolute top-4 bottom-1 w-0 border-s-2 border-ink opacity-60 group-hover:opacity-100 group-focus-visible:opacity-100"
      />
      <span
        aria-hidden="true"
        className="absolute top-2 size-3 rounded-full border-2 border-ink bg-ground"
      />
      {at !== null && (
        <output className="figures absolute -top-2 bg-ink px-1.5 text-sm text-ground">
          {clock(at)}
        </output>
      )}
    </div>
  );
}

function clock(minutes: number): string {
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, "0")}`;
}
