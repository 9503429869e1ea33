import { t } from "@lingui/core/macro";
import { clsx } from "clsx";
import { type KeyboardEvent, type PointerEvent, useRef, useState } from "react";
import type { Agenda, Appointment } from "@/shared/api/agenda";
import { clockOf, weekdayAndDay } from "@/shared/dates";
import { useMove } from "./use-move";
import { daysShown, hoursShown, inLanes, movedBy, STEP } from "./week";
import { fromTo, spoken, whoOf } from "./words";

/** Height of an hour, px. */
const HOUR_PX = 44;
const px = (minutes: number) => (minutes / 60) * HOUR_PX;
/** A pointer has to go so far before it drags, px: a press opens. */
const DRAGS_PX = 5;

type Drag = { line: Appointment; x: number; y: number; to: { on: string; at: number } | null };

/** The week beside the day: appointments are opened by a press, moved by dragging or by arrow keys. */
export function WeekGrid({
  agenda,
  day,
  onDay,
  onOpen,
  onFree,
  changes,
}: {
  agenda: Agenda;
  day: string;
  onDay: (day: string) => void;
  onOpen: (line: Appointment) => void;
  /** A free time was pressed. */
  onFree: (on: string, at: number) => void;
  changes: boolean;
}) {
  const { move, placed } = useMove();
  const days = daysShown(agenda);
  const [from, to] = hoursShown(agenda);
  const columns = useRef<HTMLDivElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const lines = agenda.appointments.map(placed);

  const goes = (event: PointerEvent, held: Drag) => {
    const box = columns.current?.getBoundingClientRect();
    if (!box) return null;
    const [dx, dy] = [event.clientX - held.x, event.clientY - held.y];
    if (!held.to && Math.hypot(dx, dy) < DRAGS_PX) return null;
    const mirrored = document.documentElement.dir === "rtl" ? -1 : 1;
    const by = Math.round((dx * mirrored) / (box.width / days.length));
    return movedBy(held.line, days, { minutes: (dy / HOUR_PX) * 60, days: by });
  };
  const keyed = (event: KeyboardEvent, line: Appointment) => {
    const mirrored = document.documentElement.dir === "rtl" ? -1 : 1;
    const by = {
      ArrowUp: { minutes: -STEP },
      ArrowDown: { minutes: STEP },
      ArrowLeft: { days: -mirrored },
      ArrowRight: { days: mirrored },
    }[event.key];
    if (!by || !changes || line.private) return;
    event.preventDefault();
    event.stopPropagation();
    move(line, movedBy(line, days, by));
  };

  return (
    <div>
      <div
        className="grid"
        style={{ gridTemplateColumns: `44px repeat(${days.length}, minmax(0, 1fr))` }}
      >
        <span />
        {days.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={each === day}
            onClick={() => onDay(each)}
            className={clsx(
              "figures min-h-11 border-b px-1 text-sm hover:bg-deep",
              each === day ? "border-b-2 border-ink font-semibold" : "border-hair",
              each === agenda.today && each !== day && "font-semibold",
            )}
          >
            {weekdayAndDay(each)}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-[44px_minmax(0,1fr)]">
        <div className="relative" style={{ height: px(to - from) }} aria-hidden="true">
          {hours(from, to).map((at) => (
            <span
              key={at}
              className="figures absolute start-0 -translate-y-1/2 text-xs text-soft"
              style={{ top: Math.max(8, px(at - from)) }}
            >
              {clockOf(at)}
            </span>
          ))}
        </div>
        <div
          ref={columns}
          className="relative grid"
          style={{ gridTemplateColumns: `repeat(${days.length}, minmax(0, 1fr))` }}
        >
          {days.map((each) => (
            // biome-ignore lint/a11y/noStaticElementInteractions lint/a11y/useKeyWithClickEvents: “New appointment” does the same by key
            <div
              key={each}
              className={clsx(
                "relative border-s border-hair",
                each === agenda.today && "bg-paper",
                changes && "cursor-copy",
              )}
              style={{ height: px(to - from) }}
              onClick={(event) => {
                if (!changes || event.target !== event.currentTarget) return;
                const { top } = event.currentTarget.getBoundingClientRect();
                const at = from + ((event.clientY - top) / HOUR_PX) * 60;
                onFree(each, Math.floor(at / STEP) * STEP);
              }}
            >
              {hours(from, to).map((at) => (
                <span
                  key={at}
                  aria-hidden="true"
                  className="pointer-events-none absolute inset-x-0 border-t border-hair/60"
                  style={{ top: px(at - from) }}
                />
              ))}
              {each === agenda.today && agenda.now >= from && agenda.now <= to && (
                <span
                  aria-hidden="true"
                  className="pointer-events-none absolute inset-x-0 z-20 border-t-2 border-accent"
                  style={{ top: px(agenda.now - from) }}
                />
              )}
              {inLanes(lines.filter(({ on }) => on === each)).map(({ line, lane, lanes }) => (
                <button
                  key={line.id}
                  type="button"
                  data-appointment={line.id}
                  aria-label={spoken(line)}
                  aria-keyshortcuts="ArrowUp ArrowDown ArrowLeft ArrowRight"
                  className={clsx(
                    "absolute z-10 flex touch-none flex-col justify-start overflow-hidden border bg-ground px-1 pt-0.5 text-start text-xs leading-tight",
                    line.clashes.length > 0 ? "border-2 border-ink" : "border-figure-line",
                    line.begun && "bg-deep",
                    line.private && "border-dashed text-soft",
                    drag?.line.id === line.id && drag.to && "opacity-40",
                  )}
                  style={{
                    top: px(line.at - from),
                    height: Math.max(24, px(line.minutes) - 1),
                    insetInlineStart: `${(lane / lanes) * 100}%`,
                    width: `calc(${100 / lanes}% - 2px)`,
                  }}
                  onPointerDown={(event) => {
                    if (!changes || line.private || event.button !== 0) return;
                    event.currentTarget.setPointerCapture(event.pointerId);
                    setDrag({ line, x: event.clientX, y: event.clientY, to: null });
                  }}
                  onPointerMove={(event) => {
                    if (drag?.line.id !== line.id) return;
                    const next = goes(event, drag);
                    if (next) setDrag({ ...drag, to: next });
                  }}
                  onPointerCancel={() => setDrag(null)}
                  onPointerUp={() => {
                    if (drag?.to) move(line, drag.to);
                  }}
                  onClick={() => {
                    const dragged = drag?.to;
                    setDrag(null);
                    if (!dragged && !line.private) onOpen(line);
                  }}
                  onKeyDown={(event) => keyed(event, line)}
                >
                  {lanes === 1 && line.minutes >= 45 && (
                    <span className="figures block">{clockOf(line.at)} </span>
                  )}
                  <span className="block truncate font-semibold">{whoOf(line)}</span>
                </button>
              ))}
              {drag?.to?.on === each && (
                <span
                  aria-hidden="true"
                  className="figures pointer-events-none absolute inset-x-0 z-30 border-2 border-accent bg-accent-ground px-1 text-xs font-semibold"
                  style={{ top: px(drag.to.at - from), height: px(drag.line.minutes) }}
                >
                  {fromTo(drag.to.at, drag.line.minutes)}
                </span>
              )}
            </div>
          ))}
        </div>
      </div>
      {changes && lines.length > 0 && (
        <p className="mt-2 text-sm text-soft">
          {t`Drag an appointment to move it, or select it and use the arrow keys.`}
        </p>
      )}
    </div>
  );
}

/** Every full hour from one to another. */
function hours(from: number, to: number): number[] {
  return Array.from({ length: (to - from) / 60 + 1 }, (_, index) => from + index * 60);
}
