import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";

/** The day spell by spell: what the bar shows, in words. A spell of the rhythm can be taken in hand. */
export function Spells({
  day,
  onPick,
}: {
  day: Schemas["DayView"];
  onPick: (spell: Schemas["SpellView"]) => void;
}) {
  return (
    <table className="w-full max-w-[880px] border-collapse text-sm">
      <thead>
        <tr className="border-b border-ink text-start">
          <th className="py-1 font-semibold">{t`From`}</th>
          <th className="font-semibold">{t`To`}</th>
          <th className="font-semibold">{t`Posture`}</th>
          <th className="pe-4 text-end font-semibold">{t`Minutes`}</th>
          <th className="font-semibold">{t`Tasks`}</th>
        </tr>
      </thead>
      <tbody>
        {day.spells.map((spell) => (
          <tr key={spell.at} className="border-b border-hair">
            <td className="figures py-1">{spell.at}</td>
            <td className="figures">{spell.end}</td>
            <td className={spell.posture === "stand" ? "font-semibold" : ""}>
              {spell.kind === "rhythm" || spell.kind === "own" ? (
                <button type="button" className="min-h-8 underline" onClick={() => onPick(spell)}>
                  {spell.label}
                </button>
              ) : (
                spell.label
              )}
              {spell.kind === "own" && <span className="text-soft"> {t`by hand`}</span>}
            </td>
            <td className="figures pe-4 text-end">{spell.minutes}</td>
            <td className="text-soft">{spell.tasks}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
