import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Check, CircleDashed } from "lucide-react";
import { useId } from "react";
import type { Schemas } from "@/shared/api/client";
import { said } from "@/shared/words/said";
import { within } from "@/shared/words/within";
import { useVisitFacts } from "../../state/facts";
import { useCells } from "../../state/recording";
import { Before } from "./before";
import { Doubts } from "./doubts";
import { LeaveOut } from "./leave-out";
import { Readings } from "./readings";

type Measured = Schemas["Measured"];

/** One dimension: how it is taken, its readings, what they come to, and what is doubtful. */
export function DimensionCard({
  measured,
  onStep,
}: {
  measured: Measured;
  onStep: (by: number) => void;
}) {
  const { catalogue, unit, readOnly } = useVisitFacts();
  const cells = useCells();
  const id = useId();
  const entry = catalogue.dimensions.find((each) => each.id === measured.dimension);
  if (!entry) return null;
  const many = measured.needs_third || !!cells.get(`measure.${measured.dimension}.third`)?.typed;
  return (
    <section
      aria-labelledby={`${id}-name`}
      className="mt-2 border border-ink/40 bg-ground p-4"
      data-dimension={measured.dimension}
    >
      <p className="text-sm text-soft">
        {entry.posture === "seated" ? t`Seated` : t`Standing`}, {SEEN[entry.view]};{" "}
        {TOOLS[entry.instrument]}
      </p>
      <h3 id={`${id}-name`} className="text-2xl leading-8">
        {measured.label}
      </h3>
      <p>{entry.how}</p>
      <p className="mb-2 text-sm text-soft">
        <Trans>
          {isoName(measured.label, entry.iso_name)}Used for: {entry.used_for}. Take care:{" "}
          {entry.mistakes.join(" ")}
        </Trans>
      </p>
      <Readings measured={measured} entry={entry} many={many} id={id} onStep={onStep} />
      <div className="mt-2 min-h-6" aria-live="polite">
        {measured.skipped && !measured.value && (
          <p>
            <Trans>Left out: {within(measured.skipped)}.</Trans>
          </p>
        )}
        {measured.needs_third && (
          <p>
            <Trans>
              The readings differ by{" "}
              <b className="figures">
                {measured.spread} {unit}
              </b>
              : take a third.
            </Trans>
          </p>
        )}
        {measured.value && (
          <p className="flex flex-wrap items-center gap-x-2">
            {measured.done ? (
              <Check size={18} aria-hidden="true" />
            ) : (
              <CircleDashed size={18} aria-hidden="true" />
            )}
            <b className="figures text-lg">
              {measured.value} {unit}
            </b>
            <span className="figures text-soft">± {measured.plus_minus}</span>
            <span className="text-sm text-soft">
              {measured.by}
              {measured.heel && t`, heel of ${measured.heel} subtracted`}
            </span>
          </p>
        )}
        {measured.source && <p className="text-sm">{measured.source}.</p>}
        {!measured.value && measured.estimate && (
          <p>
            <b className="figures">
              ~ {measured.estimate} {unit}
            </b>{" "}
            <span className="figures text-soft">± {measured.estimate_plus_minus}</span>{" "}
            <span className="text-sm text-soft">
              <Trans>estimated {measured.basis}</Trans>
            </span>
          </p>
        )}
        {!measured.value &&
          !measured.estimate &&
          !measured.needs_third &&
          measured.basis &&
          !measured.skipped && <p className="text-sm text-soft">{measured.basis}</p>}
        <Doubts measured={measured} />
      </div>
      {!readOnly && <LeaveOut measured={measured} canGuess={entry.can_guess} />}
      <Before measured={measured} />
    </section>
  );
}

/** The standard's name, where it says more than the label. */
function isoName(label: string, name: string): string {
  return name && name.toLowerCase() !== label.toLowerCase() ? t`ISO 7250-1: ${name}. ` : "";
}

const SEEN: Record<string, string> = said({
  side: msg`from the side`,
  behind: msg`from behind`,
  above: msg`from above`,
});
const TOOLS: Record<string, string> = said({
  tape: msg`with the tape`,
  rod: msg`with the height rod`,
  calliper: msg`with a calliper`,
});
