import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Schemas } from "@/shared/api/client";
import { FieldRow } from "./field-row";
import { useVisitFacts } from "./state/facts";
import { useCells } from "./state/recording";

/** Who lifted a limit or set it to a figure, and from which day: name and day are needed, and until then it binds. */
export function Clearing({
  care,
  limit,
}: {
  care: Pick<Schemas["PrecautionView"], "id" | "ask" | "label">;
  limit: Pick<Schemas["LimitView"], "id" | "cleared" | "clears" | "set" | "figure">;
}) {
  const { fields } = useVisitFacts();
  const cells = useCells();
  const path = `ask.care.${care.id}.${limit.id}`;
  const asked = [`${path}.cleared_by`, `${path}.cleared_on`]
    .map((id) => fields.find((field) => field.id === id))
    .filter((field) => field !== undefined);
  const figure = fields.find((field) => field.id === `${path}.figure`);
  const said = asked.filter((field) => cells.get(field.id)?.typed).length;
  return (
    <details open={said === 1 || undefined}>
      <summary className="flex min-h-11 items-center text-sm desk:min-h-8">
        {limit.cleared ? (
          <b>
            <Trans>Cleared by {limit.cleared}: it no longer applies.</Trans>
          </b>
        ) : limit.set ? (
          <b>{limit.set}</b>
        ) : limit.clears ? (
          <b>{limit.clears}</b>
        ) : said === 1 ? (
          <b>{t`Applies until cleared: enter who cleared it and from when.`}</b>
        ) : (
          <span>
            <Trans>Ask the {care.ask}.</Trans>{" "}
            <u>{figure ? t`Cleared or changed…` : t`Cleared…`}</u>
          </span>
        )}
      </summary>
      <div className="mb-2 grid gap-2 sm:grid-cols-2">
        {asked.map((field) => (
          <FieldRow
            key={field.id}
            field={{ ...field, label: field.id.endsWith("_by") ? "Said by" : "From" }}
          />
        ))}
        {figure && (
          <FieldRow
            field={{
              ...figure,
              label: limit.figure,
              help: "Leave blank to lift the limit completely.",
            }}
          />
        )}
      </div>
    </details>
  );
}
