import { t } from "@lingui/core/macro";
import { clsx } from "clsx";
import { Timer } from "lucide-react";
import { fieldId } from "@/shared/api/field-ids";
import { clockWords, useSecondsTo } from "@/shared/use-seconds-to";
import { useNavigation } from "./state/navigation";
import { useCell } from "./state/recording";
import { useWorkup } from "./state/workup";

/** How far the settle-in test is: seconds that are left, under 0 once its time is over; null while none runs. */
export function useSettleClock(): number | null {
  const started = Number(useCell(fieldId("set.settle.started"))?.typed) || null;
  const minutes = useWorkup()?.settle.minutes ?? 15;
  return useSecondsTo(started === null ? null : started + 60 * minutes);
}

/** The clock of the settle-in test, in the head of every step; it leads to where it is looked at. */
export function SettleClock() {
  const left = useSettleClock();
  const { go } = useNavigation();
  if (left === null) return null;
  const over = left <= 0;
  return (
    <>
      <button
        type="button"
        onClick={() => go("set")}
        className={clsx(
          "flex min-h-11 shrink-0 items-center gap-1.5 px-2 text-sm",
          over && "border-2 border-ink font-semibold",
        )}
      >
        <Timer size={16} aria-hidden="true" />
        {over ? (
          t`Settle-in time is over: check again`
        ) : (
          <>
            <span className="hidden desk:inline">{t`Settling in`}</span>
            <span className="figures">{clockWords(left)}</span>
          </>
        )}
      </button>
      <span role="status" className="sr-only">
        {over ? t`The settle-in time is over.` : ""}
      </span>
    </>
  );
}
