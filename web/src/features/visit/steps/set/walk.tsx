import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Schemas } from "@/shared/api/client";
import { quantity } from "@/shared/quantity";
import { CheckBox } from "@/shared/ui/check-box";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

type Move = Schemas["MoveView"];
type Pair = Schemas["PairView"];

/** The moves between the postures, ticked one by one: up, the keys first; then all of it back. */
export function Walk({ moves, pair }: { moves: readonly Move[]; pair: Pair | null }) {
  if (moves.length === 0) return null;
  return (
    <section className="mt-5" aria-label={t`Sitting and standing`}>
      <h3 className="border-b border-ink pb-1 text-sm font-semibold">{t`To standing`}</h3>
      <Way moves={moves} way="up" />
      <h3 className="mt-4 border-b border-ink pb-1 text-sm font-semibold">{t`Back to sitting`}</h3>
      <Way moves={[...moves].reverse()} way="down" />
      {pair && <ThePair pair={pair} />}
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
        const how = way === "up" ? move.to_stand : move.to_sit;
        return (
          <li key={move.piece} className="border-b border-hair py-1 text-sm">
            <CheckBox
              checked={done}
              disabled={readOnly}
              onChange={(on) => queue.type(path, on ? "done" : "", unit)}
            >
              {to ? (
                <Trans>
                  {move.label} to <b className="figures">{quantity(to, unit)}</b>
                </Trans>
              ) : how ? (
                `${move.label}: ${how}`
              ) : (
                move.label
              )}
            </CheckBox>
          </li>
        );
      })}
    </ul>
  );
}

/** Both postures side by side, and how each number is known. */
function ThePair({ pair }: { pair: Pair }) {
  const said = (value: string, unit: string, by: string) =>
    value ? (
      <>
        <b className="figures whitespace-nowrap">{quantity(value, unit)}</b>
        <span className="block text-soft">{by}</span>
      </>
    ) : (
      <span className="text-soft">{t`not yet`}</span>
    );
  return (
    <>
      <table className="mt-4 w-full text-sm">
        <caption className="border-b border-ink pb-1 text-start font-semibold">
          {t`Sitting and standing`}
        </caption>
        <thead>
          <tr className="text-start text-soft">
            <th className="py-1 font-normal">{t`What`}</th>
            <th className="font-normal">{t`Sitting`}</th>
            <th className="font-normal">{t`Standing`}</th>
          </tr>
        </thead>
        <tbody>
          {pair.lines.map((line) => (
            <tr key={line.key} className="border-t border-hair align-top">
              <td className="py-1 pe-2">{line.label}</td>
              <td className="py-1 pe-2">{said(line.seated, line.unit, line.seated_by)}</td>
              <td className="py-1">{said(line.standing, line.unit, line.standing_by)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm">{pair.says}</p>
    </>
  );
}
