import { t } from "@lingui/core/macro";
import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

const QUIET = "min-h-11 text-sm underline";

/** Leave a dimension out, with a reason; or do with an estimate that has to be insisted on. */
export function LeaveOut({
  measured,
  canGuess,
}: {
  measured: Schemas["Measured"];
  canGuess: boolean;
}) {
  const { catalogue, unit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const [asking, setAsking] = useState(false);
  const start = `measure.${measured.dimension}`;
  const skipped = !!cells.get(`${start}.skip`)?.typed;
  const guessed = cells.get(`${start}.guess`)?.typed === "yes";
  const say = (what: string, value: string) => {
    queue.type(`${start}.${what}`, value, unit);
    setAsking(false);
  };
  if (measured.value)
    return skipped ? (
      <button type="button" className={QUIET} onClick={() => say("skip", "")}>
        {t`Undo “left out”`}
      </button>
    ) : null;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-3">
      {asking ? (
        <fieldset className="mt-1">
          <legend className="text-sm font-semibold">{t`Why leave it out?`}</legend>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {Object.entries(catalogue.skips).map(([value, label]) => (
              <Button key={value} className="px-3 text-sm" onClick={() => say("skip", value)}>
                {label}
              </Button>
            ))}
          </div>
        </fieldset>
      ) : (
        <button
          type="button"
          className={QUIET}
          data-key="x"
          aria-keyshortcuts="x"
          onClick={() => (skipped ? say("skip", "") : setAsking(true))}
        >
          {skipped ? t`Measure it` : t`Leave out…`}
        </button>
      )}
      {canGuess && !asking && (
        <button type="button" className={QUIET} onClick={() => say("guess", guessed ? "" : "yes")}>
          {guessed ? t`Don’t estimate` : t`Use an estimate anyway`}
        </button>
      )}
    </div>
  );
}
