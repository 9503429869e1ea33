import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { clsx } from "clsx";
import type { Schemas } from "@/shared/api/client";
import type { StepId } from "@/shared/steps";

/** A step of the visit; how much of it is done is not known before the first answer. */
export type StepToGo = Pick<Schemas["StepProgress"], "step" | "label"> &
  Partial<Pick<Schemas["StepProgress"], "done" | "needed">>;

/**
 * The cord: seven beads, the bob at the present one. A bead fills as its step gets what it needs. In one column
 * the cord lies along the top.
 */
export function StepNav({
  steps,
  present,
  onGo,
}: {
  steps: readonly StepToGo[];
  present: StepId;
  onGo: (step: StepId) => void;
}) {
  return (
    <nav aria-label={t`Steps of the visit`} className="relative min-w-0 desk:h-full">
      <div
        className="absolute top-[21px] end-0 start-0 h-px bg-ink/70 desk:top-0 desk:end-auto desk:bottom-[7%] desk:start-[21px] desk:h-auto desk:w-px"
        aria-hidden="true"
      />
      <ol className="flex h-full justify-between px-1 desk:flex-col desk:px-0 desk:pt-2 desk:pb-4">
        {steps.map((step, index) => {
          const here = step.step === present;
          const { done, needed } = step;
          const known = done !== undefined && needed !== undefined;
          const share = known && needed > 0 ? Math.min(1, done / needed) : 0;
          return (
            <li key={step.step} className="min-w-0">
              <button
                type="button"
                onClick={() => onGo(step.step)}
                aria-current={here ? "step" : undefined}
                className="relative flex h-11 min-w-11 items-center gap-2 desk:h-auto desk:min-h-12 desk:w-full desk:ps-1 desk:text-start"
              >
                <span className="grid w-11 shrink-0 place-items-center desk:w-9">
                  {here ? <BobMark /> : known ? <StepMarker share={share} /> : <Bead />}
                </span>
                <span className="sr-only">
                  {known
                    ? t`${index + 1} ${step.label}, ${done} of ${needed}`
                    : `${index + 1} ${step.label}`}
                </span>
                <span
                  aria-hidden="true"
                  className={clsx(
                    "text-sm leading-tight desk:block",
                    here
                      ? "z-10 bg-paper font-semibold whitespace-nowrap max-desk:-ms-2 max-desk:px-1"
                      : "hidden",
                    !here && share < 1 && "text-soft",
                  )}
                >
                  {step.label}
                  {here && known && needed > 0 && (
                    <span className="figures block text-sm font-normal text-soft">
                      <Trans>
                        {done} of {needed}
                      </Trans>
                    </span>
                  )}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

/** A step of which nothing is known yet. */
function Bead() {
  return (
    <span className="size-3.5 animate-pulse rounded-full bg-hair motion-reduce:animate-none" />
  );
}

function StepMarker({ share }: { share: number }) {
  const height = 14 * share;
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
      <clipPath id={`fill-${Math.round(share * 100)}`}>
        <rect x="0" y={16 - height} width="18" height={height} />
      </clipPath>
      <circle cx="9" cy="9" r="7" fill="var(--paper)" stroke="var(--ink)" strokeWidth="1.4" />
      <circle
        cx="9"
        cy="9"
        r="7"
        fill="var(--ink)"
        clipPath={`url(#fill-${Math.round(share * 100)})`}
      />
    </svg>
  );
}

function BobMark() {
  return (
    <svg width="24" height="40" viewBox="0 0 24 40" aria-hidden="true">
      <path d="M8 2h8v8H8z" fill="var(--ink)" />
      <path d="M2.5 10h19L19 24 12 39 5 24z" fill="var(--ink)" />
    </svg>
  );
}
