import { useState } from "react";
import { useMe } from "@/shared/api/account";
import { useUnit } from "@/shared/settings";
import { PartTabs } from "../visit/part-tabs";
import { Drill } from "./drill";
import { InAndOut } from "./in-and-out";
import { Lists } from "./lists";
import { Repeats } from "./repeats";
import { Tables } from "./tables";

const PARTS = ["Lists", "Repeats", "Tables", "In and out", "Drill"] as const;

/** What the practice keeps about measuring, measurements in and out, and the drill. */
export function MeasuringPage() {
  const me = useMe().data;
  const unit = useUnit(me?.unit ?? "cm");
  const [part, setPart] = useState<string>("Lists");
  const mayWrite = me?.role !== "reader";
  return (
    <div className="max-w-[1000px]">
      <h1 className="mb-3 text-2xl">Measuring</h1>
      <PartTabs
        label="Parts of Measuring"
        parts={PARTS.map((name) => ({ name }))}
        present={part}
        onChoose={setPart}
      />
      {part === "Lists" && <Lists mayWrite={mayWrite} />}
      {part === "Repeats" && <Repeats unit={unit} />}
      {part === "Tables" && <Tables mayWrite={mayWrite} />}
      {part === "In and out" && <InAndOut mayWrite={mayWrite} />}
      {part === "Drill" && <Drill unit={unit} />}
    </div>
  );
}
