import { useEffect, useState } from "react";
import { STEP_IDS, type StepId } from "@/shared/steps";
import { Button } from "@/shared/ui/button";
import { FieldRow, PairRow } from "../field-row";
import { PanelFoot } from "../panel-foot";
import { type Field, useVisitState } from "../visit-context";

const TITLES: Partial<Record<StepId, [string, string]>> = {
  ask: ["Ask", "Before anything is touched."],
  look: ["Look", "The set-up as found. What is unknown stays empty."],
};

const WARNINGS = {
  urgent: [
    "loss of bladder or bowel control, numbness around the saddle",
    "sudden weakness, drooping face, trouble speaking",
    "chest pain, breathlessness",
    "new severe headache, loss of sight",
  ],
  clinician: [
    "a recent fall or accident with pain",
    "fever or weight loss with back pain; pain at night that no position eases",
    "numbness, tingling or weakness that stays or spreads",
    "a hot swollen calf",
  ],
};

/** Ask and Look: the step's fields, one group at a time. */
export function FormPanel() {
  const { fields, cells, step, picked, go, setActive, worked } = useVisitState();
  const mine = fields.filter((field) => field.step === step);
  const groups = [...new Set(mine.map((field) => field.group))];
  const [group, setGroup] = useState(groups[0] ?? "");
  const [wanted, setWanted] = useState<string | null>(null);
  const present = groups.includes(group) ? group : (groups[0] ?? "");
  const laptop = cells.get("look.screen.kind")?.typed === "laptop";
  const fixed = cells.get("look.desk.kind")?.typed === "fixed";
  const shown = mine.filter(
    (field) => field.group === present && !hidden(field, { laptop, fixed }),
  );
  const open = (name: string) =>
    mine.some((field) => field.group === name && field.needed && !cells.get(field.id)?.held?.typed);

  // biome-ignore lint/correctness/useExhaustiveDependencies: only a new press in the drawing counts
  useEffect(() => {
    if (!picked || step !== "look") return;
    const standing = picked.posture === "standing";
    const field = mine.find(
      (one) =>
        one.part === picked.part &&
        one.id.startsWith(standing ? "look.found_standing" : "look.found."),
    );
    if (!field) return;
    setGroup(field.group);
    setActive(picked.part);
    setWanted(field.id);
  }, [picked]);

  useEffect(() => {
    const input = document.querySelector<HTMLElement>(`[data-field="${wanted}"] input`);
    if (!wanted || !input) return;
    input.focus();
    setWanted(null);
  });

  const next = groups[groups.indexOf(present) + 1];
  const nextStep = STEP_IDS[STEP_IDS.indexOf(step) + 1];
  const [title, says] = TITLES[step] ?? ["", ""];
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-xl">{title}</h2>
      <p className="mb-3 text-soft">{says}</p>
      <div
        role="tablist"
        aria-label="Parts of this step"
        className="mb-4 flex flex-wrap gap-x-4 border-b border-hair"
      >
        {groups.map((name) => (
          <button
            key={name}
            type="button"
            role="tab"
            aria-selected={name === present}
            onClick={() => setGroup(name)}
            className={`-mb-px flex min-h-11 items-center gap-1.5 border-b-2 text-sm ${
              name === present ? "border-ink font-semibold" : "border-transparent text-soft"
            }`}
          >
            {name}
            <span
              aria-hidden="true"
              className={`size-1.5 rounded-full border border-ink ${open(name) ? "" : "bg-ink"}`}
            />
            <span className="sr-only">{open(name) ? ", open" : ", has what it needs"}</span>
          </button>
        ))}
      </div>
      <div className="space-y-4" role="tabpanel" aria-label={present}>
        {shown.map((field) => (
          <div key={field.id}>
            {upper(shown, field) ? (
              <PairRow low={field} high={upper(shown, field) ?? field} />
            ) : isUpper(shown, field) ? null : (
              <FieldRow field={field} />
            )}
            {field.id === "ask.warning" && <WarningList />}
          </div>
        ))}
        {present === "Hours a day" && worked && (
          <p className="figures border-t border-hair pt-2 text-right">
            <span className="font-semibold">{worked.hours.toLocaleString("en-GB")} h</span> in all
            {worked.hours_doubt && (
              <span role="alert" className="block text-sm">
                {worked.hours_doubt}
              </span>
            )}
          </p>
        )}
      </div>
      <PanelFoot>
        <Button
          look="next"
          className="w-full"
          data-next=""
          onClick={() => (next ? setGroup(next) : nextStep && go(nextStep))}
        >
          {next ? `Next: ${next}` : `On to ${nextStep === "look" ? "Look" : "Measure"}`}
        </Button>
      </PanelFoot>
    </div>
  );
}

/** Fields that make no sense with what is already said. */
function hidden(field: Field, { laptop, fixed }: { laptop: boolean; fixed: boolean }): boolean {
  if (laptop && /look\.screen\.(diagonal|aspect|top_min|top_max|depth_behind)/.test(field.id))
    return true;
  return (
    fixed && (/look\.desk\.surface_/.test(field.id) || field.id.startsWith("look.found_standing"))
  );
}

/** The upper end that goes with a lower one. */
function upper(fields: readonly Field[], field: Field): Field | undefined {
  if (!field.id.endsWith("_min")) return undefined;
  return fields.find((other) => other.id === field.id.replace(/_min$/, "_max"));
}

function isUpper(fields: readonly Field[], field: Field): boolean {
  return field.id.endsWith("_max") && fields.some((other) => upper(fields, other) === field);
}

function WarningList() {
  return (
    <details className="mt-2 text-sm">
      <summary className="flex min-h-11 items-center underline">What to ask about</summary>
      <p className="font-semibold">Stop and seek care now</p>
      <ul className="list-disc pl-5">
        {WARNINGS.urgent.map((sign) => (
          <li key={sign}>{sign}</li>
        ))}
      </ul>
      <p className="mt-1 font-semibold">See a clinician first</p>
      <ul className="list-disc pl-5">
        {WARNINGS.clinician.map((sign) => (
          <li key={sign}>{sign}</li>
        ))}
      </ul>
    </details>
  );
}
