import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Schemas } from "@/shared/api/client";

type Measured = Schemas["Measured"];

/** All dimensions in the order of measuring: the list first, the rest of the catalogue folded away. */
export function DimensionList({
  all,
  present,
  onChoose,
}: {
  all: readonly Measured[];
  present: string | null;
  onChoose: (name: string) => void;
}) {
  const listed = all.filter((measured) => measured.listed);
  const rest = all.filter((measured) => !measured.listed);
  return (
    <div className="mt-4">
      {(["seated", "standing"] as const).map((posture) => (
        <Group
          key={posture}
          label={posture === "seated" ? t`Seated` : t`Standing`}
          list={listed.filter((measured) => measured.posture === posture)}
          present={present}
          onChoose={onChoose}
        />
      ))}
      {rest.length > 0 && (
        <details
          open={
            rest.some((measured) => measured.dimension === present || measured.value) || undefined
          }
        >
          <summary className="min-h-11 cursor-pointer content-center text-sm text-soft">
            <Trans>Not on this list: {rest.length} more</Trans>
          </summary>
          <Group label="" list={rest} present={present} onChoose={onChoose} />
        </details>
      )}
    </div>
  );
}

function Group({
  label,
  list,
  present,
  onChoose,
}: {
  label: string;
  list: readonly Measured[];
  present: string | null;
  onChoose: (name: string) => void;
}) {
  if (!list.length) return null;
  return (
    <section className="mb-3" aria-label={label || t`All other dimensions`}>
      {label && <h3 className="border-b border-ink text-sm font-semibold">{label}</h3>}
      <ol className="grid grid-cols-2 gap-x-4 text-sm">
        {list.map((measured) => (
          <li key={measured.dimension}>
            <button
              type="button"
              aria-current={measured.dimension === present ? "true" : undefined}
              onClick={() => onChoose(measured.dimension)}
              className={`flex min-h-11 w-full items-center justify-between gap-2 border-b text-start ${
                measured.dimension === present ? "border-ink bg-deep font-semibold" : "border-hair"
              }`}
            >
              <span className="leading-tight">
                {measured.doubts.some((doubt) => !doubt.kept) && (
                  <>
                    <span aria-hidden="true">? </span>
                    <span className="sr-only">{t`query:`} </span>
                  </>
                )}
                {measured.label}
              </span>
              <span className="figures shrink-0">{shown(measured)}</span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The value; marked where it is carried over, self-measured, estimated or left out. */
function shown(measured: Measured): React.ReactNode {
  if (measured.value && measured.origin === "carried_over") return `${measured.value} ↶`;
  if (measured.value && measured.origin === "self_measured") return `${measured.value} ⌂`;
  if (measured.value) return measured.done ? measured.value : `${measured.value}…`;
  if (measured.needs_third) return "3rd";
  if (measured.skipped) return <span className="text-soft">{t`left out`}</span>;
  if (measured.estimate) return <span className="text-soft">~{measured.estimate}</span>;
  return <span className="text-soft">{t`open`}</span>;
}
