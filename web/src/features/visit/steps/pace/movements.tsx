import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useState } from "react";
import { Marks } from "@/drawing/marks";
import type { Schemas } from "@/shared/api/client";
import { useProgramme } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Skeleton } from "@/shared/ui/skeleton";
import { useMedia } from "@/shared/use-media";
import { within } from "@/shared/words/within";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";

/** Size of one moment as the core draws it, px; each moment is shown for so long. */
const FIGURE = { width: 190, height: 236 };
const MOMENT_MS = 1400;
const STILL = "(prefers-reduced-motion: reduce)";

type Figures = readonly Schemas["MovementFigure"][];

/** At most five movements, each with why it is there; the practitioner changes them. */
export function Movements() {
  const { visit, place, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const answer = useProgramme(visit.id, place);
  if (answer.isError && !answer.data) return <Notice role="alert">{answer.error.message}</Notice>;
  if (!answer.data) return <Skeleton lines={6} label={t`Loading`} />;
  const { programme, figures } = answer.data;
  const say = (id: string, word: string) => queue.type(`pace.movement.${id}`, word, unit);
  return (
    <div className="max-w-[1000px]">
      {programme.rules.map((rule) => (
        <p key={rule} className="mb-1">
          {rule}
        </p>
      ))}
      <ul className="mt-3 border-t border-ink">
        {programme.chosen.map((one) => (
          <li
            key={one.id}
            className="grid gap-x-6 border-b border-hair py-3 sm:grid-cols-[200px_minmax(0,1fr)]"
          >
            <Figure label={one.label} figures={figures[one.id] ?? []} />
            <div>
              <div className="flex flex-wrap items-start justify-between gap-x-4">
                <h3 className="text-lg font-semibold">{one.label}</h3>
                {!readOnly && (
                  <Button look="quiet" onClick={() => say(one.id, "no")}>
                    {t`Leave out`}
                  </Button>
                )}
              </div>
              <p className="figures">
                <b>{one.dose}.</b> {one.start}.
              </p>
              <ol className="mt-1 list-decimal ps-5">
                {one.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
              <p className="mt-1 text-sm text-soft">
                <Trans>
                  For: {one.why.replace(/\.$/, "")}. Felt: {one.felt}. Not {one.never}.
                </Trans>
              </p>
              {one.times.length > 0 && (
                <p className="figures mt-1 text-sm">
                  <Trans>
                    At {one.times.slice(0, 6).join(", ")}
                    {one.times.length > 6 && " …"}
                  </Trans>
                </p>
              )}
            </div>
          </li>
        ))}
      </ul>
      {programme.chosen.length === 0 && (
        <Notice>{t`No movement in the library fits the limits.`}</Notice>
      )}
      <Others programme={programme} onAdd={readOnly ? null : (id) => say(id, "yes")} />
    </div>
  );
}

/** What else could be chosen, and what a limit keeps out. */
function Others({
  programme,
  onAdd,
}: {
  programme: Schemas["ProgrammeView"];
  onAdd: ((id: string) => void) | null;
}) {
  const full = programme.chosen.filter((movement) => movement.own).length >= 5;
  return (
    <>
      <details className="mt-4">
        <summary className="flex min-h-11 items-center font-semibold">
          <Trans>{programme.further.length} other movements available</Trans>
        </summary>
        <ul>
          {programme.further.map((furtherMovement) => (
            <li
              key={furtherMovement.id}
              className="flex items-center justify-between gap-4 border-b border-hair py-1"
            >
              <span>
                {furtherMovement.label}{" "}
                <span className="text-sm text-soft">{furtherMovement.regions}</span>
              </span>
              {onAdd && (
                <Button
                  disabled={full}
                  onClick={() => onAdd(furtherMovement.id)}
                  aria-label={t`Add ${furtherMovement.label}`}
                >
                  {t`Add`}
                </Button>
              )}
            </li>
          ))}
        </ul>
      </details>
      {programme.left_out.length > 0 && (
        <details className="mt-2">
          <summary className="flex min-h-11 items-center font-semibold">
            <Trans>{programme.left_out.length} excluded by limits</Trans>
          </summary>
          <ul className="text-sm">
            {programme.left_out.map((leftOutMovement) => (
              <li key={leftOutMovement.id} className="border-b border-hair py-1.5">
                {leftOutMovement.label}:{" "}
                <span className="text-soft">{leftOutMovement.because}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** The moments of a movement in turn; side by side where motion is unwanted, or once it is pressed. */
function Figure({ label, figures }: { label: string; figures: Figures }) {
  const { catalogue } = useVisitFacts();
  const unwanted = useMedia(STILL);
  const [stopped, setStopped] = useState(false);
  const still = unwanted || stopped;
  const [at, setAt] = useState(0);
  useEffect(() => {
    if (still || figures.length < 2) return;
    const timer = setInterval(() => setAt((now) => (now + 1) % figures.length), MOMENT_MS);
    return () => clearInterval(timer);
  }, [still, figures.length]);
  const shown = still ? figures : figures.slice(at, at + 1);
  return (
    <figure
      aria-label={`${label}: ${figures.map((figure) => within(figure.says)).join(", then ")}`}
    >
      <button
        type="button"
        className="flex w-full flex-wrap text-start"
        disabled={unwanted}
        onClick={() => setStopped(!stopped)}
      >
        <span className="sr-only">{stopped ? t`Play ${label}` : t`Stop ${label}`}</span>
        {shown.map((movementFigure) => (
          <span
            key={movementFigure.says}
            aria-hidden="true"
            className={still ? "block w-1/2" : "block w-[190px]"}
          >
            <Marks marks={movementFigure.marks} inks={catalogue.inks} {...FIGURE} />
            <span className="block text-center text-sm text-soft">{movementFigure.says}</span>
          </span>
        ))}
      </button>
    </figure>
  );
}
