import { FieldRow, PairRow } from "./field-row";
import { applies, type Field } from "./state/facts";
import { useCells } from "./state/recording";

/** Fields one under the other: those that make sense, both ends of a range on one line. */
export function FieldsForm({ fields }: { fields: readonly Field[] }) {
  const cells = useCells();
  const shown = fields.filter((field) => applies(field, cells));
  return (
    <div className="space-y-4">
      {shown.map((field) => {
        if (isUpper(shown, field)) return null;
        const high = upper(shown, field);
        return (
          <div key={field.id}>
            {high ? <PairRow low={field} high={high} /> : <FieldRow field={field} />}
          </div>
        );
      })}
    </div>
  );
}

/** The upper end that goes with a lower one. */
function upper(fields: readonly Field[], field: Field): Field | undefined {
  if (!field.id.endsWith("_min")) return undefined;
  return fields.find((other) => other.id === field.id.replace(/_min$/, "_max"));
}

function isUpper(fields: readonly Field[], field: Field): boolean {
  return field.id.endsWith("_max") && fields.some((other) => upper(fields, other) === field);
}
