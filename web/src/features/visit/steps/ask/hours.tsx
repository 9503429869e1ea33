import { i18n } from "@lingui/core";
import { Trans } from "@lingui/react/macro";
import { FieldsForm } from "../../fields-form";
import { type Field, useVisitFacts } from "../../state/facts";
import { useCells } from "../../state/recording";
import { useWorkup } from "../../state/workup";

/** Hours a day by task, and what they come to. */
export function Hours() {
  const { fields } = useVisitFacts();
  const mine = fields.filter((field) => field.step === "ask" && field.group === groupOf(fields));
  return (
    <div className="grid max-w-[640px] gap-x-10">
      <Sum fields={mine} />
      <FieldsForm fields={mine} />
    </div>
  );
}

const groupOf = (fields: readonly Field[]) =>
  fields.find((field) => field.id.startsWith("ask.hours."))?.group;

/** What the hours come to, and whether that can be so. */
function Sum({ fields }: { fields: readonly Field[] }) {
  const cells = useCells();
  const drawnVisit = useWorkup();
  if (!drawnVisit) return null;
  const hours = (field: Field) => Number(cells.get(field.id)?.held?.value) || 0;
  const parts = fields.filter((field) => field.id.startsWith("ask.hours.") && hours(field) > 0);
  const whole = parts.reduce((sum, field) => sum + hours(field), 0);
  return (
    <div className="sticky top-0 z-10 mb-4 border-b border-hair bg-paper pb-3">
      <p className="figures text-end">
        <Trans>
          <span className="text-lg font-semibold">{i18n.number(drawnVisit.hours)}&nbsp;h</span> in
          all
        </Trans>
      </p>
      {whole > 0 && (
        <div className="mt-1 flex h-4 border border-ink" aria-hidden="true">
          {parts.map((field, index) => (
            <span
              key={field.id}
              title={field.label}
              className={`${index % 2 ? "bg-ink/60" : "bg-ink/25"}`}
              style={{ width: `${(100 * hours(field)) / whole}%` }}
            />
          ))}
        </div>
      )}
      {drawnVisit.hours_doubt && (
        <p role="alert" className="mt-1 text-sm">
          {drawnVisit.hours_doubt}
        </p>
      )}
    </div>
  );
}
