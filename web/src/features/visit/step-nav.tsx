import type { Schemas } from "@/shared/api/client";
import type { StepId } from "@/shared/steps";

/** The cord: seven beads, the bob at the present one. A bead fills as its step gets what it needs. */
export function StepNav({
  steps,
  present,
  onGo,
}: {
  steps: readonly Schemas["StepProgress"][];
  present: StepId;
  onGo: (step: StepId) => void;
}) {
  return (
    <nav aria-label="Steps of the visit" className="relative h-full">
      <div className="absolute top-0 bottom-[7%] left-[21px] w-px bg-ink/70" aria-hidden="true" />
      <ol className="flex h-full flex-col justify-between pt-2 pb-4">
        {steps.map((step, index) => {
          const here = step.step === present;
          const share = step.needed ? Math.min(1, step.done / step.needed) : 0;
          return (
            <li key={step.step}>
              <button
                type="button"
                onClick={() => onGo(step.step)}
                aria-current={here ? "step" : undefined}
                aria-label={`${index + 1} ${step.label}, ${step.done} of ${step.needed}`}
                className="flex min-h-12 w-full items-center gap-2 pl-1 text-left"
              >
                <span className="grid w-9 shrink-0 place-items-center">
                  {here ? <BobMark /> : <StepMarker share={share} />}
                </span>
                <span className={here ? "font-semibold" : share >= 1 ? "" : "text-soft"}>
                  {step.label}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </nav>
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
