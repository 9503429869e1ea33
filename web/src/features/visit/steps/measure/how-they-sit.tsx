import { fieldId } from "@/shared/api/field-ids";
import { usePopulationTables } from "@/shared/api/measuring";
import { FieldRow } from "../../field-row";
import { applies, type Field, useVisitState } from "../../visit-context";

/** What holds for all readings of the visit: posture, shoes, and the table they are held against. */
export function HowTheySit({ fields }: { fields: readonly Field[] }) {
  const { cells, queue, unit, readOnly, worked } = useVisitState();
  const tables = usePopulationTables().data ?? [];
  const shown = [fieldId("measure.posture"), fieldId("measure.footwear"), fieldId("measure.heel")]
    .map((id) => fields.find((field) => field.id === id))
    .filter((field): field is Field => !!field && applies(field, cells));
  return (
    <section className="mt-5 space-y-3" aria-label="For all readings">
      <h3 className="border-b border-ink text-sm font-semibold">For all readings</h3>
      {shown.map((field) => (
        <FieldRow key={field.id} field={field} />
      ))}
      <label className="block font-semibold">
        Compare with
        <select
          value={cells.get(fieldId("measure.table"))?.typed ?? ""}
          disabled={readOnly}
          onChange={(event) => queue.type(fieldId("measure.table"), event.target.value, unit)}
          className="mt-1 block min-h-11 w-full rounded-[3px] border border-ink/40 bg-ground px-2 text-sm font-normal"
        >
          <option value="">British adults aged 19 to 65</option>
          {tables.map((table) => (
            <option key={table.id} value={table.id}>
              {table.name}
            </option>
          ))}
        </select>
      </label>
      <p className="text-sm text-soft">{worked?.table_origin}. For guidance only.</p>
    </section>
  );
}
