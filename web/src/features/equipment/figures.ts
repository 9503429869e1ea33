import type { Schemas } from "@/shared/api/client";
import { quantity } from "@/shared/quantity";

type Field = Schemas["FieldView"];
export type Figure = { name: string; value: string };

/** Where a piece's heights and depths are told apart, these come first. */
const FIRST = [/\.(seat|surface|picture)_/, /\.(depth|width)/, /\.(armrest|lumbar|top)/];

/** A few figures of a piece: what it can be set to, or what it is. */
export function figuresOf(
  values: Record<string, string>,
  fields: readonly Field[],
  most = 3,
): Figure[] {
  const fieldViews = fields.filter(
    ({ id, kind }) =>
      values[id] && (kind === "length" || kind === "number") && !id.endsWith("_max"),
  );
  const rank = ({ id }: Field) => {
    const value = FIRST.findIndex((regExp) => regExp.test(id));
    return value < 0 ? FIRST.length : value;
  };
  return fieldViews
    .map((field, index) => ({ field, index }))
    .sort((a, b) => rank(a.field) - rank(b.field) || a.index - b.index)
    .slice(0, most)
    .map(({ field }) => ({ name: field.pair || field.label, value: written(field, values) }));
}

/** One figure a piece, for several pieces at once. */
export function figuresOfStation(
  values: Record<string, string>,
  fields: readonly Field[],
  pieces: readonly Schemas["PieceView"][],
  most = 3,
): Figure[] {
  return pieces.flatMap((piece) => figuresOf(values, of(piece, fields), 1)).slice(0, most);
}

/** The fields of a piece. */
export function of(piece: Schemas["PieceView"], fields: readonly Field[]): Field[] {
  return fields.filter((field) => piece.paths.includes(field.id));
}

/** The fields of one piece: first what it is and which lengths it can be set to, then the rest. */
export function byWeight(fields: readonly Field[]): [first: Field[], rest: Field[]] {
  const decides = new Set(fields.flatMap(({ when }) => when.map(([path]) => path)));
  const ranges = new Set(
    fields.filter(({ pair, kind }) => pair && kind === "length").map(({ id }) => id),
  );
  const isFirst = ({ id, needed }: Field) =>
    needed || decides.has(id) || ranges.has(id) || ranges.has(id.replace(/_max$/, "_min"));
  return [fields.filter(isFirst), fields.filter((field) => !isFirst(field))];
}

function written(field: Field, values: Record<string, string>): string {
  const low = values[field.id] ?? "";
  const high = field.id.endsWith("_min") ? values[field.id.replace(/_min$/, "_max")] : undefined;
  const unit = field.kind === "number" ? field.unit : "";
  if (!high || high === low) return quantity(low, unit);
  const [, bare = low, its = ""] = /^(.*\d)\s*([a-z]*)$/.exec(low) ?? [];
  const sameUnit = its === "" || high.endsWith(its);
  return quantity(`${sameUnit ? bare : low} to ${high}`, unit);
}

/** Whether a field is asked of a piece with these values. */
export function appliesTo(field: Field, values: Record<string, string>): boolean {
  return field.when.every(([path, wanted]) => wanted.includes(values[path] ?? ""));
}
