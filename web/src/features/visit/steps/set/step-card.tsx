import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useId } from "react";
import { fieldId } from "@/shared/api/field-ids";
import { quantity } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";
import { said } from "@/shared/words/said";
import { FieldRow, TextEntry, Trouble } from "../../field-row";
import { applies, useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { NotToday, TestAndWord } from "./answers";
import { ByDisplay } from "./by-display";
import { DeskKeys } from "./desk-keys";
import type { Action, Row, Step } from "./steps";
import { TapeKey, useTapeReading } from "./tape";
import { saidOf, typedTarget } from "./typed";

/** One step: what is done and with which lever, how near, the value it was left at, the test and the word. */
export function StepCard({ step, onEnter }: { step: Step; onEnter: () => void }) {
  const { action, row } = step;
  const id = useId();
  const byEye = !row || row.setting === null;
  return (
    <section className="mt-3 border border-ink/40 bg-ground p-4" aria-labelledby={`${id}-name`}>
      <p className="text-sm text-soft first-letter:uppercase">
        {row ? row.posture : action.heading}
      </p>
      <h3 id={`${id}-name`} className="text-2xl">
        {row ? (
          <>
            {row.label}{" "}
            {byEye ? t`by eye` : <span className="figures">{withUnit(row, row.setting)}</span>}
          </>
        ) : (
          action.text
        )}
      </h3>
      {row && (
        <p className="mt-0.5 first-letter:uppercase">
          {[action.text, row.why].filter(Boolean).join(" ")}
        </p>
      )}
      {(action.lever || action.tolerance) && (
        <p className="mt-1 text-sm">
          {action.lever && <b>{action.lever}. </b>}
          {action.tolerance && (
            <span className="text-soft">
              <Trans>Near enough: {action.tolerance}.</Trans>
            </span>
          )}
        </p>
      )}
      {row?.dial && (
        <p className="mt-1">
          <Trans>
            Desk display should read <b className="figures">{quantity(row.dial, row.unit)}</b>.
          </Trans>
        </p>
      )}
      {row && row.limits.length > 0 && (
        <p className="mt-1 text-sm">
          <Trans>Limit: {row.limits[0]}.</Trans>
        </p>
      )}
      {action.moved && <Moved action={action} row={row} />}
      {byEye && <Ticked action={action} label={row ? t`${row.label}, by eye` : action.text} />}
      {row?.dial && <DeskKeys row={row} />}
      {row?.dial && <ByDisplay row={row} action={action} />}
      {row && <Measured row={row} action={action} id={id} onEnter={onEnter} />}
      <TestAndWord action={action} row={row} onGood={onEnter} />
      <NotToday action={action} />
    </section>
  );
}

export function withUnit(row: Row, text: string | null): string {
  return text === null ? "–" : quantity(text, row.unit);
}

const STATES = said([
  { value: "open", label: msg`Open` },
  { value: "done", label: msg`Done` },
]);

/** What has no number is ticked off; open is the answer taken back. */
function Ticked({ action, label }: { action: Action; label: string }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  return (
    <div className="mt-3">
      <Segments
        label={label}
        value={action.state === "done" ? "done" : "open"}
        choices={STATES}
        disabled={readOnly}
        onChange={(state) => queue.typeAll(saidOf(action, state), unit)}
      />
    </div>
  );
}

/** The aim went away under what was set: it is kept, or done again. */
function Moved({ action, row }: { action: Action; row: Row | undefined }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const path = `set.${action.step}`;
  return (
    <Notice role="alert" className="mt-2">
      <p>{action.moved}</p>
      {!readOnly && row && (
        <div className="mt-2 flex gap-2">
          <Button
            onClick={() =>
              queue.typeAll(
                [
                  [`set.action.${action.field}.aim`, action.aim],
                  [`set.action.${action.field}.state`, "done"],
                ],
                unit,
              )
            }
          >
            <Trans>Keep {withUnit(row, row.left)}</Trans>
          </Button>
          <Button
            onClick={() =>
              queue.typeAll(
                [
                  [path, ""],
                  [`${path}.aimed`, ""],
                  [`set.action.${action.field}.aim`, ""],
                ],
                unit,
              )
            }
          >
            {t`Redo`}
          </Button>
        </div>
      )}
    </Notice>
  );
}

/** What is noted beside a setting: the key that keeps the desk's height, what the settle-in test said. */
const BESIDE: Record<string, (posture: string) => string> = {
  surface: (posture) => `set.preset.${posture}`,
  distance: () => fieldId("work.settle_by"),
};

function Measured({
  row,
  action,
  id,
  onEnter,
}: {
  row: Row;
  action: Action;
  id: string;
  onEnter: () => void;
}) {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const path = `set.${action.step}`;
  const field = fields.find((each) => each.id === path);
  const tape = useTapeReading(row, path, action);
  const beside = fields.find((each) => each.id === BESIDE[row.key]?.(row.posture));
  /** With the number stands what was aimed at, so that an aim that goes away under it is seen. */
  const aimed = (typed: string) => {
    if (typed && action.aim) queue.type(`set.action.${action.field}.aim`, action.aim, unit);
    if (cells.get(`${path}.by`)?.typed) queue.type(`${path}.by`, typed ? "hand" : "", unit);
  };
  return (
    <>
      {field && (
        <div className="mt-3 flex items-end gap-3" data-field={path}>
          <div className="flex-1">
            <label htmlFor={id} className="text-sm">
              {t`Left at`}
            </label>
            <TextEntry field={field} id={id} large autoFocus onEnter={onEnter} onChanged={aimed} />
          </div>
          {!readOnly && row.left === null && row.setting !== null && (
            <Button
              className="min-h-16"
              title={t`Set to target, not measured`}
              onClick={() =>
                queue.typeAll(
                  [
                    [`${path}.aimed`, typedTarget(row, unit)],
                    [`set.action.${action.field}.aim`, action.aim],
                  ],
                  unit,
                )
              }
            >
              {t`Set to target`}
            </Button>
          )}
        </div>
      )}
      {tape && !readOnly && <TapeKey taking={tape} />}
      {row.left !== null && row.left_by && (
        <p className="mt-1 text-sm text-soft" role="status">
          {row.left_by}.
        </p>
      )}
      {beside && applies(beside, cells) && (
        <div className="mt-3">
          <FieldRow field={beside} />
        </div>
      )}
      <Trouble path={path} id={id} />
      <Trouble path={`${path}.aimed`} id={`${id}-aimed`} />
      {row.left_unmeasured && (
        <p className="mt-2 flex items-center justify-between gap-2 text-sm" role="status">
          <span>
            <Trans>
              Set to <b className="figures">{withUnit(row, row.left)}</b>, not measured. The report
              says so.
            </Trans>
          </span>
          {!readOnly && (
            <Button look="quiet" onClick={() => queue.type(`${path}.aimed`, "", unit)}>
              {t`Not set`}
            </Button>
          )}
        </p>
      )}
      {row.left_over && !action.moved && (
        <p className="mt-2 text-sm" role="status">
          <Trans>
            Still off: <b className="figures">{withUnit(row, row.left_over)}</b> to the setting.
          </Trans>
        </p>
      )}
    </>
  );
}
