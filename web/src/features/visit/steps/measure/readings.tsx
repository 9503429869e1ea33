import { t } from "@lingui/core/macro";
import { useCallback, useEffect, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { TextEntry, Trouble } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { READINGS, ReadInstrument, useInstrumentReading } from "./taking";

type Measured = Schemas["Measured"];

/** The fields for the readings, large; Enter goes on once it is known that nothing is open. */
export function Readings({
  measured,
  entry,
  many,
  id,
  onStep,
}: {
  measured: Measured;
  entry: Schemas["DimensionView"];
  many: boolean;
  id: string;
  onStep: (by: number) => void;
}) {
  const { fields, readOnly, unit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const shown = READINGS.slice(0, many ? 3 : 2);
  const path = useCallback(
    (reading: string) => `measure.${measured.dimension}.${reading}`,
    [measured.dimension],
  );
  const firstOpen = shown.find((reading) => !cells.get(path(reading))?.typed) ?? "first";
  const focus = useCallback(
    (reading: string) => document.getElementById(`${id}-${reading}`)?.focus(),
    [id],
  );
  const [waiting, setWaiting] = useState<string | null>(null);
  // after the last Enter: stay where a third is needed or something is doubtful, else go on
  const last = waiting ? cells.get(waiting) : undefined;
  useEffect(() => {
    if (!waiting || !drawnVisit || last?.state === "waiting") return;
    if (last?.state === "refused" || last?.state === "stale") return setWaiting(null);
    if (drawnVisit.revision < (last?.since ?? 0)) return; // worked out before the reading was in
    setWaiting(null);
    const doubtful = measured.doubts.some((doubt) => !doubt.kept);
    if (measured.needs_third) focus("third");
    else if (!doubtful) onStep(1);
  }, [waiting, last, drawnVisit, measured, focus, onStep]);
  // a reading of today's takes the place of a carried-over value, it is not averaged with it
  const measuredHere = (typedInto?: HTMLElement) => {
    if (measured.origin !== "carried_over") return;
    const gone = ["origin", "taken_on", "taken_by"];
    if (typedInto?.id !== `${id}-first`) gone.push("first");
    queue.typeAll(
      gone.map((what) => [path(what), ""] as const),
      unit,
    );
  };
  const take = useInstrumentReading(measured, entry, () => measuredHere());
  const enter = (index: number) => {
    const reading = shown[index];
    const after = shown[index + 1];
    const enough = index === 0 && !entry.twice && !cells.get(path("second"))?.typed;
    if (after && !enough) focus(after);
    else if (reading) setWaiting(path(reading));
  };
  const keys = (event: React.KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || readOnly) return;
    const press = (mark: string) =>
      event.currentTarget
        .closest("[data-dimension]")
        ?.querySelector<HTMLElement>(`[data-key=${mark}]`)
        ?.click();
    const ways: Record<string, () => void> = {
      r: take.read,
      x: () => press("x"),
      k: () => press("k"),
      o: () => press("o"),
      b: () => press("b"),
    };
    const moves = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const way = moves ? () => onStep(moves) : ways[event.key];
    const { value } = event.target as HTMLInputElement;
    if (!way || (!moves && /[a-z]$/i.test(value))) return; // "1 foot": a unit is being typed
    event.preventDefault();
    way();
  };
  const other = fields.find((each) => each.id === path("other"));
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys are those of the fields inside
    <div onKeyDown={keys} onInput={(event) => measuredHere(event.target as HTMLElement)}>
      <div className="grid grid-cols-2 gap-3">
        {shown.map((reading, index) => {
          const field = fields.find((each) => each.id === path(reading));
          return (
            field && (
              <div
                key={reading}
                className={reading === "third" ? "col-span-2" : ""}
                data-field={field.id}
              >
                <label htmlFor={`${id}-${reading}`} className="text-sm">
                  {reading === "second" && !entry.twice ? (
                    <>
                      <span className="sr-only">{t`Second reading,`} </span>
                      <span className="text-soft">{t`only if in doubt`}</span>
                    </>
                  ) : (
                    field.label
                  )}
                </label>
                <TextEntry
                  field={field}
                  id={`${id}-${reading}`}
                  large
                  autoFocus={reading === firstOpen && !readOnly}
                  onEnter={() => enter(index)}
                />
              </div>
            )
          );
        })}
      </div>
      {shown.map((reading) => (
        <Trouble key={reading} path={path(reading)} id={`${id}-${reading}`} />
      ))}
      {!readOnly && <ReadInstrument taking={take} />}
      {other && (
        <details className="mt-1 text-sm" open={!!cells.get(other.id)?.typed}>
          <summary className="min-h-8 cursor-pointer content-center text-soft">
            {t`Add the other side`}
          </summary>
          <div className="flex items-center justify-between gap-3" data-field={other.id}>
            <label htmlFor={`${id}-other`}>{other.label}</label>
            <TextEntry field={other} id={`${id}-other`} />
          </div>
          <Trouble path={other.id} id={`${id}-other`} />
        </details>
      )}
    </div>
  );
}
