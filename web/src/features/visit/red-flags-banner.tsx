import { t } from "@lingui/core/macro";
import { Button } from "@/shared/ui/button";
import { askPart } from "./parts";
import { useVisitFacts } from "./state/facts";
import { useNavigation } from "./state/navigation";
import { useWorkup } from "./state/workup";

/** A warning sign stays in sight on every step until what was done about it is written down. */
export function RedFlagsBanner() {
  const { catalogue } = useVisitFacts();
  const drawnVisit = useWorkup();
  const { go, step, part } = useNavigation();
  const open = (drawnVisit?.red_flags ?? []).filter((sign) => !sign.done);
  if (open.length === 0) return null;
  const there = askPart("ask.sign", catalogue.fields);
  const here = step === "ask" && part === there;
  return (
    <div role="alert" className="mb-4 border-4 border-double border-ink bg-deep px-3 py-2">
      {open.map((sign) => (
        <p key={sign.id} className="py-0.5">
          <b>{catalogue.urgencies[sign.urgency]}.</b> {sign.label}.
        </p>
      ))}
      {!here && (
        <Button className="mt-1 w-full" onClick={() => go("ask", there)}>
          {t`Record the action taken`}
        </Button>
      )}
    </div>
  );
}
