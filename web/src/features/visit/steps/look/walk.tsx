import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Collapsible } from "radix-ui";
import { useEffect, useId, useRef, useState } from "react";
import { useSince } from "@/shared/api/queries";
import { quantity } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { FieldRow, TextEntry, Trouble } from "../../field-row";
import { useDrawingStore, usePicked } from "../../state/drawing-store";
import { applies, type Field, memberField, useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCell, useCells, useFromCells, useQueue } from "../../state/recording";

/** So long a field waits for its answer before one goes on, ms. House value. */
const ANSWERED_WITHIN_MS = 3000;

/** Heights and distances in the order one walks round a desk, one large field at a time. */
export function Walk() {
  const { fields, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const { sought, setPart } = useNavigation();
  const { setActive } = useDrawingStore();
  const id = useId();
  const list = fields.filter((field) => field.section === "walk" && applies(field, cells));
  const firstOpen = list.find((field) => field.needed && !cells.get(field.id)?.typed);
  const [chosen, setChosen] = useState<string | null>(sought);
  const [leaving, setLeaving] = useState<string | null>(null);
  const [late, setLate] = useState(false);
  // what somebody chooses counts at once, also before an effect of the answer that came with it
  const leaves = useRef<string | null>(null);
  const choose = (field: string) => {
    leaves.current = null;
    setLeaving(null);
    setLate(false);
    setChosen(field);
  };
  const now = list.find((field) => field.id === chosen) ?? firstOpen ?? list[0];
  const part = now?.part || null;
  useEffect(() => setActive(part), [part, setActive]);
  useEffect(() => {
    if (chosen === null && now) setChosen(now.id);
  }, [chosen, now]);
  usePicked((part, posture) => {
    const start = posture === "standing" ? "look.found_standing." : "look.found.";
    const field = list.find((field) => field.part === part && field.id.startsWith(start));
    if (field) choose(field.id);
    return field !== undefined;
  });
  useEffect(() => {
    if (sought?.startsWith("look.")) setChosen(sought);
  }, [sought]);
  const here = now?.id ?? "";
  const next = nextOf(list, now, (field) => !!cells.get(field.id)?.typed);
  const state = cells.get(here)?.state ?? "kept";
  const answered = state !== "waiting" || late;
  useEffect(() => {
    if (leaving === null) return;
    const patience = setTimeout(() => setLate(true), ANSWERED_WITHIN_MS);
    return () => clearTimeout(patience);
  }, [leaving]);
  // on once the answer is there, or takes too long; where the value was refused, one stays with it
  // biome-ignore lint/correctness/useExhaustiveDependencies: the way on is the one of this moment
  useEffect(() => {
    if (leaving !== here || leaves.current !== here || !answered) return;
    leaves.current = null;
    setLeaving(null);
    setLate(false);
    if (state === "refused" || state === "stale") return;
    if (next) setChosen(next.id);
    else setPart("pieces");
  }, [leaving, here, state, answered]);
  if (!now) return null;
  const onward = () => {
    queue.flush();
    leaves.current = now.id;
    setLeaving(now.id);
  };
  return (
    <div className="flex flex-col pb-5">
      <div className="border border-ink/40 bg-ground p-4" data-field={now.id}>
        <p className="text-sm text-soft">{now.group}</p>
        <label htmlFor={`${id}-entry`} className="block text-2xl leading-8 font-semibold">
          {now.label}
        </label>
        <p className="mb-2 min-h-12" id={`${id}-entry-help`}>
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
        <AsLeft field={now} onTaken={onward} />
      </div>
      <ForATime />
      <Button look="next" className="mt-3 w-full" data-next="" onClick={onward}>
        {next ? t`Next: ${next.label}` : t`Next: Equipment`}
      </Button>
      <Listed
        title={t`What the targets need`}
        list={list.filter((field) => field.needed)}
        now={now}
        onChoose={choose}
      />
      {groupsOf(list.filter((field) => !field.needed)).map(([group, fields]) => (
        <Listed
          key={group}
          title={t`${group}, where it matters`}
          list={fields}
          now={now}
          onChoose={choose}
          folded={!fields.includes(now)}
        />
      ))}
    </div>
  );
}

/** How it was left at the visit before, beside how it is found: one tap where it is still the same. */
function AsLeft({ field, onTaken }: { field: Field; onTaken: () => void }) {
  const { visit, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cell = useCell(field.id);
  const since = useSince(visit.id, unit).data;
  const line = since?.left.find((one) => one.path === field.id);
  if (!since || !line) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center justify-between gap-2 text-sm">
      <span>
        <Trans>
          Left at <b className="figures">{line.left}</b> on {since.on_words}
        </Trans>
        {cell?.typed && line.drift && <span className="text-soft">: {line.drift}</span>}
      </span>
      {!cell?.typed && !readOnly && (
        <Button
          onClick={() => {
            queue.type(field.id, line.typed, unit);
            onTaken();
          }}
        >
          {t`No change`}
        </Button>
      )}
    </div>
  );
}

/** What was there for a time only at the visit before: what has become of it. */
function ForATime() {
  const { visit, unit, catalogue } = useVisitFacts();
  const temporary = useSince(visit.id, unit).data?.temporary ?? [];
  if (temporary.length === 0) return null;
  return (
    <section aria-label={t`Temporary`} className="mt-4 space-y-3">
      <h3 className="border-b border-ink pb-1">{t`Temporary`}</h3>
      {temporary.map((one) => {
        const id = one.path.split(".")[2] ?? "";
        const field = memberField(catalogue, "look.temporary.*.now", id);
        return (
          field && (
            <FieldRow key={one.path} field={{ ...field, label: `${one.label}: ${one.until}` }} />
          )
        );
      })}
    </section>
  );
}

/** On to what the targets still need, then through it again; from anything else to what stands after it. */
export function nextOf(
  list: readonly Field[],
  now: Field | undefined,
  typed: (field: Field) => boolean,
): Field | undefined {
  if (!now) return undefined;
  const after = list.slice(list.indexOf(now) + 1);
  if (!now.needed) return after.find((field) => !field.needed);
  const open = (field: Field) => field.needed && !typed(field);
  const other = after.find(open) ?? list.find((field) => field !== now && open(field));
  return other ?? after.find((field) => field.needed); // all is there: one goes through it again
}

function groupsOf(list: readonly Field[]): [string, Field[]][] {
  const groups = [...new Set(list.map((field) => field.group))];
  return groups.map((group) => [group, list.filter((field) => field.group === group)]);
}

/** Fields of a kind with what is known of them; what is not needed is folded until it is. */
function Listed({
  title,
  list,
  now,
  onChoose,
  folded = false,
}: {
  title: string;
  list: readonly Field[];
  now: Field;
  onChoose: (id: string) => void;
  folded?: boolean;
}) {
  const typed = useFromCells((cells) => list.filter((field) => cells.get(field.id)?.typed).length);
  const [chosen, setChosen] = useState<boolean | null>(null);
  if (list.length === 0) return null;
  const open = chosen ?? (!folded || typed > 0);
  return (
    <Collapsible.Root open={open} onOpenChange={setChosen} asChild>
      <section className="mt-4">
        <h3 className="border-b border-ink text-sm font-semibold">
          <Collapsible.Trigger className="flex min-h-11 w-full items-center gap-2 text-start">
            <span aria-hidden="true">{open ? "▾" : "▸"}</span>
            <span className="flex-1">{title}</span>
            <span className="figures font-normal text-soft">
              <Trans>
                {typed} of {list.length}
              </Trans>
            </span>
          </Collapsible.Trigger>
        </h3>
        <Collapsible.Content>
          <ol className="text-sm" aria-label={title}>
            {list.map((field) => (
              <Line
                key={field.id}
                field={field}
                here={field === now}
                onChoose={() => onChoose(field.id)}
              />
            ))}
          </ol>
        </Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}

function Line({ field, here, onChoose }: { field: Field; here: boolean; onChoose: () => void }) {
  const { unit } = useVisitFacts();
  const cell = useCell(field.id);
  const shown = cell?.typed ?? "";
  const bare = /[\d]$/.test(shown);
  return (
    <li className="border-b border-hair">
      <button
        type="button"
        aria-current={here ? "true" : undefined}
        onClick={onChoose}
        className={`flex min-h-11 w-full items-center justify-between gap-2 text-start ${here ? "bg-deep font-semibold" : ""}`}
      >
        <span>
          {(cell?.state === "refused" || cell?.state === "stale") && "! "}
          {field.label}
        </span>
        <span className="figures shrink-0">
          {shown ? (
            quantity(shown, bare ? (field.kind === "length" ? unit : field.unit) : "")
          ) : (
            <span className="text-soft">{field.needed ? t`to record` : t`not recorded`}</span>
          )}
        </span>
      </button>
    </li>
  );
}
