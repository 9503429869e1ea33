import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { FileText } from "lucide-react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Clearing } from "../../clearing";
import { FieldRow } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";

/** Conditions: each puts limits in force, until whoever has the word on one lifts it. */
export function Conditions({ onDone }: { onDone: () => void }) {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const groups = fields.filter((field) => /^ask\.care\.[a-z_0-9]+$/.test(field.id));
  const open = groups.filter((group) => !cells.get(group.id)?.typed);
  const field = (id: string) => fields.find((field) => field.id === id);
  const untouched = open.length === groups.length;
  const none = () => {
    queue.typeAll(
      open.map((group) => [group.id, "no"] as const),
      unit,
    );
    if (untouched) onDone();
  };
  return (
    <div>
      <p className="mb-2 text-sm text-soft">
        {t`Precautions for the plan. Local policy and the treating clinician take precedence.`}
      </p>
      {!readOnly && open.length > 0 && (
        <Button className="mb-3 w-full desk:w-auto" onClick={none}>
          {untouched ? t`None of these` : t`None of the others`}
        </Button>
      )}
      <ul className="border-t border-ink desk:columns-2 desk:gap-x-10">
        {groups.map((group) => {
          const care = drawnVisit?.precautions.find((care) => `ask.care.${care.id}` === group.id);
          const note = field(`${group.id}.note`);
          const more = ["part", "side"]
            .map((name) => field(`${group.id}.${name}`))
            .filter((field) => field !== undefined);
          const said = cells.get(group.id)?.typed;
          const on = said === "yes" || (!said && care !== undefined);
          return (
            <li key={group.id} className="break-inside-avoid-column border-b border-hair py-1">
              <FieldRow field={group} />
              {!said && care?.since && (
                <p className="text-sm font-semibold">
                  <Trans>
                    On record since {care.since}. It applies until you answer or it is cleared.
                  </Trans>
                </p>
              )}
              {on && (
                <div className="mt-1 mb-2 space-y-2 border-s-4 border-ink ps-3 text-sm">
                  {more.map((field) => (
                    <FieldRow key={field.id} field={field} />
                  ))}
                  {care && <Limits care={care} />}
                  {care && <Question care={care} />}
                  {note && <FieldRow field={{ ...note, label: "Details" }} />}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      <h4 className="mt-4 font-semibold">{t`Joint limits`}</h4>
      <p className="text-sm text-soft">
        {t`In degrees, as measured or as advised by the clinician. Targets, movements and reports respect them.`}
      </p>
      {fields
        .filter((field) => field.id.startsWith("ask.joint."))
        .map((field) => (
          <FieldRow key={field.id} field={field} />
        ))}
    </div>
  );
}

/** The letter that asks whoever has the word on a condition; where standing waits, how much and from when. */
function Question({ care }: { care: Schemas["PrecautionView"] }) {
  const { visit, fields, unit } = useVisitFacts();
  const stands = care.limits.some((limit) => limit.binds?.endsWith("_standing"));
  const asked = ["standing", "from"]
    .map((name) => fields.find((field) => field.id === `ask.question.${name}`))
    .filter((field) => field !== undefined);
  if (care.limits.every((limit) => limit.binds === null)) return null;
  return (
    <details>
      <summary className="flex min-h-11 items-center desk:min-h-8">
        <u>
          <Trans>Letter to the {care.ask}…</Trans>
        </u>
      </summary>
      {stands && (
        <div className="mb-2 grid gap-2 sm:grid-cols-2">
          {asked.map((field) => (
            <FieldRow
              key={field.id}
              field={{
                ...field,
                label: field.id.endsWith("from")
                  ? "Question: from"
                  : "Question: standing in each hour",
              }}
            />
          ))}
        </div>
      )}
      <a
        href={`/api/visits/${visit.id}/letters/${care.id}.pdf?unit=${unit}`}
        target="_blank"
        rel="noreferrer"
        className="flex min-h-11 items-center gap-2 underline"
      >
        <FileText size={16} aria-hidden="true" /> {t`Letter with this question (PDF)`}
      </a>
    </details>
  );
}

/** The limits of a condition, each with whom to ask; a lifted one says by whom, and binds no more. */
function Limits({ care }: { care: Schemas["PrecautionView"] }) {
  return (
    <ul>
      {care.limits.map((limit) => (
        <li key={limit.id} className="py-1">
          <p className={limit.cleared ? "text-soft line-through" : ""}>{limit.says}</p>
          <Clearing care={care} limit={limit} />
        </li>
      ))}
    </ul>
  );
}
