import { t } from "@lingui/core/macro";
import { Clearing } from "../../clearing";
import { useWorkup } from "../../state/workup";

/** What the day keeps to, with whom to ask and how it is lifted. */
export function LimitsOfTheDay() {
  const drawnVisit = useWorkup();
  const held = (drawnVisit?.precautions ?? []).flatMap((care) =>
    care.limits.filter((limit) => limit.of_the_day).map((limit) => ({ care, limit })),
  );
  if (held.length === 0) return null;
  return (
    <ul className="mb-3 border-s-4 border-ink ps-3 text-sm" aria-label={t`Limits for the day`}>
      {held.map(({ care, limit }) => (
        <li key={`${care.id} ${limit.id}`} className="max-w-[880px]">
          <p className={limit.cleared ? "text-soft line-through" : ""}>
            <b>{limit.says}</b> {care.label}.
          </p>
          <Clearing care={care} limit={limit} />
        </li>
      ))}
    </ul>
  );
}
