import { t } from "@lingui/core/macro";
import { Check } from "lucide-react";
import { useEffect, useMemo } from "react";
import type { Unit } from "@/shared/api/client";
import { useSetUpQuestion, useSetUpVerdict } from "@/shared/api/measuring";
import { useFields } from "@/shared/api/queries";
import { useKeys } from "@/shared/keys";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Skeleton } from "@/shared/ui/skeleton";
import { Elevation } from "../../drawing/elevation";
import { Score, useExamples } from "./drill-parts";

/** Questions about setting up: which piece first, what explains a posture, which sign is urgent. */
export function SetUpDrill({ unit }: { unit: Unit }) {
  const inks = useFields().data?.inks;
  const { number, given, points, next, give, score, startAgain } = useExamples<number>("set_up");
  const posed = useSetUpQuestion(number, unit).data;
  const said = useSetUpVerdict(number, unit, given).data;
  useEffect(() => {
    if (said) score(said.points);
  });
  const many = posed?.options.length ?? 0;
  useKeys(
    useMemo(
      () => ({
        ...Object.fromEntries(
          Array.from({ length: many }, (_, index) => [String(index + 1), () => give(index)]),
        ),
        n: () => said && next(),
      }),
      [give, many, next, said],
    ),
  );
  if (!posed || !inks) return <Skeleton lines={5} label={t`Loading`} />;
  return (
    <section
      aria-label={t`Set-up training`}
      className="grid gap-8 desk:grid-cols-[360px_minmax(0,1fr)]"
    >
      <div>
        <div className="text-sm text-soft">
          <Score points={points} onStartAgain={startAgain} />
          <p className="mt-1">{t`A fictional client.`}</p>
        </div>
        <h2 className="mt-2 text-2xl">{posed.question}</h2>
        <div className="mt-4 flex flex-col gap-2">
          {posed.options.map((option, index) => (
            <Button
              key={option}
              disabled={given !== null}
              aria-pressed={given === index}
              aria-keyshortcuts={String(index + 1)}
              onClick={() => give(index)}
              className="justify-between! text-start"
            >
              <span>
                {option}
                {said?.right === index && (
                  <Check size={16} role="img" aria-label="right" className="ms-2 inline" />
                )}
              </span>{" "}
              <span className="figures text-sm text-soft">{index + 1}</span>
            </Button>
          ))}
        </div>
        <div aria-live="polite" className="mt-4">
          {said && (
            <Notice>
              <p className="font-semibold">
                {said.points === 1 ? t`Right.` : t`Not quite.`}
                {said.points < 1 && t` The answer is: ${posed.options[said.right] ?? ""}.`}
              </p>
              <p className="mt-1">{said.reason}</p>
              <Button look="next" className="mt-2" onClick={next}>
                {t`Next example`}
              </Button>
            </Notice>
          )}
        </div>
      </div>
      {posed.scene && (
        <Elevation
          scene={posed.scene}
          inks={inks}
          active={null}
          onPick={nothing}
          hand={null}
          label={t`Fictional client at the workstation as found`}
        />
      )}
    </section>
  );
}

function nothing(): void {}
