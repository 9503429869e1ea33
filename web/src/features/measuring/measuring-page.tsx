import { msg, t } from "@lingui/core/macro";
import { useNavigate, useSearch } from "@tanstack/react-router";
import { useMe } from "@/shared/api/account";
import { useUnit } from "@/shared/settings";
import { PageHead } from "@/shared/ui/page-head";
import { PartTabs } from "@/shared/ui/part-tabs";
import { said } from "@/shared/words/said";
import { Drill } from "./drill";
import { InAndOut } from "./in-and-out";
import { Lists } from "./lists";
import { Repeats } from "./repeats";
import { Tables } from "./tables";

const PARTS = said({
  lists: msg`Lists`,
  repeats: msg`Repeatability`,
  tables: msg`Reference data`,
  exchange: msg`Import and export`,
  drill: msg`Training`,
});

/** What the practice keeps about measuring, measurements in and out, and the drill. */
export function MeasuringPage() {
  const me = useMe().data;
  const unit = useUnit(me?.unit ?? "cm");
  const navigate = useNavigate();
  const { part } = useSearch({ from: "/shell/measuring" });
  const present = part && part in PARTS ? (part as keyof typeof PARTS) : "lists";
  const mayWrite = me?.writes ?? false;
  return (
    <div className="max-w-[1000px]">
      <PageHead title={t`Measuring`} />
      <PartTabs
        label={t`Measuring sections`}
        parts={Object.entries(PARTS).map(([id, name]) => ({ id, name }))}
        present={present}
        onChoose={(part) => void navigate({ to: "/measuring", search: { part } })}
      >
        {present === "lists" && <Lists mayWrite={mayWrite} />}
        {present === "repeats" && <Repeats unit={unit} />}
        {present === "tables" && <Tables mayWrite={mayWrite} />}
        {present === "exchange" && <InAndOut mayWrite={mayWrite} />}
        {present === "drill" && <Drill unit={unit} />}
      </PartTabs>
    </div>
  );
}
