const EXERCISES = 2_000_000_000;

/** The number of the next example. */
export function another(): number {
  return Math.floor(Math.random() * EXERCISES);
}

/** What was got so far. */
export function Score({ points }: { points: Readonly<Record<number, number>> }) {
  const scored = Object.values(points);
  return (
    <>
      Score{" "}
      <span className="figures">
        {scored.reduce((sum, one) => sum + one, 0)} of {scored.length}
      </span>
      ; it is kept nowhere.
    </>
  );
}
