import { Check, CircleDashed, Ruler } from "lucide-react";
import { useCallback, useEffect, useId, useRef, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useInstruments, useTakeReading } from "@/shared/api/measuring";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { TextEntry, Trouble } from "../../field-row";
import { useVisitState } from "../../visit-context";
import { Before } from "./before";
import { Doubts } from "./doubts";
import { LeaveOut } from "./leave-out";

type Measured = Schemas["Measured"];
const READINGS = ["first", "second", "third"] as const;

/** One dimension: how it is taken, its readings, what they come to, and what is doubtful. */
export function DimensionCard({ one, onStep }: { one: Measured; onStep: (by: number) => void }) {
  const { catalogue, cells, unit, readOnly, visit } = useVisitState();
  const id = useId();
  const entry = catalogue.dimensions.find((each) => each.id === one.dimension);
  if (!entry) return null;
  const many = one.needs_third || !!cells.get(`measure.${one.dimension}.third`)?.typed;
  return (
    <section
      aria-labelledby={`${id}-name`}
      className="mt-2 border border-ink/40 bg-ground p-4"
      data-dimension={one.dimension}
    >
      <p className="text-sm text-soft">
        {entry.posture === "seated" ? "Seated" : "Standing"}, {SEEN[entry.view]};{" "}
        {TOOLS[entry.instrument]}
      </p>
      <h3 id={`${id}-name`} className="text-2xl leading-8">
        {one.label}
      </h3>
      <p>{entry.how}</p>
      <p className="mb-2 text-sm text-soft">
        {entry.iso_name ? `${entry.iso_name}. ` : ""}For: {entry.used_for}. Watch:{" "}
        {entry.mistakes.join(" ")}
      </p>
      <Readings one={one} entry={entry} many={many} id={id} onStep={onStep} />
      <div className="mt-2 min-h-6" aria-live="polite">
        {one.skipped && !one.value && <p>Left out: {one.skipped.toLowerCase()}.</p>}
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
          <p className="flex flex-wrap items-center gap-x-2">
            {one.done ? (
              <Check size={18} aria-hidden="true" />
            ) : (
              <CircleDashed size={18} aria-hidden="true" />
            )}
            <b className="figures text-lg">
              {one.value} {unit}
            </b>
            <span className="figures text-soft">± {one.plus_minus}</span>
            <span className="text-sm text-soft">
              {one.by}
              {one.heel && `, heel of ${one.heel} taken off`}
            </span>
          </p>
        )}
        {one.source && <p className="text-sm">{one.source}.</p>}
        {one.percentile && (
          <p className="text-sm text-soft">
            {one.percentile} percentile of {ofWhom(visit.client.sex)}.
          </p>
        )}
        {!one.value && one.estimate && (
          <p>
            <b className="figures">
              ~ {one.estimate} {unit}
            </b>{" "}
            <span className="figures text-soft">± {one.estimate_plus_minus}</span>{" "}
            <span className="text-sm text-soft">estimated {one.basis}</span>
          </p>
        )}
        {!one.value && !one.estimate && !one.needs_third && one.basis && !one.skipped && (
          <p className="text-sm text-soft">{one.basis}</p>
        )}
        <Doubts one={one} />
      </div>
      {!readOnly && <LeaveOut one={one} canGuess={entry.can_guess} />}
      <Before one={one} />
    </section>
  );
}

function ofWhom(sex: string | null): string {
  return sex ? `the table's ${sex === "female" ? "women" : "men"}` : "the table, women and men";
}

const SEEN: Record<string, string> = {
  side: "from the side",
  behind: "from behind",
  above: "from above",
};
const TOOLS: Record<string, string> = {
  tape: "with the tape",
  rod: "with the height rod",
  calliper: "with a calliper",
};

