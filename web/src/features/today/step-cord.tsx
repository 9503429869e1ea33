import { t } from "@lingui/core/macro";
import { STEP_IDS, STEP_NAMES, type StepId } from "@/shared/steps";

const APART = 12;

/** A small cord of seven beads: filled as far as a visit has come, the bob where it stands. */
export function StepCord({ step, signed }: { step: StepId | null; signed: boolean }) {
  const value = signed ? STEP_IDS.length : step ? STEP_IDS.indexOf(step) : -1;
  const words = signed ? "signed" : step ? `at ${STEP_NAMES[step]}` : t`not started`;
  return (
    <svg
      width={APART * STEP_IDS.length}
      height="16"
      viewBox={`0 0 ${APART * STEP_IDS.length} 16`}
      role="img"
      aria-label={words}
      className="shrink-0"
    >
      <path d={`M4 8H${APART * STEP_IDS.length - 6}`} stroke="var(--soft)" strokeWidth="1" />
      {STEP_IDS.map((id, index) =>
        index === value ? (
          <path
            key={id}
            d={`M${index * APART + 2} 1h5v4h-5zM${index * APART} 5h9l-1.5 6-3 4.5-3-4.5z`}
            fill="var(--ink)"
          />
        ) : (
          <circle
            key={id}
            cx={index * APART + 4.5}
            cy="8"
            r="3"
            fill={index < value ? "var(--ink)" : "var(--ground)"}
            stroke="var(--ink)"
          />
        ),
      )}
    </svg>
  );
}
