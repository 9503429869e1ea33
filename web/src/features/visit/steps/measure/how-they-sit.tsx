import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { fieldId } from "@/shared/api/field-ids";
import { usePopulationTables } from "@/shared/api/measuring";
import { Select } from "@/shared/ui/select";
import { FieldRow } from "../../field-row";
import { applies, type Field, useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";

/** What holds for all readings of the visit: posture, shoes, and the table they are held against. */
export function HowTheySit({ fields }: { fields: readonly Field[] }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const tables = usePopulationTables().data ?? [];
  const shown = [fieldId("measure.posture"), fieldId("measure.footwear"), fieldId("measure.heel")]
    .map((id) => fields.find((field) => field.id === id))
    .filter((field): field is Field => !!field && applies(field, cells));
  return (
    <section className="mt-5 space-y-3" aria-label={t`For all readings`}>
      <h3 className="border-b border-ink text-sm font-semibold">{t`For all readings`}</h3>
      {shown.map((field) => (
        <FieldRow key={field.id} field={field} />
      ))}
      <div>
        <p className="mb-1 font-semibold">{t`Compare with`}</p>
        <Select
          label={t`Compare with`}
          value={cells.get(fieldId("measure.table"))?.typed ?? ""}
          disabled={readOnly}
          onChange={(table) => queue.type(fieldId("measure.table"), table, unit)}
          className="w-full text-sm"
          options={[
            { value: "", label: t`British adults aged 19 to 65` },
            ...tables.map((table) => ({ value: table.id, label: table.name })),
          ]}
        />
      </div>
      <p className="text-sm text-soft">
        <Trans>{drawnVisit?.table_origin}. For guidance only.</Trans>
      </p>
    </section>
  );
}
