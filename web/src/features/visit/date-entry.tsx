import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { clsx } from "clsx";
import { CalendarDays } from "lucide-react";
import { Popover } from "radix-ui";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import { dateOrder, dayOf, writtenDate } from "@/shared/dates";
import { dayTyped } from "@/shared/typed-date";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { said } from "@/shared/words/said";
import { useVisitFacts } from "./state/facts";
import { useCell, useQueue } from "./state/recording";

const Calendar = lazy(() => import("@/shared/ui/calendar"));

/** How far ahead follow-ups are usually set. */
const AHEAD = said([
  { words: msg`In 2 weeks`, typed: "2 weeks" },
  { words: msg`In 4 weeks`, typed: "4 weeks" },
  { words: msg`In 3 months`, typed: "3 months" },
]);

/** Christmas in numbers: the day tells which is which. */
const IN_NUMBERS = { dmy: "25/12/2026", mdy: "12/25/2026" } as const;
const WITH_YEAR = /\b\d{4}\b/;
const RESTED_MS = 700;

/** A day: written in words or numbers, counted from today, or chosen in a calendar. Saved when it is whole. */
export function DateEntry({ path, id, ahead }: { path: string; id: string; ahead: boolean }) {
  const { unit, readOnly, visit } = useVisitFacts();
  const queue = useQueue();
  const cell = useCell(path);
  const [draft, setDraft] = useState<string | null>(null);
  const [early, setEarly] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const held = cell?.typed ?? "";
  const today = dayOf(new Date());
  const day = draft === null ? held : dayTyped(draft, today, dateOrder());
  const unread = draft !== null && draft.trim() !== "" && day === null;
  const put = (day: string) => {
    setDraft(null);
    setEarly(null);
    if (day !== held) queue.type(path, day, unit);
  };
  /** A day before the visit is asked about, where it lies ahead by its nature. */
  const choose = (day: string) => {
    if (ahead && day && day < visit.started_on) setEarly(day);
    else put(day);
  };
  const pause = useRef<ReturnType<typeof setTimeout>>(undefined);
  const leave = () => {
    clearTimeout(pause.current);
    if (draft === null) return;
    if (draft.trim() === "") put("");
    else if (day) choose(day);
  };
  const latest = useRef(leave);
  useEffect(() => {
    latest.current = leave;
  });
  useEffect(() => queue.onFlush(() => latest.current()), [queue]);
  const typing = draft !== null;
  useEffect(() => {
    queue.holds(path, typing);
    return () => queue.holds(path, false);
  }, [queue, path, typing]);
  // a day with its year is whole: it is saved once the hand rests, without leaving the field
  const complete = draft !== null && day !== null && WITH_YEAR.test(draft);
  useEffect(() => {
    if (!complete) return;
    pause.current = setTimeout(() => latest.current(), RESTED_MS);
    return () => clearTimeout(pause.current);
  }, [complete]);
  return (
    <div>
      <span className="relative inline-flex w-full max-w-56">
        <input
          id={id}
          type="text"
          autoComplete="off"
          readOnly={readOnly}
          aria-invalid={unread || undefined}
          aria-describedby={unread ? `${id}-unread` : undefined}
          value={draft ?? (held ? writtenDate(held) : "")}
          placeholder={t`15 Dec, or +4 weeks`}
          onChange={(event) => setDraft(event.target.value)}
          onBlur={leave}
          onKeyDown={(event) => event.key === "Enter" && leave()}
          className={clsx(
            "figures min-h-11 w-full rounded-[3px] bg-ground pe-12 ps-3 text-lg placeholder:text-base placeholder:text-soft",
            unread ? "border-2 border-ink" : "border border-ink/60",
          )}
        />
        {!readOnly && (
          <Popover.Root open={open} onOpenChange={setOpen}>
            <Popover.Trigger
              aria-label={t`Choose from calendar`}
              className="absolute top-0 end-0 grid size-11 place-items-center"
            >
              <CalendarDays size={18} aria-hidden="true" />
            </Popover.Trigger>
            <Popover.Portal>
              <Popover.Content
                align="end"
                sideOffset={4}
                collisionPadding={8}
                aria-label={t`Calendar`}
                className="z-50 border border-ink bg-ground p-3"
              >
                <Suspense fallback={<p className="p-4 text-soft">{t`Opening the calendar…`}</p>}>
                  <Calendar
                    day={held}
                    today={today}
                    from={ahead ? visit.started_on : null}
                    onChoose={(day) => {
                      choose(day);
                      setOpen(false);
                    }}
                  />
                </Suspense>
              </Popover.Content>
            </Popover.Portal>
          </Popover.Root>
        )}
      </span>
      {unread && (
        <Notice id={`${id}-unread`} role="alert" className="mt-1 text-sm">
          <Trans>
            “{draft}” is not a date. Enter it as 15 Dec, {IN_NUMBERS[dateOrder()]} or +4 weeks. Not
            saved yet.
          </Trans>
        </Notice>
      )}
      {early && (
        <Notice role="alert" className="mt-1 text-sm">
          <p>
            <Trans>
              {writtenDate(early)} is before this visit, on {writtenDate(visit.started_on)}.
            </Trans>
          </p>
          <div className="mt-1 flex gap-2">
            <Button onClick={() => setEarly(null)}>{t`Clear`}</Button>
            <Button onClick={() => put(early)}>{t`Save`}</Button>
          </div>
        </Notice>
      )}
      {ahead && !readOnly && (
        <div className="mt-1.5 flex flex-wrap gap-1.5">
          {AHEAD.map(({ words, typed }) => (
            <Button
              key={words}
              className="px-3 text-sm"
              onClick={() => put(dayTyped(typed, today) ?? "")}
            >
              {words}
            </Button>
          ))}
        </div>
      )}
    </div>
  );
}
