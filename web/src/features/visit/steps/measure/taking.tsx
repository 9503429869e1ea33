import { t } from "@lingui/core/macro";
import { Ruler } from "lucide-react";
import { useRef, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useInstruments, useTakeReading } from "@/shared/api/measuring";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Select } from "@/shared/ui/select";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

export const READINGS = ["first", "second", "third"] as const;

type Measured = Schemas["Measured"];

type Taking = {
  read: () => void;
  tool: "tape" | "rod";
  setTool: (tool: "tape" | "rod") => void;
  pending: boolean;
  trouble: string | null;
  warning: string | null;
};

/** Takes a reading from the instrument into the first open field. */
export function useInstrumentReading(
  measured: Measured,
  entry: Schemas["DimensionView"],
  onReading: () => void,
): Taking {
  const { visit, unit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const [tool, setTool] = useState<"tape" | "rod">(entry.instrument === "rod" ? "rod" : "tape");
  const taking = useTakeReading();
  const latest = useRef(cells);
  latest.current = cells;
  const read = () => {
    const start = `measure.${measured.dimension}`;
    const names: readonly string[] = measured.needs_third ? READINGS : READINGS.slice(0, 2);
    const carried = measured.origin === "carried_over";
    const open = carried
      ? "first"
      : names.find((name) => !latest.current.get(`${start}.${name}`)?.typed);
    if (!open || taking.isPending) return;
    taking.mutate(
      {
        params: { path: { visit_id: visit.id, instrument_id: tool } },
        body: { dimension: measured.dimension },
      },
      {
        onSuccess: (answer) => {
          onReading();
          queue.typeAll(
            [
              [`${start}.${open}`, answer.typed],
              [`${start}.with`, tool],
            ],
            unit,
          );
        },
      },
    );
  };
  return {
    read,
    tool,
    setTool,
    pending: taking.isPending,
    trouble: taking.error?.message ?? null,
    warning: taking.data?.warning ?? null,
  };
}

export function ReadInstrument({ taking }: { taking: Taking }) {
  const instruments = useInstruments();
  const mine = instruments.data?.find((one) => one.id === taking.tool);
  return (
    <div className="mt-2">
      <div className="flex items-center gap-2">
        <Button
          className="flex-1 px-2! text-sm whitespace-nowrap"
          onClick={taking.read}
          disabled={taking.pending}
          aria-keyshortcuts="r"
        >
          <Ruler size={18} aria-hidden="true" />
          {taking.pending ? t`Reading…` : t`Take reading`}
        </Button>
        <Select
          label={t`From`}
          value={taking.tool}
          onChange={(tool) => taking.setTool(tool === "rod" ? "rod" : "tape")}
          className="w-[88px] text-sm"
          options={[
            { value: "tape", label: "tape" },
            { value: "rod", label: "rod" },
          ]}
        />
        {mine?.unit && (
          <Select
            label={t`Unit of the ${taking.tool}`}
            value={mine.unit}
            onChange={(unit) => instruments.setUnit(taking.tool, unit as "cm" | "mm" | "in")}
            className="figures w-[76px] text-sm"
            options={["cm", "mm", "in"].map((unit) => ({ value: unit, label: unit }))}
          />
        )}
      </div>
      <div aria-live="polite">
        {taking.trouble && (
          <Notice role="alert" className="mt-1 text-sm">
            {taking.trouble}
          </Notice>
        )}
        {!taking.trouble && (taking.warning ?? mine?.trouble) && (
          <p className="mt-1 text-sm">{taking.warning ?? mine?.trouble}</p>
        )}
      </div>
    </div>
  );
}
