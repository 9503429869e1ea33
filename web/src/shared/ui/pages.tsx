import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { PAGE } from "../api/queries";
import { Button } from "./button";

/** From one page of a list to the next; nothing where all of it is shown. */
export function Pages({
  offset,
  rows,
  onGo,
}: {
  offset: number;
  rows: number;
  onGo: (offset: number) => void;
}) {
  if (offset === 0 && rows < PAGE) return null;
  return (
    <nav aria-label={t`Pages`} className="flex items-center gap-4 py-3">
      <Button disabled={offset === 0} onClick={() => onGo(Math.max(0, offset - PAGE))}>
        <Trans>Previous {PAGE}</Trans>
      </Button>
      <span className="figures text-sm text-soft">
        <Trans>
          {offset + 1} to {offset + rows}
        </Trans>
      </span>
      <Button disabled={rows < PAGE} onClick={() => onGo(offset + PAGE)}>
        <Trans>Next {PAGE}</Trans>
      </Button>
    </nav>
  );
}
