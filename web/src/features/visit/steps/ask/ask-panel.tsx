import { STEP_IDS } from "@/shared/steps";
import { Button } from "@/shared/ui/button";
import { FieldsForm } from "../../fields-form";
import { PanelFoot } from "../../panel-foot";
import { PartTabs } from "../../part-tabs";
import { applies, type Field, useVisitState } from "../../visit-context";
import { Conditions } from "./conditions";
import { Consents } from "./consents";
import { Discomfort } from "./discomfort";
import { RedFlags } from "./red-flags";

const OWN: Record<string, () => React.ReactNode> = {
  Consent: Consents,
  "Red flags": RedFlags,
  Conditions,
  Discomfort,
};

/** Ask: before anything is touched, one part at a time. */
export function AskPanel() {
  const { fields, cells, part, setPart, go } = useVisitState();
  const mine = fields.filter((field) => field.step === "ask");
  const groups = [...new Set(mine.map((field) => field.group))];
  const present = part && groups.includes(part) ? part : (groups[0] ?? "");
  const next = groups[groups.indexOf(present) + 1];
  const Own = OWN[present];
  const open = (name: string) =>
    mine.some(
      (field) =>
        field.group === name &&
        field.needed &&
        applies(field, cells) &&
        !cells.get(field.id)?.held?.typed,
    );
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-xl">Ask</h2>
      <p className="mb-3 text-soft">Before you adjust anything.</p>
      <PartTabs
        label="Parts of this step"
        parts={groups.map((name) =>
          mine.some((field) => field.group === name && field.needed)
            ? { name, open: open(name) }
            : { name },
        )}
        present={present}
        onChoose={setPart}
      />
      <div role="tabpanel" aria-label={present}>
        {present === "Hours" && <Hours fields={mine} />}
        {Own ? <Own /> : <FieldsForm fields={mine.filter((field) => field.group === present)} />}
      </div>
      <PanelFoot>
        <Button
          look="next"
          className="w-full"
          data-next=""
          onClick={() => (next ? setPart(next) : go(STEP_IDS[1]))}
        >
          {next ? `Next: ${next}` : "Continue to Look"}
        </Button>
      </PanelFoot>
    </div>
  );
}

/** What the hours come to, and whether that can be so. */
function Hours({ fields }: { fields: readonly Field[] }) {
  const { worked, cells } = useVisitState();
  if (!worked) return null;
  const parts = fields.filter(
    (field) => field.id.startsWith("ask.hours.") && Number(cells.get(field.id)?.held?.value) > 0,
  );
  const whole = parts.reduce((sum, field) => sum + Number(cells.get(field.id)?.held?.value), 0);
  return (
    <div className="mb-4 border-b border-hair pb-3">
      <p className="figures text-right">
        <span className="text-lg font-semibold">{worked.hours.toLocaleString("en-GB")} h</span> in
        all
      </p>
      {whole > 0 && (
        <div className="mt-1 flex h-4 border border-ink" aria-hidden="true">
          {parts.map((field, index) => (
            <span
              key={field.id}
              title={field.label}
              className={index % 2 ? "bg-ink/60" : "bg-ink/25"}
              style={{ width: `${(100 * Number(cells.get(field.id)?.held?.value)) / whole}%` }}
            />
          ))}
        </div>
      )}
      {worked.hours_doubt && (
        <p role="alert" className="mt-1 text-sm">
          {worked.hours_doubt}
        </p>
      )}
    </div>
  );
}
