import { t } from "@lingui/core/macro";
import { useEffect, useState } from "react";
import { fieldId } from "@/shared/api/field-ids";
import { CheckBox } from "@/shared/ui/check-box";
import { within } from "@/shared/words/within";
import { FieldRow, Troubles } from "../../field-row";
import type { FieldState } from "../../saving/field-state";
import { useDrawingStore, usePicked } from "../../state/drawing-store";
import { type Field, useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

/** Watch: one tap on the figure for what is seen; side, how often and a note where there is time. */
export function Watch() {
  const { catalogue, fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const { setHabits } = useDrawingStore();
  const [chosen, setChosen] = useState<string | null>(null);
  useEffect(() => {
    setHabits(true);
    return () => setHabits(false);
  }, [setHabits]);
  const seen = (id: string) => cells.get(`look.habit.${id}`)?.typed === "seen";
  const toggle = (id: string) => {
    if (readOnly) return;
    queue.type(`look.habit.${id}`, seen(id) ? "" : "seen", unit);
    setChosen(seen(id) ? null : id);
  };
  usePicked((part, posture) => {
    if (posture !== "habit") return false;
    toggle(part);
    return true;
  });
  const marked = catalogue.habits.filter((habit) => seen(habit.id));
  const now = marked.find((habit) => habit.id === chosen);
  const more = now
    ? fields.filter(
        (field) =>
          field.id.startsWith(`look.habit.${now.id}.`) &&
          (now.sided || !field.id.endsWith(".side")),
      )
    : [];
  const watching = fields.find((field) => field.id === fieldId("look.watched"));
  const watched = cells.get(fieldId("look.watched"))?.typed === "yes";
  const note = fields.find((field) => field.id === fieldId("look.note"));
  const good = fields
    .filter((field) => field.id.startsWith("look.good."))
    .map((field) => ({ id: field.id.slice("look.good.".length), label: field.label }));
  return (
    <div>
      <p className="mb-3 text-sm">
        {t`Watch the client work for a few minutes. Tap what you see on the figure; tap again to remove it. Mark the standing figure separately.`}
      </p>
      {marked.length === 0 && (
        <p className="border-s-4 border-hair ps-3 text-soft">
          {watched
            ? t`Observed: none seen. Unmarked habits count as absent.`
            : t`Nothing marked yet. Until you mark something, the report says habits were not observed.`}
        </p>
      )}
      {watching && (
        <FieldRow
          field={{
            ...watching,
            label: marked.length
              ? "Observed for a few minutes: nothing else"
              : "Observed for a few minutes: none of these",
          }}
        />
      )}
      <Troubles
        of={catalogue.habits.map(({ id, label }) => ({ path: `look.habit.${id}`, label }))}
      />
      <ol aria-label={t`Observed`}>
        {marked.map((habit) => (
          <li key={habit.id} className="border-b border-hair">
            <button
              type="button"
              aria-expanded={habit === now}
              onClick={() => setChosen(habit === now ? null : habit.id)}
              className="flex min-h-11 w-full items-center justify-between gap-2 text-start"
            >
              <span className={habit === now ? "font-semibold" : ""}>{habit.label}</span>
              <span className="shrink-0 text-sm text-soft">{said(habit.id, fields, cells)}</span>
            </button>
            {habit === now && (
              <div className="space-y-3 pb-3 ps-3">
                {more.map((field) => (
                  <FieldRow key={field.id} field={field} />
                ))}
                {!readOnly && (
                  <button
                    type="button"
                    className="min-h-11 text-sm underline"
                    onClick={() => toggle(habit.id)}
                  >
                    {t`Remove`}
                  </button>
                )}
              </div>
            )}
          </li>
        ))}
      </ol>
      <Ticked
        title={t`Hands and seat`}
        items={catalogue.habits.filter((habit) => !habit.on_figure)}
        path={(id) => `look.habit.${id}`}
      />
      <Ticked title={t`Done well`} items={good} path={(id) => `look.good.${id}`} />
      {note && (
        <div className="mt-4">
          <FieldRow field={note} />
        </div>
      )}
    </div>
  );
}

/** What is too fine for the figure, or done well: a list to tick. */
function Ticked({
  title,
  items,
  path,
}: {
  title: string;
  items: readonly { id: string; label: string }[];
  path: (id: string) => string;
}) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  return (
    <section className="mt-4" aria-label={title}>
      <h3 className="border-b border-ink pb-1 text-sm font-semibold">{title}</h3>
      <ul>
        {items.map((item) => (
          <li key={item.id} className="border-b border-hair">
            <CheckBox
              checked={cells.get(path(item.id))?.typed === "seen"}
              disabled={readOnly}
              onChange={(on) => queue.type(path(item.id), on ? "seen" : "", unit)}
            >
              {item.label}
            </CheckBox>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Side and how often in words, for the list. */
function said(
  id: string,
  fields: readonly Field[],
  cells: ReadonlyMap<string, FieldState>,
): string {
  return within(
    ["often", "side"]
      .map((what) => {
        const path = `look.habit.${id}.${what}`;
        const field = fields.find((field) => field.id === path);
        return field?.choices.find(([value]) => value === cells.get(path)?.typed)?.[1] ?? "";
      })
      .filter(Boolean)
      .join(", "),
  );
}
