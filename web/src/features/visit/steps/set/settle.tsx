import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { fieldId } from "@/shared/api/field-ids";
import { Button } from "@/shared/ui/button";
import { clockWords } from "@/shared/use-seconds-to";
import { within } from "@/shared/words/within";
import { useSettleClock } from "../../settle-clock";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";

const STARTED = fieldId("set.settle.started");
const SEEN = fieldId("set.settle.seen");

/** The settle-in test: begun here, seen in the head of every step; what is seen becomes the next setting. */
export function Settle() {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const settle = useWorkup()?.settle;
  const left = useSettleClock();
  if (!settle) return null;
  const begin = () => queue.type(STARTED, String(Math.round(Date.now() / 1000)), unit);
  const see = (step: (typeof settle.steps)[number]) =>
    queue.typeAll(
      [
        [SEEN, step.seen] as const,
        [STARTED, ""] as const,
        ...Object.entries(step.writes).map(([path, typed]) => [path, typed] as const),
      ],
      unit,
    );
  const last = settle.steps.find((step) => step.seen === settle.seen);
  return (
    <section className="mt-5 border-t border-ink pt-3" aria-label={t`Settle-in test`}>
      <h3 className="text-sm font-semibold">{t`Settle-in test`}</h3>
      {left === null ? (
        <>
          <p className="mt-1 text-sm text-soft">
            <Trans>
              Let the client work for {settle.minutes} minutes, then check again.
              {last && t` Last seen: ${within(last.label)}.`}
            </Trans>
          </p>
          {!readOnly && (
            <Button className="mt-2 w-full" onClick={begin}>
              {settle.seen ? t`Start again` : t`Start: ${settle.minutes} min`}
            </Button>
          )}
        </>
      ) : (
        <>
          <p className="mt-1 text-sm" aria-live="off">
            {left > 0 ? (
              <Trans>
                <b className="figures">{clockWords(left)}</b> to go. What you see before then counts
                too.
              </Trans>
            ) : (
              <b>{t`Check again: what do you see?`}</b>
            )}
          </p>
          {!readOnly && (
            <div className="mt-2 grid gap-1.5">
              {settle.steps.map((step) => (
                <Button
                  key={step.says}
                  className="justify-start py-1.5 text-start text-sm"
                  onClick={() => see(step)}
                >
                  <span>
                    <b>{step.label}.</b> {step.says}
                  </span>
                </Button>
              ))}
              <Button look="quiet" onClick={() => queue.type(STARTED, "", unit)}>
                {t`Stop timer`}
              </Button>
            </div>
          )}
        </>
      )}
    </section>
  );
}
