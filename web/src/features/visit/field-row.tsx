import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useId, useRef, useState } from "react";
import { shortDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { PhraseBox } from "@/shared/ui/phrase-box";
import { Segments } from "@/shared/ui/segments";
import { COARSE } from "@/shared/use-media";
import { within } from "@/shared/words/within";
import { DateEntry } from "./date-entry";
import { fieldOf } from "./places";
import { useDrawingStore } from "./state/drawing-store";
import { type Field, useVisitFacts } from "./state/facts";
import { useNavigation } from "./state/navigation";
import { useCell, useCells, useQueue } from "./state/recording";

/** Handed over this long after the last key, and at least so often while keys go on. */
const PAUSE_MS = 180;
const AT_LEAST_MS = 600;

/** One field of the record, of whatever kind; saved as it is typed. */
export function FieldRow({ field, large = false }: { field: Field; large?: boolean }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const { setActive } = useDrawingStore();
  const few = field.choices.length === 2 && field.choices.every(([, label]) => label.length < 4);
  const id = useId();
  const cell = useCell(field.id);
  const focus = () => setActive(field.part || null);
  const help = field.help && (
    <p id={`${id}-help`} className="mt-0.5 text-sm text-soft">
      {field.help}
    </p>
  );
  if (field.kind === "choice")
    return (
      <fieldset
        onFocus={focus}
        data-field={field.id}
        className={few ? "grid grid-cols-[1fr_auto] items-center gap-x-3" : ""}
      >
        <legend className={few ? "float-left font-semibold" : "mb-1 font-semibold"}>
          {field.label}
        </legend>
        <Segments
          label={field.label}
          value={cell?.typed ?? ""}
          choices={field.choices.map(([value, label]) => ({ value, label }))}
          onChange={(value) => queue.type(field.id, value, unit)}
          disabled={readOnly}
        />
        {help}
        <Trouble path={field.id} id={id} />
      </fieldset>
    );
  if (field.kind === "date")
    return (
      <div data-field={field.id}>
        <label htmlFor={id} className="mb-1 block font-semibold">
          {field.label}
        </label>
        <DateEntry path={field.id} id={id} ahead={field.step === "report"} />
        {help}
        <Trouble path={field.id} id={id} />
      </div>
    );
  return (
    <div data-field={field.id}>
      <div
        className={field.kind === "text" || large ? "" : "flex items-center justify-between gap-3"}
      >
        <label htmlFor={id} className={`font-semibold ${large ? "text-base" : ""}`}>
          {field.label}
        </label>
        <TextEntry field={field} id={id} large={large} onFocus={focus} described={!!field.help} />
      </div>
      {help}
      <Trouble path={field.id} id={id} />
    </div>
  );
}

/** Lowest and highest of one piece on one line. */
export function PairRow({ low, high }: { low: Field; high: Field }) {
  const { setActive } = useDrawingStore();
  const id = useId();
  return (
    <fieldset data-field={low.id}>
      <div className="flex items-center justify-between gap-2">
        <legend className="float-left font-semibold">{low.pair || low.label}</legend>
        <span className="flex shrink-0 items-center gap-1.5">
          {[low, high].map((field, index) => (
            <span key={field.id} data-field={field.id} className="flex items-center gap-1.5">
              {index === 1 && <span className="text-sm text-soft">{t`to`}</span>}
              <label htmlFor={`${id}-${index}`} className="sr-only">
                {field.label}
              </label>
              <TextEntry
                field={field}
                id={`${id}-${index}`}
                narrow
                onFocus={() => setActive(field.part || null)}
              />
            </span>
          ))}
        </span>
      </div>
      {low.help && <p className="mt-0.5 text-sm text-soft">{low.help}</p>}
      <Trouble path={low.id} id={`${id}-0`} />
      <Trouble path={high.id} id={`${id}-1`} />
    </fieldset>
  );
}

/** The input of a field: keeps what is being typed until it is on its way. */
export function TextEntry({
  field,
  id,
  large = false,
  narrow = false,
  onFocus,
  onEnter,
  onChanged,
  described = false,
  autoFocus = false,
}: {
  field: Field;
  id: string;
  large?: boolean;
  narrow?: boolean;
  onFocus?: () => void;
  onEnter?: () => void;
  /** The field was left with another text than it was entered with. */
  onChanged?: (typed: string) => void;
  described?: boolean;
  autoFocus?: boolean;
}) {
  const { unit, readOnly, visit } = useVisitFacts();
  const queue = useQueue();
  const cell = useCell(field.id);
  const [draft, setDraft] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef<string | null>(null);
  const since = useRef(0);
  /** One edit, from focus to leaving, is one step to take back. */
  const edit = useRef<number | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const send = () => {
    clearTimeout(timer.current);
    if (latest.current !== null) {
      edit.current ??= queue.newStep();
      queue.type(field.id, latest.current, unit, { step: edit.current });
    }
    latest.current = null;
  };
  const change = (text: string) => {
    setDraft(text);
    if (latest.current === null) since.current = Date.now();
    queue.holds(field.id, true);
    latest.current = text;
    clearTimeout(timer.current);
    const left = since.current + AT_LEAST_MS - Date.now();
    timer.current = setTimeout(send, Math.max(0, Math.min(PAUSE_MS, left)));
  };
  const leave = () => {
    send();
    if (draft !== null) onChanged?.(draft);
    setDraft(null);
    edit.current = null;
  };
  const sendLatest = useRef(send);
  sendLatest.current = send;
  useEffect(() => queue.onFlush(() => sendLatest.current()), [queue]);
  useEffect(() => () => sendLatest.current(), []);
  const mounted = useRef(false);
  useEffect(() => {
    // Later on it never takes the focus from a field that is being typed in.
    const typing = document.activeElement instanceof HTMLInputElement;
    // under a finger the keyboard would cover half of what one came for: it waits for the tap
    if (matchMedia(COARSE).matches) return;
    if (autoFocus && !(mounted.current && typing)) input.current?.focus();
    mounted.current = true;
  }, [autoFocus]);

  const suffix = field.kind === "length" ? unit : field.unit;
  const wrong = cell?.state === "refused" || cell?.state === "stale";
  const common = {
    id,
    value: draft ?? bare(cell?.typed ?? "", suffix),
    readOnly,
    "aria-invalid": wrong || undefined,
    "aria-describedby":
      [wrong ? `${id}-trouble` : "", described ? `${id}-help` : ""].join(" ").trim() || undefined,
    onBlur: leave,
    ...(onFocus ? { onFocus } : {}),
  };
  const edge = wrong ? "border-2 border-ink" : "border border-ink/50";
  if (field.kind === "text")
    return (
      <PhraseBox
        {...common}
        client={visit.client.name}
        rows={field.one_line ? 1 : 3}
        className={`mt-1 w-full rounded-[3px] bg-ground px-3 py-2 ${edge}`}
        onText={change}
      />
    );
  return (
    <span
      className={`relative inline-block ${large ? "w-full" : narrow ? "w-[92px]" : "w-[132px] shrink-0"}`}
    >
      <input
        {...common}
        ref={input}
        type="text"
        inputMode={
          field.kind === "number" || (field.kind === "length" && unit !== "in")
            ? "decimal"
            : undefined
        }
        autoComplete="off"
        className={`figures w-full rounded-[3px] bg-ground ps-3 ${edge} ${
          large ? "min-h-16 pe-10 text-3xl font-semibold" : "min-h-11 pe-10 text-lg"
        }`}
        onChange={(event) => change(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "Enter") return;
          send();
          edit.current = null;
          onEnter?.();
        }}
      />
      {suffix && (
        <span
          className={`pointer-events-none absolute top-1/2 end-3 -translate-y-1/2 text-soft ${large ? "text-lg" : "text-sm"}`}
          aria-hidden="true"
        >
          {/[a-z"'″′]\s*$/i.test(common.value) ? "" : suffix}
        </span>
      )}
    </span>
  );
}

/** What was typed, without the unit that stands beside the field anyway. */
function bare(typed: string, unit: string): string {
  return unit && typed.endsWith(` ${unit}`) ? typed.slice(0, -unit.length - 1) : typed;
}

/** What is wrong with a field, in its place, with the ways out. */
export function Trouble({ path, id }: { path: string; id: string }) {
  const { unit, fields, catalogue } = useVisitFacts();
  const queue = useQueue();
  const { seek } = useNavigation();
  const { readOnly } = useVisitFacts();
  const cell = useCell(path);
  if (cell?.state === "kept" && cell.held?.self_reported && cell.held.value !== null)
    return (
      <p className="flex items-center gap-2 text-sm text-soft">
        <Trans>Reported by the client, {shortDate(cell.held.changed_at)}</Trans>
        {!readOnly && (
          <button
            type="button"
            className="min-h-9 px-1 text-ink underline"
            onClick={() => queue.type(path, cell.typed, cell.unit ?? unit)}
          >
            {t`Confirm`}
          </button>
        )}
      </p>
    );
  if (cell?.state === "refused")
    return (
      <Notice id={`${id}-trouble`} role="alert" className="mt-1 text-sm">
        <Trans>{cell.problem?.detail} Not saved yet.</Trans>
        {(cell.problem?.choices ?? []).length > 0 && (
          <span className="mt-1 flex flex-wrap gap-1.5">
            {cell.problem?.choices?.map((choice) => (
              <Button key={choice} onClick={() => queue.type(path, choice, unit)}>
                {choice}
              </Button>
            ))}
          </span>
        )}
        {cell.problem?.belongs && (
          <Button
            className="mt-1 flex"
            onClick={() => {
              const belongs = cell.problem?.belongs ?? path;
              queue.typeAll(
                [
                  [path, ""],
                  [belongs, cell.typed],
                ],
                unit,
              );
            }}
          >
            <Trans>
              Move it to{" "}
              {within(fields.find((field) => field.id === cell.problem?.belongs)?.group ?? "")}
            </Trans>
          </Button>
        )}
        {cell.problem?.type === "needs-consent" && (
          <Button
            className="mt-1 flex"
            onClick={() => seek(`ask.consent.${cell.problem?.consent ?? "notes"}`)}
          >
            {t`Record consent`}
          </Button>
        )}
      </Notice>
    );
  if (cell?.state === "stale")
    return (
      <Notice id={`${id}-trouble`} role="alert" className="mt-1 text-sm">
        <p>
          <Trans>
            {cell.held?.changed_by || t`Someone`} entered <b>{cell.held?.typed || "nothing"}</b>{" "}
            here while you typed <b>{cell.typed || "nothing"}</b>.
          </Trans>
        </p>
        <div className="mt-1 flex gap-2">
          <Button onClick={() => queue.settle(path, "mine", unit)}>{t`Mine`}</Button>
          <Button onClick={() => queue.settle(path, "theirs", unit)}>{t`Theirs`}</Button>
          {fieldOf(path, [...fields, ...catalogue.families])?.kind === "text" && (
            <Button onClick={() => queue.settle(path, "both", unit)}>{t`Keep both`}</Button>
          )}
        </div>
      </Notice>
    );
  return null;
}

/** Troubles of values that are tapped, not typed into a field, each with the name of its thing. */
export function Troubles({ of }: { of: readonly { path: string; label: string }[] }) {
  const cells = useCells();
  const open = of.filter(({ path }) => ["refused", "stale"].includes(cells.get(path)?.state ?? ""));
  return open.map(({ path, label }) => (
    <div key={path} className="my-2">
      <p className="text-sm font-semibold">{label}</p>
      <Trouble path={path} id={path} />
    </div>
  ));
}
