import { t } from "@lingui/core/macro";
import { ArrowDown, ArrowUp } from "lucide-react";
import { type KeyboardEvent, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { ByKeys } from "@/shared/ui/by-keys";
import { FieldRow, Trouble } from "../../field-row";
import { memberField, useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

type Cause = Schemas["PaperCause"];

/** Before signing: causes in the order the client reads them, left out, or in the practitioner's words; actions too. */
export function Editing({ papers }: { papers: Schemas["Papers"] }) {
  const causes = papers.record.causes;
  const actions = papers.record.actions.filter(
    (action) => action.field && action.state !== "stopped",
  );
  return (
    <>
      {causes.length > 0 && (
        <details className="mt-3">
          <summary className="flex min-h-11 items-center font-semibold">
            {t`Causes: order and wording`}
          </summary>
          <Causes causes={causes} />
        </details>
      )}
      {actions.length > 0 && (
        <details>
          <summary className="flex min-h-11 items-center font-semibold">{t`Actions: wording`}</summary>
          <ul>
            {actions.map((action) => (
              <Words
                key={action.id}
                title={action.text}
                path="report.action.*.words"
                id={action.field ?? ""}
              />
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

const pathOf = (id: string, what: string) => `report.cause.${id}.${what}`;

function Causes({ causes }: { causes: readonly Cause[] }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const leftOut = (id: string) => cells.get(pathOf(id, "left_out"))?.typed === "yes";
  const move = (value: number, by: number) => {
    const to = value + by;
    if (to < 0 || to >= causes.length) return;
    const ids = causes.map((cause) => cause.id ?? "");
    ids.splice(to, 0, ...ids.splice(value, 1));
    queue.typeAll(
      ids.map((id, place) => [pathOf(id, "rank"), `${place + 1}`] as const),
      unit,
    );
  };
  const leave = (id: string) => queue.type(pathOf(id, "left_out"), leftOut(id) ? "" : "yes", unit);
  /** Arrows go from one to the next; with Shift they take the cause along; l leaves it out. */
  const keys = (event: KeyboardEvent<HTMLElement>) => {
    const here = (event.target as HTMLElement).closest<HTMLElement>("[data-cause]");
    if (!here || (event.target as HTMLElement) !== here.querySelector("[data-grip]")) return;
    const all = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-cause]")];
    const value = all.indexOf(here);
    const by = event.key === "ArrowDown" ? 1 : event.key === "ArrowUp" ? -1 : 0;
    if (by && event.shiftKey) move(value, by);
    else if (by) all[value + by]?.querySelector<HTMLElement>("[data-grip]")?.focus();
    else if (event.key === "l") leave(here.dataset.cause ?? "");
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys for the buttons of the causes within it
    <div onKeyDown={readOnly ? undefined : keys}>
      <p className="text-sm text-soft">
        {t`The client sees them in this order.`}
        <ByKeys> {t`Keys: arrows move, Shift+arrow reorders, l leaves one out.`}</ByKeys>
      </p>
      <ol>
        {causes.map((cause, value) => {
          const id = cause.id ?? "";
          return (
            <li key={id} data-cause={id} className="border-b border-hair py-1">
              <Words
                title={cause.title}
                path="report.cause.*.words"
                id={id}
                out={leftOut(id)}
                acts={
                  !readOnly && (
                    <>
                      <Icon
                        name={`Earlier: ${cause.title}`}
                        off={value === 0}
                        onPress={() => move(value, -1)}
                      >
                        <ArrowUp size={16} aria-hidden="true" />
                      </Icon>
                      <Icon
                        name={`Later: ${cause.title}`}
                        off={value === causes.length - 1}
                        onPress={() => move(value, 1)}
                      >
                        <ArrowDown size={16} aria-hidden="true" />
                      </Icon>
                      <Button look="quiet" className="text-sm" onClick={() => leave(id)}>
                        {leftOut(id) ? t`Put back` : t`Leave out`}
                      </Button>
                    </>
                  )
                }
              />
              <Trouble path={pathOf(id, "rank")} id={`rank-${id}`} />
            </li>
          );
        })}
      </ol>
    </div>
  );
}

function Icon({
  name,
  off,
  onPress,
  children,
}: {
  name: string;
  off: boolean;
  onPress: () => void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={name}
      disabled={off}
      onClick={onPress}
      className="grid size-11 place-items-center hover:bg-deep disabled:opacity-30"
    >
      {children}
    </button>
  );
}

/** What was computed, and the practitioner's words for it beneath. */
function Words({
  title,
  path,
  id,
  out = false,
  acts,
}: {
  title: string;
  path: string;
  id: string;
  out?: boolean;
  acts?: React.ReactNode;
}) {
  const { catalogue } = useVisitFacts();
  const cells = useCells();
  const field = memberField(catalogue, path, id);
  const [open, setOpen] = useState(false);
  const typed = cells.get(path.replace("*", id))?.typed;
  return (
    <div data-field={path.replace("*", id)}>
      <div className="flex items-start">
        <button
          type="button"
          data-grip=""
          aria-expanded={open || !!typed}
          onClick={() => setOpen(!open)}
          className={`min-h-11 flex-1 py-2 text-start ${out ? "text-soft line-through" : ""}`}
        >
          {title}
        </button>
        {acts}
      </div>
      {(open || typed) && field && <FieldRow field={field} />}
    </div>
  );
}
