import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useId } from "react";
import type { Schemas } from "@/shared/api/client";
import { longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Marks } from "../../../../drawing/marks";
import { FieldRow } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

function ofWhom(sex: string | null): string {
  return sex ? t`the reference ${sex === "female" ? "women" : "men"}` : t`the table, women and men`;
}

const PLOT = { width: 300, height: 74 };

/** Where a value is from, and what it was at earlier visits. */
export function Before({ measured }: { measured: Schemas["Measured"] }) {
  const { catalogue, unit, readOnly, fields, visit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const id = useId();
  const start = `measure.${measured.dimension}`;
  const last = measured.past[0];
  const empty = !cells.get(`${start}.first`)?.typed;
  const carry = () => {
    if (!last) return;
    queue.typeAll(
      [
        [`${start}.origin`, "carried_over"],
        [`${start}.taken_on`, last.on],
        [`${start}.first`, last.typed],
      ],
      unit,
    );
  };
  const about = (what: string) => fields.find((field) => field.id === `${start}.${what}`);
  const elsewhere = measured.origin !== "measured";
  const shown = ["with", "origin", ...(elsewhere ? ["taken_on", "taken_by"] : [])]
    .map(about)
    .filter((field) => field !== undefined);
  const held = cells.get(`${start}.first`)?.held;
  return (
    <div className="mt-1 text-sm">
      {last && empty && !readOnly && (
        <Button className="w-full" data-key="b" aria-keyshortcuts="b" onClick={carry}>
          <Trans>
            Carry over {last.value} {unit} from {last.day}
          </Trans>
        </Button>
      )}
      {measured.history.length > 0 && (
        <figure aria-labelledby={`${id}-plot`} className="mt-2">
          <figcaption id={`${id}-plot`} className="text-soft">
            <Trans>
              Earlier visits
              <span className="sr-only">
                : {measured.past.map((past) => `${past.day} ${past.value} ${unit}`).join("; ")}; now{" "}
                {measured.value} {unit}
              </span>
            </Trans>
          </figcaption>
          <Marks marks={measured.history} inks={catalogue.inks} {...PLOT} />
        </figure>
      )}
      {measured.value && (
        <details>
          <summary className="min-h-8 cursor-pointer content-center text-soft">
            {measured.percentile ? t`Source and percentile` : t`Source`}
          </summary>
          <div className="space-y-2">
            {measured.percentile && (
              <p>
                <Trans>
                  {measured.percentile} percentile of {ofWhom(visit.client.sex)}.
                </Trans>
              </p>
            )}
            {held && (
              <p>
                <Trans>
                  Typed by {held.changed_by} as <span className="figures">{held.typed}</span>, on{" "}
                  {longDate(held.changed_at)}.
                </Trans>
              </p>
            )}
            {shown.map((field) => (
              <FieldRow key={field.id} field={field} />
            ))}
          </div>
        </details>
      )}
    </div>
  );
}
