import { useEffect, useId, useState } from "react";
import { Button } from "@/shared/ui/button";
import { TextEntry, Trouble } from "../../field-row";
import { applies, type Field, useVisitState } from "../../visit-context";

/** Heights and distances in the order one walks round a desk, one large field at a time. */
export function Walk() {
  const { fields, cells, queue, picked, sought, setActive, setPart, readOnly } = useVisitState();
  const id = useId();
  const list = fields.filter((field) => field.section === "walk" && applies(field, cells));
  const firstOpen = list.find((field) => field.needed && !cells.get(field.id)?.typed);
  const [chosen, setChosen] = useState<string | null>(sought);
  const [leaving, setLeaving] = useState<string | null>(null);
  const now = list.find((field) => field.id === chosen) ?? firstOpen ?? list[0];
  const part = now?.part || null;
  useEffect(() => setActive(part), [part, setActive]);
  useEffect(() => {
    if (chosen === null && now) setChosen(now.id);
  }, [chosen, now]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new press in the drawing counts
  useEffect(() => {
    if (!picked) return;
    const start = picked.posture === "standing" ? "look.found_standing." : "look.found.";
    const field = list.find((one) => one.part === picked.part && one.id.startsWith(start));
    if (field) setChosen(field.id);
  }, [picked]);
  useEffect(() => {
    if (sought?.startsWith("look.")) setChosen(sought);
  }, [sought]);
  const here = now?.id ?? "";
  const next = now && list[list.indexOf(now) + 1];
  const state = cells.get(here)?.state ?? "kept";
  const answered = state !== "waiting" || queue.read().offline;
  // on once the answer is there; where the value was refused, one stays with it
  // biome-ignore lint/correctness/useExhaustiveDependencies: the way on is the one of this moment
  useEffect(() => {
    if (leaving !== here || !answered) return;
    setLeaving(null);
    if (state === "refused" || state === "stale") return;
    if (next) setChosen(next.id);
    else setPart("Pieces");
  }, [leaving, here, state, answered]);
  if (!now) return null;
  const onward = () => {
    queue.flush();
    setLeaving(now.id);
  };
  return (
    <div className="flex flex-col pb-5">
      <div className="border border-ink/40 bg-ground p-4" data-field={now.id}>
        <p className="text-sm text-soft">{now.group}</p>
        <label htmlFor={`${id}-entry`} className="block text-2xl leading-8 font-semibold">
          {now.label}
        </label>
        <p className="mb-2 min-h-6" id={`${id}-entry-help`}>
          {now.help}
        </p>
        <TextEntry
          key={now.id}
          field={now}
          id={`${id}-entry`}
          large
          autoFocus={!readOnly}
          described={!!now.help}
          onEnter={onward}
        />
        <Trouble path={now.id} id={`${id}-entry`} />
      </div>
      <Button look="next" className="mt-3 w-full" data-next="" onClick={onward}>
        {next ? `Next: ${next.label}` : "Next: Pieces"}
      </Button>
      {[...new Set(list.map((field) => field.group))].map((group) => (
        <section key={group} className="mt-4">
          <h3 className="border-b border-ink text-sm font-semibold">{group}</h3>
          <ol className="text-sm" aria-label={`All of ${group.toLowerCase()}`}>
            {list
              .filter((field) => field.group === group)
              .map((field) => (
                <Line
                  key={field.id}
                  field={field}
                  here={field === now}
                  onChoose={() => setChosen(field.id)}
                />
              ))}
          </ol>
        </section>
      ))}
    </div>
  );
}

function Line({ field, here, onChoose }: { field: Field; here: boolean; onChoose: () => void }) {
  const { cells, unit } = useVisitState();
  const cell = cells.get(field.id);
  const shown = cell?.typed ?? "";
  const bare = /[\d]$/.test(shown);
  return (
    <li className="border-b border-hair">
      <button
        type="button"
        aria-current={here ? "true" : undefined}
        onClick={onChoose}
        className={`flex min-h-11 w-full items-center justify-between gap-2 text-left ${here ? "bg-deep font-semibold" : ""}`}
      >
        <span>
          {(cell?.state === "refused" || cell?.state === "stale") && "! "}
          {field.label}
        </span>
        <span className="figures shrink-0">
          {shown ? (
            `${shown}${bare ? ` ${field.kind === "length" ? unit : field.unit}` : ""}`
          ) : (
            <span className="text-soft">{field.needed ? "open" : "not known"}</span>
          )}
        </span>
      </button>
    </li>
  );
}
