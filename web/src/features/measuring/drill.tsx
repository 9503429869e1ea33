import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useMemo, useState } from "react";
import type { Unit } from "@/shared/api/client";
import { useExercise, useVerdict } from "@/shared/api/measuring";
import { useFields } from "@/shared/api/queries";
import { useKeys } from "@/shared/keys";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { said } from "@/shared/words/said";
import { within } from "@/shared/words/within";
import { Elevation } from "../../drawing/elevation";
import { Score, useExamples } from "./drill-parts";
import { SetUpDrill } from "./set-up-drill";

const WAYS = said([
  { given: "keep", key: "k", label: msg`Keep it` },
  { given: "repeat", key: "a", label: msg`Take another reading` },
  { given: "question", key: "q", label: msg`Query it` },
]);
type Given = (typeof WAYS)[number]["given"];

const KINDS = said([
  { value: "readings", label: msg`Readings` },
  { value: "set_up", label: msg`Set-up and red flags` },
]);

/** The drill, of readings or of setting up. Only the score is kept, in this tab. */
export function Drill({ unit }: { unit: Unit }) {
  const [kind, setKind] = useState("readings");
  return (
    <>
      <div className="mb-4">
        <Segments label={t`Topic`} value={kind} choices={KINDS} onChange={setKind} />
      </div>
      {kind === "set_up" ? <SetUpDrill unit={unit} /> : <ReadingDrill unit={unit} />}
    </>
  );
}

/** A made-up client, a reading with error. */
function ReadingDrill({ unit }: { unit: Unit }) {
  const inks = useFields().data?.inks;
  const { number, given, points, next, give, score, startAgain } = useExamples<Given>("readings");
  const posed = useExercise(number, unit).data;
  const said = useVerdict(number, unit, given).data;
  useEffect(() => {
    if (said) score(said.points);
  });
  useKeys(
    useMemo(
      () => ({
        ...Object.fromEntries(WAYS.map((way) => [way.key, () => give(way.given)])),
        n: () => said && next(),
      }),
      [give, next, said],
    ),
  );
  if (!posed || !inks) return <Skeleton lines={5} label={t`Loading`} />;
  return (
    <section aria-label={t`Training`} className="grid gap-8 desk:grid-cols-[360px_minmax(0,1fr)]">
      <div>
        <div className="text-sm text-soft">
          <Score points={points} onStartAgain={startAgain} />
          <p className="mt-1">
            {posed.sex === "female" ? t`A fictional woman.` : t`A fictional man.`}
          </p>
        </div>
        <h2 className="mt-2 text-2xl">{posed.label}</h2>
        <p>{posed.how}</p>
        <p className="figures mt-2 flex gap-6 text-3xl font-semibold">
          {posed.readings.map((reading, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: two readings may be the same
            <span key={index}>{reading}</span>
          ))}
        </p>
        <p className="text-sm text-soft">
          <Trans>
            {posed.readings.length === 1 ? t`One reading so far.` : t`Two readings.`} What would you
            do?
          </Trans>
        </p>
        <div className="mt-3 flex flex-col gap-2">
          {WAYS.map((way) => (
            <Button
              key={way.given}
              disabled={given !== null}
              aria-keyshortcuts={way.key}
              onClick={() => give(way.given)}
              className="justify-between!"
            >
              {way.label} <span className="figures text-sm text-soft">{way.key}</span>
            </Button>
          ))}
        </div>
        <div aria-live="polite" className="mt-4">
          {said && (
            <Notice>
              <p className="font-semibold">
                {said.points === 1 ? t`Right.` : said.points ? t`Partly right.` : t`Not quite.`}
                {said.points < 1 &&
                  t` Here you would ${within(WAYS.find((way) => way.given === said.answer)?.label ?? "")}.`}
              </p>
              <p className="mt-1">{said.reason}</p>
              <Button look="next" className="mt-2" onClick={next}>
                {t`Next example`}
              </Button>
            </Notice>
          )}
        </div>
        <h3 className="mt-5 border-b border-ink text-sm font-semibold">
          {t`Other measurements of this client`}
        </h3>
        <dl className="text-sm">
          {posed.sheet.map((line) => (
            <div key={line.label} className="flex justify-between border-b border-hair py-1.5">
              <dt>{line.label}</dt>
              <dd className="figures">{line.value}</dd>
            </div>
          ))}
        </dl>
      </div>
      <Elevation
        scene={posed.scene}
        inks={inks}
        active={null}
        onPick={nothing}
        hand={null}
        label={t`Fictional client in the position for this dimension`}
      />
    </section>
  );
}

function nothing(): void {}
