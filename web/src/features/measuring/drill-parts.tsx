import { useState } from "react";
import { Button } from "@/shared/ui/button";

const EXERCISES = 2_000_000_000;

/** The number of the next example. */
export function another(): number {
  return Math.floor(Math.random() * EXERCISES);
}

type Points = Readonly<Record<number, number>>;

/** What was scored in one drill, by example; it lasts as long as the browser tab. */
export function usePoints(drill: "readings" | "set_up") {
  const place = `plumb:drill:${drill}`;
  const [points, setPoints] = useState<Points>(() =>
    JSON.parse(sessionStorage.getItem(place) ?? "{}"),
  );
  const set = (next: Points) => {
    setPoints(next);
    sessionStorage.setItem(place, JSON.stringify(next));
  };
  return {
    points,
    score: (example: number, got: number) =>
      example in points || set({ ...points, [example]: got }),
    reset: () => set({}),
  };
}

/** What was scored so far, and a way to begin again. */
export function Score({ points, onReset }: { points: Points; onReset: () => void }) {
  const scored = Object.values(points);
  return (
    <span className="flex flex-wrap items-center gap-x-2">
      <span>
        Score:{" "}
        <b className="figures">
          {scored.reduce((sum, one) => sum + one, 0)} of {scored.length}
        </b>
        , in this tab.
      </span>
      {scored.length > 0 && (
        <Button look="quiet" className="-my-2 text-sm" onClick={onReset}>
          Start again
        </Button>
      )}
    </span>
  );
}
