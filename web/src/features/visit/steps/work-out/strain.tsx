import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Skeleton } from "@/shared/ui/skeleton";
import { sayPosture } from "@/shared/words/postures";
import { PanelFoot } from "../../panel-parts";
import { useNavigation } from "../../state/navigation";
import { useWorkup } from "../../state/workup";
import { Decider } from "./decider";

/** The sum of degrees out of range; never one that leaves out joints nobody knows, as if whole. */
function outOfRange(drawnVisit: Schemas["DrawnVisit"]): string {
  const found = degrees(drawnVisit.over_found, drawnVisit.untold_found);
  const set = degrees(drawnVisit.over_set, drawnVisit.untold_set);
  return drawnVisit.untold_set.length
    ? t`${found} as found, ${set} at target. Not known: ${drawnVisit.untold_set.join(", ")}.`
    : t`${found} as found, ${set} at target.`;
}

function degrees(value: number | null, untold: readonly string[]): string {
  if (value === null || (untold.length > 0 && value < 0.5)) return t`not known`;
  const rounded = `${value.toFixed(0)}°`;
  return untold.length > 0 ? t`${rounded}, of what is known,` : rounded;
}

/** Strain minutes by region, each with its arithmetic. */
export function StrainMinutes() {
  const drawnVisit = useWorkup();
  const { go } = useNavigation();
  if (!drawnVisit) return <Skeleton lines={6} label={t`Loading`} />;
  const most = Math.max(60, ...drawnVisit.strain.map((strain) => strain.minutes));
  return (
    <div className="flex flex-1 flex-col">
      <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
        {t`Strain minutes a day`}
      </h2>
      <p className="mb-3 text-sm text-soft">
        {t`Hours × share of the time × degrees out of range (up to 30°) ÷ 30°. Each joint counts once, by its strongest evidence. It ranks what to do first; it is not a prediction.`}
      </p>
      <p className="mb-3 text-sm">
        <Trans>
          Total out of range, {sayPosture(drawnVisit.seated_possible ? "seated" : "standing")}:{" "}
          {outOfRange(drawnVisit)}
        </Trans>{" "}
        <Decider />
      </p>
      {drawnVisit.strain.length === 0 && (
        <p>
          {drawnVisit.hours > 0
            ? t`No joint is known to be out of range.`
            : t`Enter hours by task in Ask to see this.`}
        </p>
      )}
      <ul>
        {drawnVisit.strain.map((strain) => (
          <li key={strain.region} className="border-b border-hair py-2">
            <div className="flex items-baseline justify-between">
              <h3 className="font-semibold">{strain.label}</h3>
              <p className="figures text-lg font-semibold">
                {Math.round(strain.minutes)}{" "}
                <span className="text-sm font-normal text-soft">{t`min`}</span>
              </p>
            </div>
            <div className="h-2 border border-ink/50" aria-hidden="true">
              <div
                className="h-full bg-ink/70"
                style={{ width: `${(100 * strain.minutes) / most}%` }}
              />
            </div>
            {strain.discomfort.length > 0 && (
              <p className="mt-1 text-sm">
                <Trans>Discomfort: {strain.discomfort.join("; ")}</Trans>
              </p>
            )}
            <ul className="mt-1 text-sm">
              {strain.parts.map((part) => (
                <li
                  key={`${part.title} ${part.posture}`}
                  className={part.counted ? "" : "text-soft"}
                >
                  {part.title}
                  {part.posture === "standing" ? ", standing" : ""}
                  <span className="figures block">
                    {part.sum}
                    {part.counted ? "" : t`, counted once already`}
                  </span>
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      <PanelFoot>
        <Button className="w-full" data-next="" onClick={() => go("set")}>
          {t`Continue to Set`}
        </Button>
      </PanelFoot>
    </div>
  );
}
