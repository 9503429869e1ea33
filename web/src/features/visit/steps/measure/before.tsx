import { useId } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Marks } from "../../../../drawing/marks";
import { FieldRow } from "../../field-row";
import { useVisitState } from "../../visit-context";

const PLOT = { width: 300, height: 74 };

/** Where a value is from, and what it was at earlier visits. */
export function Before({ one }: { one: Schemas["Measured"] }) {
  const { catalogue, keeper, unit, readOnly, cells, fields } = useVisitState();
  const id = useId();
  const start = `measure.${one.dimension}`;
  const last = one.past[0];
  const empty = !cells.get(`${start}.first`)?.typed;
  const carry = () => {
    if (!last) return;
    keeper.type(`${start}.origin`, "carried_over", unit);
    keeper.type(`${start}.taken_on`, last.on, unit);
    keeper.type(`${start}.first`, last.typed, unit);
  };
  const origin = fields.find((field) => field.id === `${start}.origin`);
  const taken = fields.find((field) => field.id === `${start}.taken_on`);
  return (
    <div className="mt-1 text-sm">
      {last && empty && !readOnly && (
        <Button className="w-full" data-key="b" aria-keyshortcuts="b" onClick={carry}>
          Carry over {last.value} {unit} from {last.day}
        </Button>
      )}
      {one.history.length > 0 && (
        <figure aria-labelledby={`${id}-plot`} className="mt-2">
          <figcaption id={`${id}-plot`} className="text-soft">
            Visit by visit, with plus-minus
            <span className="sr-only">
              : {one.past.map((past) => `${past.day} ${past.value} ${unit}`).join("; ")}; now{" "}
              {one.value} {unit}
            </span>
          </figcaption>
          <Marks marks={one.history} inks={catalogue.inks} {...PLOT} />
        </figure>
      )}
      {one.value && origin && taken && (
        <details>
          <summary className="min-h-8 cursor-pointer content-center text-soft">
            Where it is from
          </summary>
          <div className="space-y-2">
            <FieldRow field={origin} />
            {one.origin !== "measured" && <FieldRow field={taken} />}
          </div>
        </details>
      )}
    </div>
  );
}
