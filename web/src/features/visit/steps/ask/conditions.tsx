import { Button } from "@/shared/ui/button";
import { FieldRow } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";

/** Care groups: who belongs to one gets its limit and whom to ask, until that one lifts it. */
export function Conditions({ onDone }: { onDone: () => void }) {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const worked = useWorkup();
  const groups = fields.filter((field) => /^ask\.care\.[a-z_0-9]+$/.test(field.id));
  const open = groups.filter((group) => !cells.get(group.id)?.typed);
  const field = (id: string) => fields.find((one) => one.id === id);
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
        Precautions for the plan. Local policy and the treating clinician take precedence.
      </p>
      {!readOnly && open.length > 0 && (
        <Button className="mb-3 w-full desk:w-auto" onClick={none}>
          {untouched ? "None of these" : "None of the others"}
        </Button>
      )}
      <ul className="border-t border-ink desk:columns-2 desk:gap-x-10">
        {groups.map((group) => {
          const care = worked?.cares.find((one) => `ask.care.${one.id}` === group.id);
          const note = field(`${group.id}.note`);
          const cleared = field(`${group.id}.cleared_by`);
          const on = cells.get(group.id)?.typed === "yes";
          return (
            <li key={group.id} className="break-inside-avoid-column border-b border-hair py-1">
              <FieldRow field={group} />
              {on && (
                <div className="mt-1 mb-2 space-y-2 border-l-4 border-ink pl-3 text-sm">
                  {care && (
                    <p className={care.cleared ? "text-soft" : ""}>
                      {care.limit}{" "}
                      {care.cleared ? (
                        <b className="text-ink">Lifted: {care.cleared}. It binds no more.</b>
                      ) : (
                        <b>Ask: {care.ask}.</b>
                      )}
                    </p>
                  )}
                  {note && <FieldRow field={{ ...note, label: "Details" }} />}
                  {cleared && <FieldRow field={{ ...cleared, label: "Cleared by, on" }} />}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
