import { Check } from "lucide-react";
import { useEffect, useId, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { quantity } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { FieldRow, TextEntry, Trouble } from "../field-row";
import { rowPicked, useDrawingStore, usePicked } from "../state/drawing-store";
import { applies, useVisitFacts } from "../state/facts";
import { useNavigation } from "../state/navigation";
import { useCells, useQueue } from "../state/recording";
import { rowOf, useWorkup } from "../state/workup";

type Row = Schemas["RowView"];

/** Set: one piece after the other in working order, re-measured; what is left over. */
export function SetPanel() {
  const worked = useWorkup();
  const { sought, go } = useNavigation();
  const { setActive } = useDrawingStore();
  const [chosen, setChosen] = useState<string | null>(null);
  useEffect(() => {
    const [, posture, key] = /^set\.(seated|standing)\.(\w+)/.exec(sought ?? "") ?? [];
    if (posture && key) setChosen(`${posture}.${key}`);
  }, [sought]);
  usePicked((part, posture) => {
    setChosen(rowPicked(part, posture));
    return true;
  });
  const steps = (worked?.order ?? [])
    .map((name) => rowOf(worked, name.split(".")[0] ?? "", name.split(".")[1] ?? ""))
    .filter((row) => row !== undefined);
  const name = (row: Row) => `${row.posture}.${row.key}`;
  const isDone = (row: Row) =>
    row.left !== null ||
    (row.setting === null &&
      worked?.actions.find((one) => one.step === name(row))?.state === "done");
  const firstOpen = steps.find((row) => !isDone(row));
  const now = steps.find((row) => name(row) === chosen) ?? firstOpen ?? steps[0];
  const part = now?.key ?? null;
  useEffect(() => setActive(part), [part, setActive]);
  useEffect(() => {
    if (chosen === null && now) setChosen(`${now.posture}.${now.key}`);
  }, [chosen, now]);
  if (!worked) return <Skeleton lines={8} label="Putting the steps in order" />;
  if (!now)
    return (
      <>
        <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
          Nothing to set yet
        </h2>
        <p className="text-soft">There are no targets yet. Measure first.</p>
        <Button look="next" className="mt-4 w-full" onClick={() => go("measure")}>
          Back to Measure
        </Button>
      </>
    );
  const after = steps[steps.indexOf(now) + 1];
  const onward = () => (after ? setChosen(name(after)) : go("pace"));
  const done = steps.filter(isDone).length;
  return (
    <div className="flex min-h-full flex-col pb-5">
      <div className="flex items-baseline justify-between">
        <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
          Set
        </h2>
        <p className="figures text-soft">
          {done} of {steps.length}
        </p>
      </div>
      <SetOne key={name(now)} row={now} onEnter={onward} />
      <Button look="next" className="mt-3 w-full" data-next="" onClick={onward}>
        {after
          ? `Next: ${after.label}${after.posture === "standing" && now.posture === "seated" ? ", standing" : ""}`
          : "Continue to Pace"}
      </Button>
      <table className="mt-5 w-full text-sm">
        <thead>
          <tr className="border-b border-ink text-left">
            <th className="py-1 font-semibold">Adjust in this order</th>
            <th className="text-right font-semibold">Target</th>
            <th className="text-right font-semibold">Set</th>
            <th className="text-right font-semibold">Still off</th>
          </tr>
        </thead>
        <tbody className="figures">
          {steps.map((row) => (
            <tr key={name(row)} className={`border-b border-hair ${row === now ? "bg-deep" : ""}`}>
              <td className="p-0">
                <button
                  type="button"
                  className="min-h-8 w-full text-left font-sans"
                  onClick={() => setChosen(name(row))}
                >
                  {row.label}
                  {row.posture === "standing" && <span className="text-soft"> standing</span>}
                </button>
              </td>
              <td className="text-right whitespace-nowrap">{withUnit(row, row.setting)}</td>
              <td className="text-right font-semibold">
                {row.left === null ? "·" : withUnit(row, row.left)}
                {row.left_unmeasured && <span title="set, not re-measured">*</span>}
              </td>
              <td className="text-right whitespace-nowrap">
                {row.left_over
                  ? withUnit(row, row.left_over)
                  : row.left && (
                      <Check
                        size={16}
                        role="img"
                        aria-label="on target"
                        className="ml-auto inline"
                      />
                    )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <TheRest rows={steps.filter((row) => row.left === null && row.setting !== null)} />
      {steps.some((row) => row.left_unmeasured) && (
        <p className="mt-1 text-sm text-soft">* set to the target, not re-measured.</p>
      )}
      <AlsoToDo />
      <p className="mt-3 text-sm text-soft">
        Let the client work for 15 to 20 minutes, then check again. After standing, reset keyboard,
        mouse and screen for sitting.
      </p>
    </div>
  );
}

/** What a target is typed as: a length in the unit shown, an angle bare. */
function typedTarget(row: Row, unit: string): string {
  return row.unit === "°" ? (row.setting ?? "") : `${row.setting} ${unit}`;
}

/** Everything that is still open set to its target by one press, and none of it re-measured. */
function TheRest({ rows }: { rows: readonly Row[] }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  if (readOnly || rows.length < 2) return null;
  const all = () =>
    queue.typeAll(
      rows.map((row) => [`set.${row.posture}.${row.key}.aimed`, typedTarget(row, unit)] as const),
      unit,
    );
  return (
    <Button className="mt-3 w-full" onClick={all}>
      The other {rows.length}: set to target, not re-measured
    </Button>
  );
}

function withUnit(row: Row, text: string | null): string {
  return text === null ? "–" : quantity(text, row.unit);
}

/** What is to be done beside the settings: the same actions as plans and report have. */
function AlsoToDo() {
  const { readOnly } = useVisitFacts();
  const worked = useWorkup();
  const actions = worked?.actions.filter((one) => one.kind !== "set" && one.kind !== "refer") ?? [];
  if (actions.length === 0) return null;
  return (
    <section className="mt-5" aria-label="Also to do">
      <h3 className="border-b border-ink pb-1 text-sm font-semibold">Also to do</h3>
      <ul>
        {actions.map((one) => (
          <li key={one.id} className="border-b border-hair py-2 text-sm">
            <p className={one.state === "done" ? "text-soft line-through" : ""}>
              <b>{one.heading}.</b> {one.text}
            </p>
            <p className="text-soft">
              {[one.who, one.when, one.price && `price: ${one.price}`, one.resolves.join(", ")]
                .filter(Boolean)
                .join(" · ")}
            </p>
            {!readOnly && (
              <div className="mt-1">
                <StateOf action={one} label={one.text} compact />
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Whether an action is open, done or not for today; open is the answer taken back. */
function StateOf({
  action,
  label,
  compact = false,
}: {
  action: Schemas["ActionView"];
  label: string;
  compact?: boolean;
}) {
  const { unit } = useVisitFacts();
  const queue = useQueue();
  return (
    <Segments
      compact={compact}
      label={label}
      value={action.state}
      choices={STATES}
      onChange={(state) =>
        queue.type(`set.action.${action.field}.state`, state === "open" ? "" : state, unit)
      }
    />
  );
}

/** What is noted beside a setting: the key that keeps the desk's height, what the settle-in test said. */
const BESIDE: Record<string, (posture: string) => string> = {
  surface: (posture) => `set.preset.${posture}`,
  distance: () => fieldId("work.settle_by"),
};

const STATES = [
  { value: "open", label: "Open" },
  { value: "done", label: "Done" },
  { value: "later", label: "Not today" },
];

function SetOne({ row, onEnter }: { row: Row; onEnter: () => void }) {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const worked = useWorkup();
  const action = worked?.actions.find((one) => one.step === `${row.posture}.${row.key}`);
  const byEye = row.setting === null;
  const text = [action?.text, row.why].filter(Boolean).join(" ");
  const id = useId();
  const path = `set.${row.posture}.${row.key}`;
  const field = fields.find((each) => each.id === path);
  const to = withUnit(row, row.setting);
  const beside = fields.find((each) => each.id === BESIDE[row.key]?.(row.posture));
  return (
    <section className="mt-3 border border-ink/40 bg-ground p-4" aria-labelledby={`${id}-name`}>
      <p className="text-sm text-soft capitalize">{row.posture}</p>
      <h3 id={`${id}-name`} className="text-2xl">
        {row.label} {byEye ? "by eye" : <span className="figures">{to}</span>}
      </h3>
      <p className="mt-0.5 first-letter:uppercase">{text}</p>
      {row.dial && (
        <p className="mt-1">
          The desk's display has to read <b className="figures">{quantity(row.dial, row.unit)}</b>.
        </p>
      )}
      {byEye && action && !readOnly && (
        <div className="mt-3">
          <StateOf action={action} label={`${row.label}, by eye`} />
        </div>
      )}
      {row.limits.length > 0 && <p className="mt-1 text-sm">Limit: {row.limits[0]}.</p>}
      {field && (
        <div className="mt-3 flex items-end gap-3" data-field={path}>
          <div className="flex-1">
            <label htmlFor={id} className="text-sm">
              Re-measured
            </label>
            <TextEntry field={field} id={id} large autoFocus onEnter={onEnter} />
          </div>
          {!readOnly && row.left === null && row.setting !== null && (
            <Button
              className="min-h-16"
              title="Set to the target, not re-measured"
              onClick={() => queue.type(`${path}.aimed`, typedTarget(row, unit), unit)}
            >
              Set to target
            </Button>
          )}
        </div>
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
            Set to <b className="figures">{withUnit(row, row.left)}</b>, not re-measured. The report
            says so.
          </span>
          {!readOnly && (
            <Button look="quiet" onClick={() => queue.type(`${path}.aimed`, "", unit)}>
              Not set
            </Button>
          )}
        </p>
      )}
      {row.left_over && (
        <p className="mt-2 text-sm" role="status">
          Still off: <b className="figures">{withUnit(row, row.left_over)}</b> to the target.
        </p>
      )}
      {row.check && !(byEye && action) && (
        <p className="mt-3 border-t border-hair pt-2 text-sm">
          <span className="font-semibold">Check on the client.</span> {row.check}
        </p>
      )}
    </section>
  );
}
