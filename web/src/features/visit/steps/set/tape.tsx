import { t } from "@lingui/core/macro";
import { Ruler } from "lucide-react";
import { useTakeReading } from "@/shared/api/measuring";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";
import type { Action, Row } from "./steps";

/** Reads what was set from the tape, into its field; null for what is no length. */
export function useTapeReading(row: Row, path: string, action: Action | null) {
  const { visit, unit } = useVisitFacts();
  const queue = useQueue();
  const { mutate, ...taking } = useTakeReading();
  const near = row.at.setting ?? row.at.found;
  if (row.unit === "°" || row.unit === "%" || near === null || near === undefined) return null;
  const read = () =>
    mutate(
      {
        params: { path: { visit_id: visit.id, instrument_id: "tape" } },
        body: { dimension: row.key, near },
      },
      {
        onSuccess: ({ typed }) =>
          queue.typeAll(
            [
              [path, typed],
              [`${path}.by`, "tape"],
              ...(action?.aim ? [[`set.action.${action.field}.aim`, action.aim] as const] : []),
            ],
            unit,
          ),
      },
    );
  return {
    read,
    pending: taking.isPending,
    trouble: taking.error?.message ?? taking.data?.warning ?? null,
  };
}

/** The key that takes a reading from the tape, and what it has to say. */
export function TapeKey({ taking }: { taking: NonNullable<ReturnType<typeof useTapeReading>> }) {
  return (
    <div className="mt-2" aria-live="polite">
      <Button
        className="w-full text-sm"
        disabled={taking.pending}
        aria-keyshortcuts="r"
        onClick={taking.read}
      >
        <Ruler size={18} aria-hidden="true" />
        {taking.pending ? t`Reading…` : t`Read from tape`}
      </Button>
      {taking.trouble && <Notice className="mt-1 text-sm">{taking.trouble}</Notice>}
    </div>
  );
}
