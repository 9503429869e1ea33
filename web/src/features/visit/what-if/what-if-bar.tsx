import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { RotateCcw } from "lucide-react";
import { useNavigation } from "../state/navigation";
import { useBench, useWhatIf } from "./bench";

/** What is being tried, over the drawing: it is not kept, and one press leads back. */
export function WhatIfBar() {
  const { setPart } = useNavigation();
  const bench = useBench();
  const trial = useWhatIf();
  const { tried } = trial;
  return (
    <section
      aria-label={t`Trial`}
      className="flex min-w-0 flex-1 items-center border border-dashed border-ink bg-deep max-[1180px]:order-last max-[1180px]:basis-full"
    >
      <button
        type="button"
        className="min-h-11 min-w-0 flex-1 px-2 text-start text-sm leading-5"
        onClick={() => setPart("try")}
      >
        <span className="block truncate font-semibold underline">
          {what(trial.found, Object.keys(trial.tries).length, trial.label, trial.snapshot?.label)}
        </span>
        <span className="figures block truncate" aria-live="polite">
          {tried ? <Left of={tried} /> : t`Calculating…`}
        </span>
      </button>
      <button
        type="button"
        aria-label={t`Reset to target`}
        title={t`Reset to target`}
        onClick={bench.toBest}
        className="grid size-11 shrink-0 place-items-center hover:bg-ground"
      >
        <RotateCcw size={18} aria-hidden="true" />
      </button>
    </section>
  );
}

function what(
  found: boolean,
  many: number,
  label: string | null,
  against: string | undefined,
): string {
  const counted = plural(many, { one: "Trying # change", other: "Trying # changes" });
  const tried = label ?? (found ? t`As found` : many ? counted : t`As saved`);
  return against === undefined ? tried : t`${tried} over ${against}`;
}

/** What stays outside the bands, in degrees and strain minutes, and how many findings with it. */
export function Left({
  of,
}: {
  of: { excess_deg: number; minutes: number | null; findings: readonly unknown[] };
}) {
  return (
    <>
      <Trans>
        <b>{of.excess_deg.toFixed(0)}°</b> out of range
      </Trans>
      {of.minutes != null && (
        <Trans>
          , <b>{Math.round(of.minutes)}</b> min a day
        </Trans>
      )}
      {of.findings.length > 0 && (
        <Trans>
          , <b>{of.findings.length}</b> found
        </Trans>
      )}
    </>
  );
}
