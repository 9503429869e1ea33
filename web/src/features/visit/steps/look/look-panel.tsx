import { t } from "@lingui/core/macro";
import { Button } from "@/shared/ui/button";
import { type Part, PartTabs } from "@/shared/ui/part-tabs";
import { PanelFoot, StepHead } from "../../panel-parts";
import { LOOK_PARTS, type LookPart } from "../../parts";
import { usePicked } from "../../state/drawing-store";
import { applies, useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells } from "../../state/recording";
import { Photographs } from "./photographs/photographs";
import { Pieces } from "./pieces";
import { Room } from "./room";
import { Walk } from "./walk";
import { Watch } from "./watch";

const PANELS: Record<LookPart, () => React.ReactNode> = {
  walk: Walk,
  pieces: Pieces,
  habits: Watch,
  room: Room,
  photos: Photographs,
};
const IDS = Object.keys(LOOK_PARTS) as LookPart[];
const TOLD: readonly LookPart[] = ["walk", "pieces"];

/** Look: the set-up as found, its pieces, the person at work, the room, photographs. */
export function LookPanel() {
  const { fields } = useVisitFacts();
  const cells = useCells();
  const { part, setPart, go } = useNavigation();
  const present = IDS.find((id) => id === part) ?? "walk";
  usePicked((_, posture) => {
    if (posture !== "habit" && present !== "walk") setPart("walk");
    return false;
  });
  const Panel = PANELS[present];
  const next = IDS[IDS.indexOf(present) + 1];
  const open = (section: string) =>
    fields.some(
      (field) =>
        field.section === section &&
        field.needed &&
        applies(field, cells) &&
        !cells.get(field.id)?.held?.typed,
    );
  const parts: Part[] = IDS.map((id) => ({
    id,
    name: LOOK_PARTS[id],
    ...(TOLD.includes(id) ? { open: open(id) } : {}),
  }));
  return (
    <>
      <StepHead says={t`The workstation as found. Leave blank anything you don’t know.`}>
        {t`Look`}
      </StepHead>
      <PartTabs label={t`Sections of this step`} parts={parts} present={present} onChoose={setPart}>
        <Panel />
        {present !== "walk" && (
          <PanelFoot>
            <Button
              look="next"
              className="w-full"
              data-next=""
              onClick={() => (next ? setPart(next) : go("measure"))}
            >
              {next ? t`Next: ${LOOK_PARTS[next]}` : t`Continue to Measure`}
            </Button>
          </PanelFoot>
        )}
      </PartTabs>
    </>
  );
}
