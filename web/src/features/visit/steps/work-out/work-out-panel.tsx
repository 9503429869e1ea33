import { t } from "@lingui/core/macro";
import { type Part, PartTabs } from "@/shared/ui/part-tabs";
import { WORK_PARTS, type WorkPart } from "../../parts";
import { usePicked } from "../../state/drawing-store";
import { useNavigation } from "../../state/navigation";
import { useWorkup } from "../../state/workup";
import { Choices } from "./choices";
import { Findings } from "./findings";
import { Plans } from "./plans";
import { StrainMinutes } from "./strain";
import { Targets } from "./targets";
import { TryOut } from "./try-out";

const PANELS: Record<WorkPart, () => React.ReactNode> = {
  targets: Targets,
  findings: Findings,
  plans: Plans,
  try: TryOut,
  choices: Choices,
  strain: StrainMinutes,
};
/** Parts that begin with something else than a heading of their own. */
const UNNAMED: readonly WorkPart[] = ["plans", "try", "choices"];
const IDS = Object.keys(WORK_PARTS) as WorkPart[];

/** Work out: the targets, what is off and why it matters, and what that adds up to. */
export function WorkPanel() {
  const drawnVisit = useWorkup();
  const { part, setPart } = useNavigation();
  const present = IDS.find((id) => id === part) ?? "targets";
  usePicked(() => {
    if (present !== "try" && present !== "targets") setPart("targets");
    return present === "try";
  });
  const Panel = PANELS[present];
  const off = drawnVisit?.findings.filter((finding) => finding.verdict !== "dismissed").length;
  const parts: Part[] = IDS.map((id) => ({
    id,
    name: WORK_PARTS[id],
    ...(id === "findings" && off !== undefined ? { says: `${off}` } : {}),
  }));
  return (
    <PartTabs label={t`Sections of this step`} parts={parts} present={present} onChoose={setPart}>
      {UNNAMED.includes(present) && (
        <h2 data-arrival="" tabIndex={-1} className="sr-only">
          {WORK_PARTS[present]}
        </h2>
      )}
      <Panel />
    </PartTabs>
  );
}
