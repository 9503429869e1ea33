import { Check, CircleDashed } from "lucide-react";
import { useId } from "react";
import type { Schemas } from "@/shared/api/client";
import { useVisitFacts } from "../../state/facts";
import { useCells } from "../../state/recording";
import { Before } from "./before";
import { Doubts } from "./doubts";
import { LeaveOut } from "./leave-out";
import { Readings } from "./readings";

type Measured = Schemas["Measured"];

/** One dimension: how it is taken, its readings, what they come to, and what is doubtful. */
export function DimensionCard({ one, onStep }: { one: Measured; onStep: (by: number) => void }) {
  const { catalogue, unit, readOnly } = useVisitFacts();
  const cells = useCells();
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
        {isoName(one.label, entry.iso_name)}For: {entry.used_for}. Watch: {entry.mistakes.join(" ")}
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

/** The standard's name, where it says more than the label. */
function isoName(label: string, name: string): string {
  return name && name.toLowerCase() !== label.toLowerCase() ? `ISO 7250-1: ${name}. ` : "";
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
