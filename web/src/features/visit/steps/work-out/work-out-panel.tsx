import { useEffect } from "react";
import { PartTabs } from "../../part-tabs";
import { useVisitState } from "../../visit-context";
import { Findings } from "./findings";
import { StrainMinutes } from "./strain";
import { Targets } from "./targets";

/** Work out: the targets, what is off and why it matters, and what that adds up to. */
export function WorkPanel() {
  const { part, setPart, picked, worked } = useVisitState();
  const present = part === "Findings" || part === "Strain" ? part : "Targets";
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new press in the drawing counts
  useEffect(() => {
    if (picked) setPart("Targets");
  }, [picked]);
  const off = worked?.findings.filter((found) => found.verdict !== "dismissed").length;
  return (
    <div className="flex min-h-full flex-col">
      <PartTabs
        label="Parts of this step"
        parts={[
          { name: "Targets" },
          { name: "Findings", says: off === undefined ? "" : `${off}` },
          { name: "Strain" },
        ]}
        present={present}
        onChoose={setPart}
      />
      <div role="tabpanel" aria-label={present} className="flex flex-1 flex-col">
        {present === "Findings" ? (
          <Findings />
        ) : present === "Strain" ? (
          <StrainMinutes />
        ) : (
          <Targets />
        )}
      </div>
    </div>
  );
}
