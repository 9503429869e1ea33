import { Check } from "lucide-react";
import { useEffect, useId, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { FieldRow, TextEntry, Trouble } from "../field-row";
import { useVisitState } from "../visit-context";

type Measured = Schemas["Measured"];

/** Measure: one dimension at a time, large; two readings, a third where they differ. */
export function MeasurePanel() {
  const { worked, picked, setTape, go, fields } = useVisitState();
  const list = worked?.measured ?? [];
  const firstOpen = list.findIndex((one) => one.needed && (one.value === null || one.needs_third));
  const [chosen, setChosen] = useState<string | null>(null);
  const at = Math.max(0, chosen ? list.findIndex((one) => one.dimension === chosen) : firstOpen);
  const now = list[at];
  const name = now?.dimension ?? null;
  useEffect(() => {
    setTape(name);
    return () => setTape(null);
  }, [name, setTape]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new press in the drawing counts
  useEffect(() => {
    if (picked && list.some((one) => one.dimension === picked.part)) setChosen(picked.part);
  }, [picked]);
  useEffect(() => {
    if (chosen === null && name) setChosen(name);
  }, [chosen, name]);
  if (!now) return <p className="text-soft">One moment …</p>;
  const next = list[at + 1];
  const posture = fields.find((field) => field.id === "measure.posture");
  const done = list.filter((one) => one.needed && one.value !== null).length;
  const needed = list.filter((one) => one.needed).length;
  return (
    <div className="flex min-h-full flex-col pb-5">
      <div className="flex items-baseline justify-between">
        <h2 className="text-xl">Measure</h2>
        <p className="figures text-soft">
          {done} of {needed}
        </p>
      </div>
      <Dimension
        key={now.dimension}
        one={now}
        onDone={() => (next ? setChosen(next.dimension) : go("work"))}
      />
      <Button
        look="next"
        className="mt-4 w-full"
        data-next=""
        onClick={() => (next ? setChosen(next.dimension) : go("work"))}
      >
        {next ? `Next: ${next.label}` : "On to Work out"}
      </Button>
      <ol className="mt-5 grid grid-cols-2 gap-x-4 text-sm" aria-label="All dimensions">
        {list.map((one) => (
          <li key={one.dimension}>
            <button
              type="button"
              aria-current={one.dimension === name ? "true" : undefined}
              onClick={() => setChosen(one.dimension)}
              className={`flex min-h-8 w-full items-center justify-between gap-2 border-b text-left ${
                one.dimension === name ? "border-ink font-semibold" : "border-hair"
              }`}
            >
              <span className="truncate">
                {one.question && "? "}
                {one.label}
              </span>
              <span className="figures shrink-0">{one.value ?? (one.needed ? "·" : "")}</span>
            </button>
          </li>
        ))}
      </ol>
      {posture && (
        <div className="mt-5">
          <FieldRow field={posture} />
        </div>
      )}
    </div>
  );
}

function Dimension({ one, onDone }: { one: Measured; onDone: () => void }) {
  const { fields, keeper, unit, cells } = useVisitState();
  const id = useId();
  const readings = [
    "first",
    "second",
    ...(one.needs_third || cells.get(`measure.${one.dimension}.third`)?.held?.typed
      ? ["third"]
      : []),
  ];
  const focusNext = (index: number) => {
    const after = readings[index + 1];
    if (after) document.getElementById(`${id}-${after}`)?.focus();
    else if (!one.needs_third) onDone();
  };
  const correct = () => {
    for (const reading of ["first", "second", "third"]) {
      const path = `measure.${one.dimension}.${reading}`;
      if (cells.get(path)?.held?.typed) keeper.type(path, `${one.suggestion} ${unit}`, unit);
    }
  };
  return (
    <section aria-labelledby={`${id}-name`} className="mt-3 border border-ink/40 bg-ground p-4">
      <h3 id={`${id}-name`} className="text-2xl">
        {one.label}
      </h3>
      <p className="mt-0.5">{one.how}</p>
      <p className="mb-3 text-sm text-soft">
        For: {one.used_for}
        {one.needed ? "" : ". Sharpens the result; an estimate does without."}
      </p>
      <div className="grid grid-cols-2 gap-3">
        {readings.map((reading, index) => {
          const field = fields.find((each) => each.id === `measure.${one.dimension}.${reading}`);
          return (
            field && (
              <div
                key={reading}
                className={reading === "third" ? "col-span-2" : ""}
                data-field={field.id}
              >
                <label htmlFor={`${id}-${reading}`} className="text-sm">
                  {field.label}
                </label>
                <TextEntry
                  field={field}
                  id={`${id}-${reading}`}
                  large
                  autoFocus={index === 0}
                  onEnter={() => focusNext(index)}
                />
                <Trouble path={field.id} id={`${id}-${reading}`} />
              </div>
            )
          );
        })}
      </div>
      <div className="mt-3 min-h-6" aria-live="polite">
        {one.needs_third && (
          <p>
            The readings differ by{" "}
            <b className="figures">
              {one.spread} {unit}
            </b>
            : take a third.
          </p>
        )}
        {one.value && (
          <p className="flex items-center gap-2">
            <Check size={18} aria-hidden="true" />
            <b className="figures text-lg">
              {one.value} {unit}
            </b>
            <span className="figures text-soft">± {one.plus_minus}</span>
          </p>
        )}
        {one.question && (
          <Notice className="mt-2 text-sm">
            <p>{one.question}</p>
            {one.suggestion && (
              <Button className="mt-1" onClick={correct}>
                Make it {one.suggestion} {unit}
              </Button>
            )}
          </Notice>
        )}
      </div>
    </section>
  );
}
