import { Button } from "@/shared/ui/button";
import { useVisitState } from "./visit-context";

/** A warning sign stays in sight on every step until what was done about it is written down. */
export function RedFlagsBanner() {
  const { worked, catalogue, go, step, part } = useVisitState();
  const open = (worked?.signs ?? []).filter((sign) => !sign.done);
  if (open.length === 0) return null;
  const here = step === "ask" && part === "Red flags";
  return (
    <div role="alert" className="mb-4 border-4 border-double border-ink bg-deep px-3 py-2">
      {open.map((sign) => (
        <p key={sign.id} className="py-0.5">
          <b>{catalogue.urgencies[sign.urgency]}.</b> {sign.label}.
        </p>
      ))}
      {!here && (
        <Button className="mt-1 w-full" onClick={() => go("ask", "Red flags")}>
          Record the action taken
        </Button>
      )}
    </div>
  );
}
