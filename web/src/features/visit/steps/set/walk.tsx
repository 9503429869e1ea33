import type { Schemas } from "@/shared/api/client";
import { quantity } from "@/shared/quantity";
import { CheckBox } from "@/shared/ui/check-box";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

type Move = Schemas["MoveView"];

/** The moves between the postures, ticked one by one: up, the keys first; then all of it back. */
export function Walk({ moves }: { moves: readonly Move[] }) {
  if (moves.length === 0) return null;
  return (
    <section className="mt-5" aria-label="Up and back again">
      <h3 className="border-b border-ink pb-1 text-sm font-semibold">To standing</h3>
      <Way moves={moves} way="up" />
      <h3 className="mt-4 border-b border-ink pb-1 text-sm font-semibold">Back to sitting</h3>
      <Way moves={[...moves].reverse()} way="down" />
    </section>
  );
}

function Way({ moves, way }: { moves: readonly Move[]; way: "up" | "down" }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  return (
    <ul>
      {moves.map((move) => {
        const path = `set.action.walk-${way}-${move.piece}.state`;
        const done = cells.get(path)?.typed === "done";
        const to = way === "up" ? move.standing : move.seated;
        return (
          <li key={move.piece} className="border-b border-hair py-1 text-sm">
            <CheckBox
              checked={done}
              disabled={readOnly}
              onChange={(on) => queue.type(path, on ? "done" : "", unit)}
            >
              {move.label}
              {to ? (
                <>
                  {" to "}
                  <b className="figures">{quantity(to, unit)}</b>
                </>
              ) : (
                move.text && `: ${move.text}`
              )}
            </CheckBox>
          </li>
        );
      })}
    </ul>
  );
}
