import { useEffect } from "react";
import { PartTabs } from "../../part-tabs";
import { useVisitState } from "../../visit-context";
import { Choices } from "./choices";
import { Findings } from "./findings";
import { Plans } from "./plans";
import { StrainMinutes } from "./strain";
import { Targets } from "./targets";
import { TryOut } from "./try-out";

const PARTS = ["Targets", "Plans", "Choices", "Try", "Findings", "Strain"] as const;
const PANELS: Record<(typeof PARTS)[number], () => React.ReactNode> = {
  Targets,
  Plans,
  Choices,
  Try: TryOut,
  Findings,
  Strain: StrainMinutes,
};

/** Work out: the targets, what is off and why it matters, and what that adds up to. */
export function WorkPanel() {
  const { part, setPart, picked, worked } = useVisitState();
  const present = PARTS.find((one) => one === part) ?? "Targets";
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new press in the drawing counts
  useEffect(() => {
    if (picked && present !== "Try") setPart("Targets");
  }, [picked]);
  const Part = PANELS[present];
  const off = worked?.findings.filter((found) => found.verdict !== "dismissed").length;
  return (
    <div className="flex min-h-full flex-col">
      <PartTabs
        label="Parts of this step"
        parts={[
          { name: "Targets" },
          { name: "Plans" },
          { name: "Choices" },
          { name: "Try" },
          { name: "Findings", says: off === undefined ? "" : `${off}` },
          { name: "Strain" },
        ]}
        present={present}
        onChoose={setPart}
      />
      <div role="tabpanel" aria-label={present} className="flex flex-1 flex-col">
        <Part />
      </div>
    </div>
  );
}
