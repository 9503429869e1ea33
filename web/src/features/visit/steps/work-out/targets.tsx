import { plural, t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { memo, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { quantity } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { Fold, Folds } from "@/shared/ui/folds";
import { Notice } from "@/shared/ui/notice";
import { Skeleton } from "@/shared/ui/skeleton";
import { sayPosture } from "@/shared/words/postures";
import { within } from "@/shared/words/within";
import { FieldRow } from "../../field-row";
import { Lines } from "../../lines";
import { PanelFoot } from "../../panel-parts";
import { RowMark } from "../../row-mark";
import { rowPicked, useDrawingStore, usePicked } from "../../state/drawing-store";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { rowsOf, useWhatIf } from "../../what-if/bench";
import { settled, stepsOf } from "../set/steps";
import { Decider } from "./decider";

type Row = Schemas["RowView"];

/** What targets are worked out from and Ask asks for: shoes, eyes and hands. */
const TOLD_IN_ASK: ReadonlySet<string> = new Set([
  "ask.writing_hand",
  "ask.mouse_hand",
  "ask.eyewear",
  "ask.shoe_seated",
  "ask.shoe_standing",
]);

/** Whether a row asks for a change. */
export function moves(row: Row): boolean {
  return (
    (row.state === "to_set" || row.state === "stopped") &&
    row.at.found !== null &&
    row.at.found !== row.at.setting
  );
}

const BOTH = ["seated", "standing"] as const;
const STANDING = ["standing"] as const;

/** Every target with its terms, its band, what the equipment makes of it. */
export function Targets() {
  const { fields } = useVisitFacts();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const { go, seek } = useNavigation();
  const { setActive } = useDrawingStore();
  const trial = useWhatIf();
  const waits = fields.filter(
    (field) => TOLD_IN_ASK.has(field.id) && field.needed && !cells.get(field.id)?.held?.typed,
  );
  const [open, setOpen] = useState<string | null>(null);
  usePicked((part, posture) => {
    setOpen(rowPicked(part, posture));
    return true;
  });
  if (!drawnVisit) return <Skeleton lines={9} label={t`Loading`} />;
  const rows = rowsOf(trial, drawnVisit);
  const measured = drawnVisit.steps.find((step) => step.step === "measure");
  const toMeasure = measured !== undefined && measured.done < measured.needed;
  const ranked = [...rows].sort((a, b) => place(drawnVisit.order, a) - place(drawnVisit.order, b));
  const from = drawnVisit.seated_possible ? "seat" : "surface";
  const known = rows.some((row) => row.key === from && row.target !== null);
  const steps = new Set(drawnVisit.order);
  const shownRows = (posture: Row["posture"], which: (row: Row) => boolean) =>
    ranked.filter((row) => row.posture === posture && which(row));
  const toSet = rows.filter((row) => moves(row) && steps.has(`${row.posture}.${row.key}`));
  // Set goes through the same ones
  const all = stepsOf(drawnVisit);
  const waiting = all.filter((step) => !settled(step));
  const first = ranked.find((row) => toSet.includes(row));
  return (
    <div className="flex min-h-full flex-col">
      <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
        {!known || (all.length === 0 && drawnVisit.untold_set.length > 0)
          ? t`Not enough information yet`
          : all.length === 0
            ? t`Nothing to change`
            : waiting.length === 0
              ? t`Everything is set`
              : plural(waiting.length, { one: "One thing to set", other: "# things to set" })}
      </h2>
      {[...drawnVisit.hard, ...(drawnVisit.worse ? [drawnVisit.worse] : [])].map((words) => (
        <Notice key={words} className="mb-2">
          {words}
        </Notice>
      ))}
      {known && drawnVisit.headline && !trial.on && <p className="mb-2">{drawnVisit.headline}</p>}
      <p className="mb-3 text-soft empty:mb-0">
        {!known && (
          <span className="me-1">
            {t`The ${from} and everything that depends on it need more information.`}
          </span>
        )}
        {known && drawnVisit.hard.length > 0 && (
          <span className="me-1">{t`Solve this first; the angles matter less until then.`}</span>
        )}
        {known && <Decider />}
      </p>
      {!known && (
        <ul className="mb-3" aria-label={t`Missing`}>
          {measured && toMeasure && (
            <li className="border-b border-hair">
              <button
                type="button"
                className="min-h-11 w-full text-start underline"
                onClick={() => go("measure")}
              >
                <Trans>{measured.needed - measured.done} dimensions to measure</Trans>
              </button>
            </li>
          )}
          {waits.map((field) => (
            <li key={field.id} className="border-b border-hair">
              <button
                type="button"
                className="min-h-11 w-full text-start underline"
                onClick={() => seek(field.id)}
              >
                {field.label}
              </button>
            </li>
          ))}
        </ul>
      )}
      {trial.on && <Notice className="mb-3 text-sm">{t`Trial values. Not saved.`}</Notice>}
      {drawnVisit.doubtful.length > 0 && (
        <Notice className="mb-3 text-sm">
          <p>
            <Trans>
              Queried, which affects every target based on it:{" "}
              {within(drawnVisit.doubtful.join(", "))}.
            </Trans>
          </p>
          <Button className="mt-1" onClick={() => go("measure")}>
            {t`Check in Measure`}
          </Button>
        </Notice>
      )}
      <Folds
        open={open}
        onOpen={(name) => {
          setOpen(name);
          if (name) setActive(name.split(".")[1] ?? null);
        }}
      >
        {(drawnVisit.seated_possible ? BOTH : STANDING).map((posture) => (
          <section key={posture} aria-label={sayPosture(posture)} className="mb-4">
            <h3 className="border-b border-ink pb-1 text-sm font-semibold first-letter:uppercase">
              {sayPosture(posture)}
            </h3>
            {posture === "standing" && drawnVisit.why_not_standing && (
              <p className="border-b border-hair py-2 text-sm">{drawnVisit.why_not_standing}</p>
            )}
            <ul>
              {shownRows(posture, GOES).map((row) => (
                <TargetRow
                  key={nameOfRow(row)}
                  row={row}
                  next={row === first}
                  open={open === nameOfRow(row)}
                />
              ))}
            </ul>
            <Stays rows={shownRows(posture, STAYS)} open={open} />
          </section>
        ))}
      </Folds>
      {drawnVisit.notes.length > 0 && (
        <section aria-label={t`Not judged`} className="mb-4 text-sm text-soft">
          {drawnVisit.notes.map((note) => (
            <p key={note}>{note}</p>
          ))}
        </section>
      )}
      <PanelFoot>
        {known ? (
          <Button className="w-full" data-next="" onClick={() => go("set")}>
            {t`Continue to Set`}
          </Button>
        ) : (
          <Button
            look="next"
            className="w-full"
            data-next=""
            onClick={() => (toMeasure || !waits[0] ? go("measure") : seek(waits[0].id))}
          >
            {toMeasure || !waits[0] ? t`Measure` : t`Ask: ${waits[0].label}`}
          </Button>
        )}
      </PanelFoot>
    </div>
  );
}

const nameOfRow = (row: Row) => `${row.posture}.${row.key}`;
const STAYS = (row: Row) => row.state === "as_found" || row.state === "in_band";
const GOES = (row: Row) => !STAYS(row);

/** What may stay where it was found: folded, until one of it is asked for. */
function Stays({ rows, open }: { rows: readonly Row[]; open: string | null }) {
  const [unfolded, setUnfolded] = useState(false);
  if (rows.length === 0) return null;
  const shown = unfolded || rows.some((row) => nameOfRow(row) === open);
  return (
    <>
      <button
        type="button"
        aria-expanded={shown}
        className="min-h-11 w-full text-start text-sm text-soft underline"
        onClick={() => setUnfolded(!shown)}
      >
        <Plural value={rows.length} one="# setting stays" other="# settings stay" />
      </button>
      {shown && (
        <ul className="border-t border-hair">
          {rows.map((row) => (
            <TargetRow key={nameOfRow(row)} row={row} next={false} open={open === nameOfRow(row)} />
          ))}
        </ul>
      )}
    </>
  );
}

function place(order: readonly string[], row: Row): number {
  const value = order.indexOf(`${row.posture}.${row.key}`);
  return value < 0 ? 99 : value;
}

/** How far to go, or that it may stay. */
function change(row: Row): string {
  if (moves(row)) return quantity(row.change ?? "", row.unit);
  return row.state === "in_band"
    ? t`in range, ${quantity(row.change ?? "", row.unit)}`
    : t`as found`;
}

/** A target; drawn again only where something of it is otherwise. */
export const TargetRow = memo(function TargetRow({
  row,
  next,
  open,
}: {
  row: Row;
  next: boolean;
  open: boolean;
}) {
  const shown = row.setting ?? row.target;
  return (
    <Fold
      id={`${row.posture}.${row.key}`}
      open={open}
      className={next ? "bg-accent-ground" : ""}
      buttonClass="grid grid-cols-[22px_1fr_auto] items-start gap-x-2 px-1"
      summary={
        <>
          <RowMark row={row} next={next} />
          <span>
            <span className="font-semibold">{row.label}</span>
            <span className="block text-sm text-soft">
              {row.limits[0] ?? (shown === null ? row.reason : row.made_of) ?? ""}
            </span>
          </span>
          <span className="figures text-end">
            <span className="block text-lg leading-6 font-semibold">
              {shown === null ? "–" : `${row.estimated.length ? "~" : ""}${shown}`}
              {shown !== null && (
                <span className="text-sm font-normal text-soft">{quantity("", row.unit)}</span>
              )}
            </span>
            {row.change && (
              <span className={`block text-sm ${next ? "font-semibold text-accent" : "text-soft"}`}>
                {change(row)}
              </span>
            )}
          </span>
        </>
      }
    >
      <TargetDetail row={row} />
    </Fold>
  );
});

function TargetDetail({ row }: { row: Row }) {
  const { fields } = useVisitFacts();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const [opened, setAsking] = useState(false);
  const asking = opened || row.overruled;
  const path = `work.${row.posture}.${row.key}`;
  const own = fields.filter((field) => field.id === path || field.id === `${path}.why`);
  const settle = fields.find((field) => field.id === fieldId("work.settle_by"));
  const cell = cells.get(path);
  const hand = cell?.held ?? null;
  const lines: [string, string | null][] = [
    [t`Calculation`, row.terms],
    [
      t`Range`,
      row.band &&
        `${quantity(row.band, row.unit)}${row.plus_minus ? t`, target ± ${row.plus_minus}` : ""}`,
    ],
    [
      t`Chance`,
      row.chance && t`${row.chance} that ${quantity(row.setting ?? "", row.unit)} is in range`,
    ],
    [t`Measured`, row.datum],
    [t`As found`, row.found && quantity(row.found, row.unit)],
    [t`Limits`, row.limits.join("; ") || null],
    [row.cost_off ? t`Costs` : t`Joint`, row.cost],
    [t`For more certainty`, row.retake && t`measure the ${row.retake} again`],
    [t`Test`, row.check],
  ];
  return (
    <div className="px-1 pb-3 ps-8 text-sm">
      <p className="mb-1">{row.target === null ? row.reason : row.why}</p>
      <Lines of={lines} />
      {row.overruled && (
        <Notice className="mt-2">
          <Trans>
            Own value: calculated {row.computed ?? "nothing"} {row.computed ? row.unit : ""}, set{" "}
            {quantity(row.setting ?? "–", row.unit)}
            {hand?.changed_by ? ` by ${hand.changed_by}` : ""}.{" "}
            {row.overrule_reason ? t`Because: ${row.overrule_reason}` : t`No reason given yet.`}
          </Trans>
        </Notice>
      )}
      <details className="mt-1">
        <summary className="flex min-h-11 items-center text-soft">{t`Source`}</summary>
        <ul className="mb-2">
          {row.about.inputs.map((input) => (
            <li key={input.dimension} className="figures border-b border-hair py-1">
              {input.label} {input.value}, {input.origin}
              <span className="text-soft">
                {" "}
                <Trans>adds {input.adds}</Trans>
              </span>
            </li>
          ))}
          {row.about.inputs.length === 0 && (
            <li className="text-soft">{t`Depends only on the equipment.`}</li>
          )}
        </ul>
        {row.about.chosen.map((chosen) => (
          <p key={chosen.question} className="py-0.5">
            <span className="text-soft">{chosen.label}: </span>
            {chosen.position}. <span className="text-soft">{chosen.why}</span>
          </p>
        ))}
        {row.key === "screen_top" && (drawnVisit?.gazes.length ?? 0) > 0 && (
          <table className="mt-1 w-full">
            <caption className="text-start text-soft">
              {t`All screen-height rules: gaze angle to top, centre and bottom`}
            </caption>
            <tbody>
              {drawnVisit?.gazes.map((gaze) => (
                <tr key={gaze.rule} className={gaze.chosen ? "font-semibold" : ""}>
                  <th scope="row" className="text-start font-normal">
                    {gaze.label}
                  </th>
                  <td className="figures text-end">{gaze.gaze}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <p className="mt-1 text-soft">
          <Trans>Rule: {row.about.source}</Trans>
        </p>
      </details>
      {row.key === "distance" && settle && (
        <div className="mt-2">
          <FieldRow field={settle} />
        </div>
      )}
      {own.length > 0 &&
        (asking ? (
          <div className="mt-2 space-y-2">
            {own.map((field) => (
              <FieldRow key={field.id} field={field} />
            ))}
          </div>
        ) : (
          <Button look="quiet" className="mt-1 -ms-4 underline" onClick={() => setAsking(true)}>
            {t`Enter own value`}
          </Button>
        ))}
    </div>
  );
}
