import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { said } from "@/shared/words/said";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";

const REASONS = said([
  msg`Re-measured, confirmed`,
  msg`Unusual build`,
  msg`Reported by the client`,
]);

/** What is doubtful about a dimension: a question, one tap that puts it right, or a reason to keep it. */
export function Doubts({ measured }: { measured: Schemas["Measured"] }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const [keeping, setKeeping] = useState(false);
  const doubts = measured.doubts.filter((doubt) => doubt.kind !== "sheet");
  if (!doubts.length) return null;
  const start = `measure.${measured.dimension}`;
  const keep = (reason: string) => {
    queue.typeAll(
      [
        [`${start}.kept`, reason],
        [`${start}.kept_at`, `${measured.value} ${unit}`],
      ],
      unit,
    );
    setKeeping(false);
  };
  const open = doubts.filter((doubt) => !doubt.kept);
  const kept = doubts.find((doubt) => doubt.kept);
  const firstWay = open.find((doubt) => doubt.way_out);
  return (
    <>
      {open.map((doubt) => (
        <Notice key={doubt.kind + doubt.text} className="mt-2 text-sm">
          <p>{doubt.text}</p>
          {doubt.way_out && !readOnly && (
            <Button
              className="mt-1"
              data-key={doubt === firstWay ? "o" : undefined}
              aria-keyshortcuts={doubt === firstWay ? "o" : undefined}
              onClick={() =>
                queue.typeAll(
                  doubt.fixes.map((fix) => [fix.path, fix.typed] as const),
                  unit,
                )
              }
            >
              {doubt.way_out}
            </Button>
          )}
        </Notice>
      ))}
      {open.length > 0 && measured.value && !readOnly && (
        <div className="mt-1">
          {keeping ? (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                const said = new FormData(event.currentTarget).get("reason");
                if (typeof said === "string" && said.trim()) keep(said.trim());
              }}
            >
              <div className="flex flex-wrap gap-1.5">
                {REASONS.map((reason) => (
                  <Button key={reason} className="px-3 text-sm" onClick={() => keep(reason)}>
                    {reason}
                  </Button>
                ))}
              </div>
              <label className="mt-1 block text-sm">
                {t`Another reason`}
                <input
                  autoComplete="off"
                  name="reason"
                  // biome-ignore lint/a11y/noAutofocus: it was asked for by the press before
                  autoFocus
                  maxLength={400}
                  className="min-h-11 w-full rounded-[3px] border border-ink/50 bg-ground px-3 text-base"
                />
              </label>
            </form>
          ) : (
            <Button data-key="k" aria-keyshortcuts="k" onClick={() => setKeeping(true)}>
              {t`Keep value…`}
            </Button>
          )}
        </div>
      )}
      {!open.length && kept && (
        <p className="mt-1 text-sm">
          <Trans>Queried and kept: {kept.kept}. </Trans>
          {!readOnly && (
            <button
              type="button"
              className="min-h-8 underline"
              onClick={() => queue.type(`${start}.kept`, "", unit)}
            >
              {t`Query again`}
            </button>
          )}
        </p>
      )}
    </>
  );
}
