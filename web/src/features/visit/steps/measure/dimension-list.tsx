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
  const listed = all.filter((one) => one.listed);
  const rest = all.filter((one) => !one.listed);
  return (
    <div className="mt-4">
      {(["seated", "standing"] as const).map((posture) => (
        <Group
          key={posture}
          label={posture === "seated" ? "Seated" : "Standing"}
          list={listed.filter((one) => one.posture === posture)}
          present={present}
          onChoose={onChoose}
        />
      ))}
      {rest.length > 0 && (
        <details open={rest.some((one) => one.dimension === present || one.value) || undefined}>
          <summary className="min-h-11 cursor-pointer content-center text-sm text-soft">
            Not on this list: {rest.length} more
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
    <section className="mb-3" aria-label={label || "The rest of the catalogue"}>
      {label && <h3 className="border-b border-ink text-sm font-semibold">{label}</h3>}
      <ol className="grid grid-cols-2 gap-x-4 text-sm">
        {list.map((one) => (
          <li key={one.dimension}>
            <button
              type="button"
              aria-current={one.dimension === present ? "true" : undefined}
              onClick={() => onChoose(one.dimension)}
              className={`flex min-h-11 w-full items-center justify-between gap-2 border-b text-left ${
                one.dimension === present ? "border-ink bg-deep font-semibold" : "border-hair"
              }`}
            >
              <span className="leading-tight">
                {one.doubts.some((doubt) => !doubt.kept) && (
                  <>
                    <span aria-hidden="true">? </span>
                    <span className="sr-only">doubtful: </span>
                  </>
                )}
                {one.label}
              </span>
              <span className="figures shrink-0">{shown(one)}</span>
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The value; marked where it is carried over, self-measured, estimated or left out. */
function shown(one: Measured): React.ReactNode {
  if (one.value && one.origin === "carried_over") return `${one.value} ↶`;
  if (one.value && one.origin === "self_measured") return `${one.value} ⌂`;
  if (one.value) return one.done ? one.value : `${one.value} …`;
  if (one.needs_third) return "3rd";
  if (one.skipped) return <span className="text-soft">left out</span>;
  if (one.estimate) return <span className="text-soft">~{one.estimate}</span>;
  return <span className="text-soft">open</span>;
}
