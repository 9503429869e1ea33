import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Check, FileText } from "lucide-react";
import { useEffect, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { quantity } from "@/shared/quantity";
import { Button } from "@/shared/ui/button";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { said } from "@/shared/words/said";
import { within } from "@/shared/words/within";
import { rowPicked, useDrawingStore, usePicked } from "../../state/drawing-store";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCell, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { Settle } from "./settle";
import { StepCard, withUnit } from "./step-card";
import { headingOf, nameOf, type Step, settled, stepsOf } from "./steps";
import { saidOf, typedTarget } from "./typed";
import { Walk } from "./walk";

/** Set: one piece after the other in the order in which they rest on one another. */
export function SetPanel() {
  const drawnVisit = useWorkup();
  const { visit, unit } = useVisitFacts();
  const { sought, go } = useNavigation();
  const { setActive } = useDrawingStore();
  const [chosen, setChosen] = useState<string | null>(null);
  useEffect(() => {
    const [, posture, key] = /^set\.(seated|standing)\.(\w+)/.exec(sought ?? "") ?? [];
    if (posture && key) setChosen(`set.${posture}.${key}`);
  }, [sought]);
  usePicked((part, posture) => {
    setChosen(`set.${rowPicked(part, posture)}`);
    return true;
  });
  const steps = stepsOf(drawnVisit);
  const now = steps.find((step) => step.action.id === chosen) ?? steps.find(open) ?? steps[0];
  const part = now?.row?.key ?? null;
  useEffect(() => setActive(part), [part, setActive]);
  useEffect(() => {
    if (chosen === null && now) setChosen(now.action.id);
  }, [chosen, now]);
  if (!drawnVisit) return <Skeleton lines={8} label={t`Loading`} />;
  if (!now)
    return (
      <>
        <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
          {t`Nothing to set yet`}
        </h2>
        <p className="text-soft">{t`There are no targets yet. Measure first.`}</p>
        <Button look="next" className="mt-4 w-full" onClick={() => go("measure")}>
          {t`Back to Measure`}
        </Button>
      </>
    );
  const after = steps[steps.indexOf(now) + 1];
  const onward = () => (after ? setChosen(after.action.id) : go("pace"));
  return (
    <div className="flex min-h-full flex-col pb-5">
      <div className="flex items-baseline justify-between">
        <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
          {t`Set`}
        </h2>
        <p className="figures text-soft">
          <Trans>
            {steps.filter(settled).length} of {steps.length}
          </Trans>
        </p>
      </div>
      <StepCard key={now.action.id} step={now} onEnter={onward} />
      <Button look="next" className="mt-3 w-full" data-next="" onClick={onward}>
        {after
          ? turns(now, after)
            ? t`Next: ${nameOf(after)}, standing`
            : t`Next: ${nameOf(after)}`
          : t`Continue to Pace`}
      </Button>
      <Follows changes={drawnVisit.follows} />
      <StepList steps={steps} now={now} onChoose={setChosen} />
      <TheRest steps={steps} />
      {steps.some(({ row }) => row?.left_unmeasured) && (
        <p className="mt-1 text-sm text-soft">{t`* set to target, not measured.`}</p>
      )}
      <Settle />
      <Walk moves={drawnVisit.moves} pair={drawnVisit.pair} />
      <a
        href={`/api/visits/${visit.id}/card.pdf?unit=${unit}`}
        target="_blank"
        rel="noreferrer"
        className="mt-4 flex min-h-11 items-center justify-center gap-2 text-sm underline"
      >
        <FileText size={16} aria-hidden="true" /> {t`Settings card (PDF, A6)`}
      </a>
      <AlsoToDo ids={new Set(drawnVisit.set_order)} />
    </div>
  );
}

/** What is worked out anew from where things stand: what was set elsewhere, and what is left alone. */
function Follows({ changes }: { changes: readonly Schemas["SettingChange"][] }) {
  if (changes.length === 0) return null;
  return (
    <section
      aria-label={t`Updated targets`}
      aria-live="polite"
      className="mt-4 bg-deep p-3 text-sm"
    >
      <h3 className="font-semibold">{t`Updated targets, given the settings so far`}</h3>
      <ul className="figures">
        {changes.map((change) => (
          <li key={`${change.posture} ${change.id}`}>
            {change.posture === "standing" ? (
              <Trans>
                {change.label} standing: <b>{quantity(change.after, change.unit)}</b> instead of{" "}
                {quantity(change.before, change.unit)}
              </Trans>
            ) : (
              <Trans>
                {change.label}: <b>{quantity(change.after, change.unit)}</b> instead of{" "}
                {quantity(change.before, change.unit)}
              </Trans>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const open = (step: Step) => !settled(step);

const turns = (now: Step, after: Step) =>
  now.action.posture === "seated" && after.action.posture === "standing";

/** Every step with its aim, what it was set to, and what is still off. */
function StepList({
  steps,
  now,
  onChoose,
}: {
  steps: readonly Step[];
  now: Step;
  onChoose: (id: string) => void;
}) {
  return (
    <table className="mt-5 w-full text-sm">
      <thead>
        <tr className="border-b border-ink text-start">
          <th className="py-1 text-start font-semibold">{t`Adjust in this order`}</th>
          <th className="ps-2 text-end font-semibold">{t`Setting`}</th>
          <th className="ps-2 text-end font-semibold">{t`Left at`}</th>
          <th className="ps-2 text-end font-semibold">{t`Still off`}</th>
        </tr>
      </thead>
      <tbody className="figures">
        {steps.map((step, index) => {
          const heading = headingOf(step);
          const before = steps[index - 1];
          return [
            (!before || headingOf(before) !== heading) && (
              <tr key={`${step.action.id} group`}>
                <th colSpan={4} className="pt-3 text-start font-sans text-soft">
                  {heading}
                </th>
              </tr>
            ),
            <Line
              key={step.action.id}
              step={step}
              here={step === now}
              onChoose={() => onChoose(step.action.id)}
            />,
          ];
        })}
      </tbody>
    </table>
  );
}

function Line({ step, here, onChoose }: { step: Step; here: boolean; onChoose: () => void }) {
  const { action, row } = step;
  const word = { later: t`not today`, stopped: t`stopped`, done: "", open: "" }[action.state];
  const tested = useCell(`set.action.${action.field}.test`)?.typed;
  return (
    <tr className={`border-b border-hair ${here ? "bg-deep" : ""}`}>
      <td className="p-0">
        <button
          type="button"
          className="min-h-8 w-full py-1 text-start font-sans"
          onClick={onChoose}
        >
          {nameOf(step)}
          {action.posture === "standing" && <span className="text-soft"> {t`standing`}</span>}
        </button>
      </td>
      <td className="ps-2 text-end whitespace-nowrap">{row ? withUnit(row, row.setting) : ""}</td>
      <td className="ps-2 text-end font-semibold whitespace-nowrap">
        {!row || row.left === null ? (word ? "" : "·") : withUnit(row, row.left)}
        {row?.left_unmeasured && <span title={t`not measured`}>*</span>}
      </td>
      <td className="ps-2 text-end whitespace-nowrap">
        {action.moved ? (
          t`aim moved`
        ) : word ? (
          word
        ) : row?.left_over ? (
          withUnit(row, row.left_over)
        ) : tested === "nearly" || tested === "fails" ? (
          within(action.test)
        ) : row?.left || action.state === "done" ? (
          <Check
            size={16}
            role="img"
            aria-label={row?.left ? t`as worked out` : t`done`}
            className="ms-auto inline"
          />
        ) : null}
      </td>
    </tr>
  );
}

/** Everything that is still open set as worked out by one press, and none of it measured. */
function TheRest({ steps }: { steps: readonly Step[] }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const rest = steps.flatMap(({ action, row }) =>
    row && row.became?.kind === "target" && row.setting !== null && action.state === "open"
      ? [{ action, row }]
      : [],
  );
  if (readOnly || rest.length < 2) return null;
  const all = () =>
    queue.typeAll(
      rest.flatMap(({ action, row }) => [
        [`set.${action.step}.aimed`, typedTarget(row, unit)] as const,
        [`set.action.${action.field}.aim`, action.aim] as const,
      ]),
      unit,
    );
  return (
    <Button className="mt-3 w-full" onClick={all}>
      <Trans>The other {rest.length}: set to target, not measured</Trans>
    </Button>
  );
}

const STATES = said([
  { value: "open", label: msg`Open` },
  { value: "done", label: msg`Done` },
  { value: "later", label: msg`Not today` },
]);

/** What is for the client to take along, or to find out: the same actions as plans and report have. */
function AlsoToDo({ ids }: { ids: ReadonlySet<string> }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const drawnVisit = useWorkup();
  const actions =
    drawnVisit?.actions.filter((action) => !ids.has(action.id) && action.kind !== "refer") ?? [];
  if (actions.length === 0) return null;
  return (
    <section className="mt-5" aria-label={t`Also to do`}>
      <h3 className="border-b border-ink pb-1 text-sm font-semibold">{t`Also to do`}</h3>
      <ul>
        {actions.map((action) => (
          <li key={action.id} className="border-b border-hair py-2 text-sm">
            <p className={action.state === "done" ? "text-soft line-through" : ""}>
              <b>{action.heading}.</b> {action.text}
            </p>
            <p className="text-soft">
              {[
                action.who,
                action.when,
                action.price && t`price: ${action.price}`,
                action.resolves.join(", "),
              ]
                .filter(Boolean)
                .join(" · ")}
            </p>
            {!readOnly && (
              <div className="mt-1">
                <Segments
                  compact
                  label={action.text}
                  value={action.state}
                  choices={STATES}
                  onChange={(state) => queue.typeAll(saidOf(action, state), unit)}
                />
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
