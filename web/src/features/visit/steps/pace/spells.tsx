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
        <tr className="border-b border-ink text-left">
          <th className="py-1 font-semibold">From</th>
          <th className="font-semibold">To</th>
          <th className="font-semibold">Posture</th>
          <th className="pr-4 text-right font-semibold">Minutes</th>
          <th className="font-semibold">Tasks</th>
        </tr>
      </thead>
      <tbody>
        {day.spells.map((one) => (
          <tr key={one.at} className="border-b border-hair">
            <td className="figures py-1">{one.at}</td>
            <td className="figures">{one.end}</td>
            <td className={one.posture === "stand" ? "font-semibold" : ""}>
              {one.kind === "rhythm" || one.kind === "own" ? (
                <button type="button" className="min-h-8 underline" onClick={() => onPick(one)}>
                  {one.label}
                </button>
              ) : (
                one.label
              )}
              {one.kind === "own" && <span className="text-soft"> by hand</span>}
            </td>
            <td className="figures pr-4 text-right">{one.minutes}</td>
            <td className="text-soft">{one.tasks}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
