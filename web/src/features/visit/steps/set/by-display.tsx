import { Trans } from "@lingui/react/macro";
import { quantity } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";
import type { Action, Row } from "./steps";
import { typedTarget } from "./typed";

/** A desk that shows its height and is not linked: once it shows what it has to, its word is taken. */
export function ByDisplay({ row, action }: { row: Row; action: Action }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  if (readOnly || !row.dial || row.setting === null) return null;
  const path = `set.${action.step}`;
  const take = () =>
    queue.typeAll(
      [
        [path, typedTarget(row, unit)],
        [`${path}.by`, "display"],
        [`set.action.${action.field}.aim`, action.aim],
      ],
      unit,
    );
  return (
    <Button className="mt-2 w-full text-sm" onClick={take}>
      <Trans>
        Display shows {quantity(row.dial, row.unit)}: take {quantity(row.setting, row.unit)} from
        the display
      </Trans>
    </Button>
  );
}
