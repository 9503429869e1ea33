import { RadioGroup } from "radix-ui";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { Button } from "@/shared/ui/button";
import { PanelFoot } from "../panel-foot";
import { useVisitState } from "../visit-context";

type Rhythm = Schemas["RhythmView"];

/** Pace: one rhythm, with what it comes to over this client's day. */
export function PacePanel() {
  const { worked, cells, queue, unit, readOnly, go } = useVisitState();
  if (!worked) return <p className="text-soft">One moment …</p>;
  const chosen = cells.get(fieldId("pace.rhythm"))?.typed ?? "";
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-xl">Pace</h2>
      <p className="mb-3 text-soft">
        {worked.hours > 0
          ? `Over ${worked.hours.toLocaleString("en-GB")} hours at the desk. No single posture is comfortable for hours.`
          : "Enter hours in Ask to see daily totals."}
      </p>
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
        <Button look="next" className="w-full" data-next="" onClick={() => go("report")}>
          Continue to Report
        </Button>
      </PanelFoot>
    </div>
  );
}

function Totals({ rhythm }: { rhythm: Rhythm }) {
  const { sit, stand, move, changes, longest_sit } = rhythm.totals;
  const whole = sit + stand + move || 1;
  const parts: [string, number, string][] = [
    ["sitting", sit, "bg-ink/25"],
    ["standing", stand, "bg-blue"],
    ["moving", move, "bg-ink"],
  ];
  return (
    <>
      <span className="mt-1.5 flex h-2 w-full gap-px" aria-hidden="true">
        {parts.map(([name, minutes, ink]) => (
          <span key={name} className={ink} style={{ width: `${(100 * minutes) / whole}%` }} />
        ))}
      </span>
      <span className="figures mt-1 block text-sm">
        {parts
          .filter(([, minutes]) => minutes > 0)
          .map(([name, minutes]) => `${Math.round(minutes)}\u00a0min ${name}`)
          .join(" · ")}
        {` · ${changes} changes · ${Math.round(longest_sit)}\u00a0min seated at a stretch`}
      </span>
    </>
  );
}
