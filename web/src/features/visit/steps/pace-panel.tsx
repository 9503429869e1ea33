import { RadioGroup } from "radix-ui";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { Button } from "@/shared/ui/button";
import { cn } from "@/shared/ui/cn";
import { Skeleton } from "@/shared/ui/skeleton";
import { PanelFoot } from "../panel-foot";
import { useVisitFacts } from "../state/facts";
import { useNavigation } from "../state/navigation";
import { useCells, useQueue } from "../state/recording";
import { useWorkup } from "../state/workup";
import { StepHead } from "../step-head";

type Rhythm = Schemas["RhythmView"];

/** Pace: one rhythm, with what it comes to over this client's day. */
export function PacePanel() {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const worked = useWorkup();
  const { go } = useNavigation();
  if (!worked) return <Skeleton lines={7} label="Working out the day" />;
  const chosen = cells.get(fieldId("pace.rhythm"))?.typed ?? "";
  return (
    <div className="flex min-h-full flex-col">
      <StepHead
        says={
          worked.hours > 0
            ? `Over ${worked.hours.toLocaleString("en-GB")} hours at the desk. No single posture is comfortable for hours.`
            : "Enter hours in Ask to see daily totals."
        }
      >
        Pace
      </StepHead>
      {worked.hours > 0 && <Key />}
      <RadioGroup.Root
        value={chosen}
        aria-label="Rhythm"
        disabled={readOnly}
        onValueChange={(value) => queue.type(fieldId("pace.rhythm"), value, unit)}
      >
        {worked.rhythms.map((rhythm) => (
          <RadioGroup.Item
            key={rhythm.id}
            value={rhythm.id}
            disabled={!rhythm.possible}
            className="moves block w-full border-b border-hair px-2 py-2.5 text-left hover:bg-ground disabled:opacity-60 data-[state=checked]:bg-ground data-[state=checked]:outline-2 data-[state=checked]:-outline-offset-2 data-[state=checked]:outline-ink"
          >
            <span className="font-semibold">{rhythm.label}</span>
            {rhythm.id === worked.proposed_rhythm && (
              <span className="text-sm text-soft"> suggested</span>
            )}
            <span className="block text-sm text-soft">
              {rhythm.possible ? rhythm.says : rhythm.why_not}
            </span>
            {rhythm.possible && worked.hours > 0 && <Totals rhythm={rhythm} />}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <PanelFoot>
        <Button
          look="next"
          className="w-full desk:max-w-[440px]"
          data-next=""
          onClick={() => go("report")}
        >
          Continue to Report
        </Button>
      </PanelFoot>
    </div>
  );
}

const BARS: readonly [key: "sit" | "stand" | "move", word: string, ink: string][] = [
  ["sit", "sitting", "bg-deep text-ink border-y border-ink/60"],
  ["stand", "standing", "bg-blue text-ground"],
  ["move", "moving", "bg-ink text-ground"],
];
/** Narrower than this share of the day a bar has no room for its minutes. */
const LEAST_SHARE = 0.06;

/** What the bars mean, once. */
function Key() {
  return (
    <p className="mb-2 flex flex-wrap gap-x-5 text-sm text-soft" aria-hidden="true">
      {BARS.map(([key, word, ink]) => (
        <span key={key} className="flex items-center gap-2">
          <span className={cn("inline-block h-3.5 w-6", ink)} /> {word}
        </span>
      ))}
    </p>
  );
}

function Totals({ rhythm }: { rhythm: Rhythm }) {
  const { totals } = rhythm;
  const whole = totals.sit + totals.stand + totals.move || 1;
  return (
    <>
      <span className="figures mt-1.5 flex h-6 w-full gap-px text-sm" aria-hidden="true">
        {BARS.map(([key, , ink]) => (
          <span
            key={key}
            className={cn("overflow-hidden px-1.5 leading-6 whitespace-nowrap", ink)}
            style={{ width: `${(100 * totals[key]) / whole}%` }}
            hidden={totals[key] <= 0}
          >
            {totals[key] / whole >= LEAST_SHARE && `${Math.round(totals[key])}\u00a0min`}
          </span>
        ))}
      </span>
      <span className="figures mt-1 block text-sm">
        <span className="sr-only">
          {BARS.filter(([key]) => totals[key] > 0)
            .map(([key, word]) => `${Math.round(totals[key])} min ${word}`)
            .join(", ")}
          {", "}
        </span>
        {`${totals.changes} changes · at most ${Math.round(totals.longest_sit)}\u00a0min seated at a stretch`}
      </span>
    </>
  );
}
