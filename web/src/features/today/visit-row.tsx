import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "@tanstack/react-router";
import { clsx } from "clsx";
import { Offers } from "@/features/agenda/offers";
import { useMe } from "@/shared/api/account";
import { useVisitChanges } from "@/shared/api/queries";
import { shortDate } from "@/shared/dates";
import { STEP_NAMES } from "@/shared/steps";
import { saidWithUndo } from "@/shared/ui/undo";
import { clockWords, useSecondsTo } from "@/shared/use-seconds-to";
import { StepCord } from "./step-cord";
import { ageOf, dueOn, type Line, STATE_WORDS, whenDue } from "./visits";

/** One visit of a list: whose, what it waits for, and how far it is; the whole row opens it. */
export function VisitRow({
  line,
  due = false,
  call = false,
}: {
  line: Line;
  /** Its follow-up is due. */
  due?: boolean;
  /** Its client is to be called back about a red flag. */
  call?: boolean;
}) {
  const me = useMe().data;
  const mayOpen = (me?.writes || me?.sees_health) ?? false;
  const signed = line.state === "signed" || line.state === "changed";
  const step = signed ? "report" : (line.step ?? "ask");
  const name = <span className="font-semibold">{line.client}</span>;
  return (
    <li className="relative grid gap-x-5 gap-y-1 border-t border-hair px-2 py-2.5 hover:bg-paper desk:min-h-14 desk:grid-cols-[minmax(0,38%)_72px_130px_100px_minmax(0,1fr)] desk:items-center">
      <div className="min-w-0">
        {mayOpen ? (
          <Link
            to="/visits/$visitId/$step"
            params={{ visitId: line.id, step }}
            className="after:absolute after:inset-0"
            dir="auto"
          >
            {name}
          </Link>
        ) : (
          name
        )}
        <p className="truncate text-sm text-soft" dir="auto">
          {line.work}
        </p>
        {line.worse.length > 0 && (
          <p className="figures text-sm font-semibold">
            <Trans>Worse: {line.worse.join("; ")}</Trans>
          </p>
        )}
      </div>
      <p className="figures text-sm desk:text-base">
        <span className="sr-only">{t`Visit on`} </span>
        {shortDate(line.started_on)}
        <span className="text-soft desk:hidden"> · {line.practitioner}</span>
      </p>
      <p className="hidden truncate text-sm text-soft desk:block">{line.practitioner}</p>
      <StepCord step={line.step} signed={signed} />
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm desk:justify-end">
        {line.sign && (
          <span className="border-4 border-double border-ink bg-deep px-2 py-0.5 font-semibold whitespace-nowrap">
            {line.sign}
          </span>
        )}
        <RowActs line={line} mayOpen={mayOpen} />
        <span className={clsx("whitespace-nowrap", (due || call) && "font-semibold")}>
          {call
            ? t`Call back: ${dueOn(line.call_back)}`
            : due
              ? whenDue(line)
              : STATE_WORDS[line.state]}
          {!call && line.state === "draft" && line.step && (
            <span className="text-soft">
              {" "}
              <Trans>at {STEP_NAMES[line.step]}</Trans>
            </span>
          )}
          {!call && ageOf(line) && <span className="text-soft">, {ageOf(line)}</span>}
          <Settling until={line.settles_at} />
        </span>
      </div>
      {(due || call) && (
        <div className="desk:col-span-full">
          <Offers of={(waiting) => waiting.visit_id === line.id} />
        </div>
      )}
    </li>
  );
}

/** The clock of a settle-in test that runs in this visit. */
function Settling({ until }: { until: number | null }) {
  const left = useSecondsTo(until);
  if (left === null) return null;
  return (
    <span className="figures block font-semibold">
      {left > 0 ? t`Settling in ${clockWords(left)}` : t`Settle-in time is over: check again`}
    </span>
  );
}

/** What can be done with a line without opening it. */
function RowActs({ line, mayOpen }: { line: Line; mayOpen: boolean }) {
  const me = useMe().data;
  const { start, drop, discard } = useVisitChanges();
  const setDiscarded = (discarded: boolean) =>
    discard.mutateAsync({ params: { path: { visit_id: line.id } }, body: { discarded } });
  const remove = () =>
    drop.mutate(
      { params: { path: { visit_id: line.id } } },
      {
        onSuccess: () =>
          saidWithUndo(t`The empty visit of ${line.client} was deleted.`, () =>
            start.mutateAsync({ body: { id: line.id, client_id: line.client_id } }),
          ),
      },
    );
  if (line.state === "new" && me?.writes)
    return (
      <button
        type="button"
        aria-label={t`Delete the empty visit of ${line.client}`}
        disabled={drop.isPending}
        className="relative z-10 min-h-11 px-1 underline"
        onClick={remove}
      >
        {t`Delete`}
      </button>
    );
  if (line.state === "draft" && me?.writes && ageOf(line))
    return (
      <button
        type="button"
        aria-label={t`Discard the draft of ${line.client}`}
        disabled={discard.isPending}
        className="relative z-10 min-h-11 px-1 underline"
        onClick={() =>
          void setDiscarded(true).then(() =>
            saidWithUndo(t`The draft of ${line.client} was discarded.`, () => setDiscarded(false)),
          )
        }
      >
        {t`Discard`}
      </button>
    );
  if (!mayOpen && line.shared_report)
    return (
      <a
        href={`/api/reports/${line.shared_report}.pdf?copy=workplace`}
        target="_blank"
        rel="noreferrer"
        className="relative z-10 inline-flex min-h-11 items-center underline"
      >
        {t`Workplace copy (PDF)`}
      </a>
    );
  return null;
}
