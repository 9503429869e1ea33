import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useCallback, useState } from "react";
import { Button } from "@/shared/ui/button";

const EXERCISES = 2_000_000_000;

function another(): number {
  return Math.floor(Math.random() * EXERCISES);
}

type Points = Readonly<Record<number, number>>;

/** The examples of one drill: the present one, the answer given to it, and the score, which lasts as long as the tab. */
export function useExamples<Answer>(drill: "readings" | "set_up") {
  const place = `plumb:drill:${drill}`;
  const [number, setNumber] = useState(another);
  const [given, setGiven] = useState<Answer | null>(null);
  const [points, setPoints] = useState<Points>(() =>
    JSON.parse(sessionStorage.getItem(place) ?? "{}"),
  );
  const keep = (next: Points) => {
    setPoints(next);
    sessionStorage.setItem(place, JSON.stringify(next));
  };
  const next = useCallback(() => {
    setGiven(null);
    setNumber(another());
  }, []);
  return {
    number,
    given,
    points,
    next,
    /** The first answer counts. */
    give: useCallback((answer: Answer) => setGiven((last) => last ?? answer), []),
    score: (got: number) => number in points || keep({ ...points, [number]: got }),
    startAgain: () => {
      next();
      keep({});
    },
  };
}

/** What was scored so far, and a way to begin again. */
export function Score({ points, onStartAgain }: { points: Points; onStartAgain: () => void }) {
  const scored = Object.values(points);
  return (
    <span className="flex flex-wrap items-center gap-x-2">
      <span>
        <Trans>
          Score:{" "}
          <b className="figures">
            {scored.reduce((sum, value) => sum + value, 0)} of {scored.length}
          </b>
          , in this tab.
        </Trans>
      </span>
      {scored.length > 0 && (
        <Button look="quiet" className="-my-2 text-sm" onClick={onStartAgain}>
          {t`Start again`}
        </Button>
      )}
    </span>
  );
}