/** The fields for the readings, large; Enter goes on once it is known that nothing is open. */
function Readings({
  one,
  entry,
  many,
  id,
  onStep,
}: {
  one: Measured;
  entry: Schemas["DimensionOut"];
  many: boolean;
  id: string;
  onStep: (by: number) => void;
}) {
  const { fields, cells, worked, readOnly } = useVisitState();
  const shown = READINGS.slice(0, many ? 3 : 2);
  const path = useCallback(
    (reading: string) => `measure.${one.dimension}.${reading}`,
    [one.dimension],
  );
  const firstOpen = shown.find((reading) => !cells.get(path(reading))?.typed) ?? "first";
  const focus = useCallback(
    (reading: string) => document.getElementById(`${id}-${reading}`)?.focus(),
    [id],
  );
  const [waiting, setWaiting] = useState<string | null>(null);
  const take = useTaking(one, entry);
  // after the last Enter: stay where a third is needed or something is doubtful, else go on
  const state = waiting ? cells.get(path(waiting))?.state : undefined;
  useEffect(() => {
    if (!waiting || !worked || state === "waiting") return;
    if (state === "refused" || state === "stale") return setWaiting(null);
    const held = cells.get(path(waiting))?.held;
    if (held && worked.revision < (cells.get(path(waiting))?.version ?? 0)) return;
    setWaiting(null);
    const doubtful = one.doubts.some((doubt) => !doubt.kept);
    if (one.needs_third) focus("third");
    else if (!doubtful) onStep(1);
  }, [waiting, state, worked, cells, one, path, focus, onStep]);
  const enter = (index: number) => {
    const reading = shown[index];
    const after = shown[index + 1];
    if (after) focus(after);
    else if (reading) setWaiting(reading);
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
    if (!way) return;
    event.preventDefault();
    way();
  };
  const other = fields.find((each) => each.id === path("other"));
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the keys are those of the fields inside
    <div onKeyDown={keys}>
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
                  {field.label}
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
      {!readOnly && <Take taking={take} />}
      {other && (
        <details className="mt-1 text-sm" open={!!cells.get(other.id)?.typed}>
          <summary className="min-h-8 cursor-pointer content-center text-soft">
            The other side as well
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

type Taking = {
  read: () => void;
  tool: "tape" | "rod";
  setTool: (tool: "tape" | "rod") => void;
  pending: boolean;
  trouble: string | null;
  warning: string | null;
};

/** Takes a reading from the instrument into the first open field. */
function useTaking(one: Measured, entry: Schemas["DimensionOut"]): Taking {
  const { visit, cells, keeper, unit } = useVisitState();
  const [tool, setTool] = useState<"tape" | "rod">(entry.instrument === "rod" ? "rod" : "tape");
  const taking = useTakeReading(visit.id);
  const latest = useRef(cells);
  latest.current = cells;
  const read = () => {
    const start = `measure.${one.dimension}`;
    const names: readonly string[] = one.needs_third ? READINGS : READINGS.slice(0, 2);
    const open = names.find((name) => !latest.current.get(`${start}.${name}`)?.typed);
    if (!open || taking.isPending) return;
    taking.mutate(
      { tool, dimension: one.dimension },
      {
        onSuccess: (answer) => {
          keeper.type(`${start}.${open}`, answer.typed, unit);
          if (latest.current.get(`${start}.with`)?.typed !== tool)
            keeper.type(`${start}.with`, tool, unit);
        },
      },
    );
  };
  return {
    read,
    tool,
    setTool,
    pending: taking.isPending,
    trouble: taking.error?.message ?? null,
    warning: taking.data?.warning ?? null,
  };
}

function Take({ taking }: { taking: Taking }) {
  const instruments = useInstruments();
  const mine = instruments.data?.find((one) => one.id === taking.tool);
  return (
    <div className="mt-2">
      <div className="flex items-center gap-2">
        <Button
          className="flex-1 px-2! text-sm whitespace-nowrap"
          onClick={taking.read}
          disabled={taking.pending}
          aria-keyshortcuts="r"
        >
          <Ruler size={18} aria-hidden="true" />
          {taking.pending ? "Reading …" : "Take reading"}
        </Button>
        <select
          aria-label="From"
          value={taking.tool}
          onChange={(event) => taking.setTool(event.target.value === "rod" ? "rod" : "tape")}
          className="min-h-11 w-[76px] rounded-[3px] border border-ink/40 bg-ground px-1 text-sm"
        >
          <option value="tape">tape</option>
          <option value="rod">height rod</option>
        </select>
        {mine?.unit && (
          <select
            aria-label={`The ${taking.tool}'s unit`}
            value={mine.unit}
            onChange={(event) =>
              instruments.setUnit(taking.tool, event.target.value as "cm" | "mm" | "in")
            }
            className="figures min-h-11 rounded-[3px] border border-ink/40 bg-ground px-1 text-sm"
          >
            <option>cm</option>
            <option>mm</option>
            <option>in</option>
          </select>
        )}
      </div>
      <div aria-live="polite">
        {taking.trouble && (
          <Notice role="alert" className="mt-1 text-sm">
            {taking.trouble}
          </Notice>
        )}
        {!taking.trouble && (taking.warning ?? mine?.trouble) && (
          <p className="mt-1 text-sm">{taking.warning ?? mine?.trouble}</p>
        )}
      </div>
    </div>
  );
}
