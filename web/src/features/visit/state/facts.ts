import { createContext, useContext } from "react";
import type { Schemas, Unit } from "@/shared/api/client";
import type { PlaceId } from "../at-place";
import type { FieldState } from "../saving/field-state";

export type Field = Schemas["FieldView"];

/** What stays the same while one types: whose visit, what can be asked, in which unit, by whom. */
export type VisitFacts = {
  visit: Schemas["OpenVisit"];
  /** What is asked and seen, beside the fields: signs, regions, habits, landmarks … */
  catalogue: Schemas["Fields"];
  /** The fields that make sense for this client. */
  fields: readonly Field[];
  unit: Unit;
  readOnly: boolean;
  /** Which of the visit's places is open. */
  place: PlaceId;
};

export const VisitFactsContext = createContext<VisitFacts | null>(null);

export function useVisitFacts(): VisitFacts {
  const facts = useContext(VisitFactsContext);
  if (!facts) throw new Error("outside a visit");
  return facts;
}

/** Whether a field makes sense with what is already said. */
export function applies(field: Field, cells: ReadonlyMap<string, FieldState>): boolean {
  const holds = (when: Field["when"]) =>
    when.every(([path, values]) => values.includes(cells.get(path)?.typed ?? ""));
  return holds(field.when) || (field.or_when.length > 0 && holds(field.or_when));
}

/** A field of a family, for one member of it. */
export function memberField(
  catalogue: Schemas["Fields"],
  family: string,
  member: string,
): Field | undefined {
  const field = catalogue.families.find((field) => field.id === family);
  return field && { ...field, id: field.id.replace("*", member) };
}
