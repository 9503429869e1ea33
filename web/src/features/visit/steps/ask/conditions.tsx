import { FieldRow } from "../../field-row";
import { useVisitState } from "../../visit-context";

/** Care groups: who belongs to one gets its limit and whom to ask. */
export function Conditions() {
  const { fields, cells, worked } = useVisitState();
  const groups = fields.filter((field) => /^ask\.care\.[a-z_0-9]+$/.test(field.id));
  return (
    <div>
      <p className="mb-2 text-sm text-soft">
        What the plan keeps to. Local rules and the treating clinician come first.
      </p>
      <ul>
        {groups.map((group) => {
          const care = worked?.cares.find((one) => `ask.care.${one.id}` === group.id);
          const note = fields.find((field) => field.id === `${group.id}.note`);
          const on = cells.get(group.id)?.typed === "yes";
          return (
            <li key={group.id} className="border-b border-hair py-1">
              <FieldRow field={group} />
              {on && (
                <div className="mt-1 mb-2 border-l-4 border-ink pl-3 text-sm">
                  {care && (
                    <p className="mb-1">
                      {care.limit} <b>Ask: {care.ask}.</b>
                    </p>
                  )}
                  {note && <FieldRow field={{ ...note, label: "What to know" }} />}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
