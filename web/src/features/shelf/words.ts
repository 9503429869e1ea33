import type { Schemas } from "@/shared/api/client";

/** The first few values of a piece in words. */
export function words(
  values: Record<string, string>,
  fields: readonly Schemas["FieldOut"][],
  most = 3,
): string {
  const known = fields.filter((field) => values[field.id] && !/\.(kind|there)$/.test(field.id));
  const pairs = known.filter((field) => field.id.endsWith("_min"));
  const said = known
    .filter((field) => field.kind === "length" || field.kind === "number")
    .filter((field) => !field.id.endsWith("_max"))
    .slice(0, most)
    .map((field) => {
      const typed = values[field.id] ?? "";
      const high = pairs.includes(field) ? values[field.id.replace(/_min$/, "_max")] : undefined;
      const unit = field.kind === "number" && field.unit ? ` ${field.unit}` : "";
      const range = high && high !== typed ? `${typed} to ${high}` : typed;
      return `${(field.pair || field.label).toLowerCase()} ${range}${unit}`;
    });
  return said.join(" · ");
}
