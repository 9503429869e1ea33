import { useEffect } from "react";
import { STEP_IDS } from "@/shared/steps";
import { Button } from "@/shared/ui/button";
import { PanelFoot } from "../../panel-foot";
import { PartTabs } from "../../part-tabs";
import { applies, useVisitState } from "../../visit-context";
import { Photographs } from "./photographs/photographs";
import { Pieces } from "./pieces";
import { Room } from "./room";
import { Walk } from "./walk";
import { Watch } from "./watch";

const PARTS: Record<string, [string, () => React.ReactNode]> = {
  "As found": ["walk", Walk],
  Pieces: ["pieces", Pieces],
  Watch: ["habits", Watch],
  Room: ["room", Room],
  Photos: ["photos", Photographs],
};
const NAMES = Object.keys(PARTS);

/** Look: the set-up as found, its pieces, the person at work, the room, photographs. */
export function LookPanel() {
  const { fields, cells, part, setPart, go, picked } = useVisitState();
  const present = part && PARTS[part] ? part : (NAMES[0] ?? "");
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new press in the drawing counts
  useEffect(() => {
    if (picked && picked.posture !== "habit") setPart("As found");
  }, [picked]);
  const [, Part] = PARTS[present] ?? ["", Walk];
  const next = NAMES[NAMES.indexOf(present) + 1];
  const open = (section: string) =>
    fields.some(
      (field) =>
        field.section === section &&
        field.needed &&
        applies(field, cells) &&
        !cells.get(field.id)?.held?.typed,
    );
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-xl">Look</h2>
      <p className="mb-3 text-soft">The workstation as found. Leave blank what you don't know.</p>
      <PartTabs
        label="Parts of this step"
        parts={NAMES.map((name) => {
          const section = PARTS[name]?.[0] ?? "";
          return section === "walk" || section === "pieces"
            ? { name, open: open(section) }
            : { name };
        })}
        present={present}
        onChoose={setPart}
      />
      <div role="tabpanel" aria-label={present}>
        <Part />
      </div>
      {present !== "As found" && (
        <PanelFoot>
          <Button
            look="next"
            className="w-full"
            data-next=""
            onClick={() => (next ? setPart(next) : go(STEP_IDS[2]))}
          >
            {next ? `Next: ${next}` : "Continue to Measure"}
          </Button>
        </PanelFoot>
      )}
    </div>
  );
}
