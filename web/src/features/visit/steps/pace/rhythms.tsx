import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { RadioGroup } from "radix-ui";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { FieldsForm } from "../../fields-form";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

const MORE = [
  "pace.micro_every",
  "pace.walk_every",
  "pace.walk_minutes",
  "pace.ramp",
  "pace.elsewhere",
];
const OWN = ["pace.sit", "pace.stand", "pace.move"];

/** A rhythm by school or in numbers of one's own; what each would come to over this day. */
export function Rhythms({ page, day }: { page: Schemas["DayPage"]; day: Schemas["DayView"] }) {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const chosen = cells.get(fieldId("pace.rhythm"))?.typed ?? "";
  const schools = page.rhythms.filter((rhythm) => rhythm.id !== "own");
  const own = page.rhythms.find((rhythm) => rhythm.id === "own");
  const choose = (value: string) => queue.type(fieldId("pace.rhythm"), value, unit);
  return (
    <div className="grid gap-x-10 gap-y-4 desk:grid-cols-[minmax(0,1fr)_320px]">
      <RadioGroup.Root
        value={chosen}
        aria-label={t`Rhythm`}
        disabled={readOnly}
        onValueChange={choose}
        className="border-t border-ink"
      >
        {schools.map((rhythm) => (
          <Line key={rhythm.id} rhythm={rhythm} suggested={rhythm.id === day.proposed} />
        ))}
        <Line
          rhythm={
            own ?? {
              id: "own",
              label: t`Own values`,
              says: t`Sit, stand and move for as long as suits this client.`,
              possible: true,
            }
          }
        />
      </RadioGroup.Root>
      <div className="space-y-4">
        {chosen === "own" && (
          <FieldsForm fields={fields.filter((field) => OWN.includes(field.id))} />
        )}
        <FieldsForm fields={fields.filter((field) => MORE.includes(field.id))} />
        {day.tips.length > 0 && (
          <ul className="space-y-1 border-t border-hair pt-3 text-sm">
            {day.tips.map((tip) => (
              <li key={tip}>{tip}</li>
            ))}
          </ul>
        )}
      </div>
    </div>
  );
}

type Shown = Pick<Schemas["RhythmView"], "id" | "label" | "says" | "possible"> &
  Partial<Pick<Schemas["RhythmView"], "totals" | "why_not">>;

function Line({ rhythm, suggested = false }: { rhythm: Shown; suggested?: boolean }) {
  const totals = rhythm.totals;
  return (
    <RadioGroup.Item
      value={rhythm.id}
      disabled={!rhythm.possible}
      className="moves grid w-full grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-b border-hair px-2 py-2 text-start hover:bg-ground disabled:opacity-70 data-[state=checked]:bg-ground data-[state=checked]:outline-2 data-[state=checked]:-outline-offset-2 data-[state=checked]:outline-ink"
    >
      <span>
        <span className="font-semibold">{rhythm.label}</span>
        {suggested && <span className="text-sm text-soft"> {t`suggested`}</span>}
        <span className="block text-sm text-soft">
          {rhythm.possible ? rhythm.says : rhythm.why_not}
        </span>
      </span>
      {rhythm.possible && totals && (
        <span className="figures self-center text-end text-sm">
          {[
            t`sit ${totals.sit}`,
            ...(totals.stand ? [t`stand ${totals.stand}`] : []),
            `move ${totals.move} min`,
          ].join(" · ")}
          <span className="block text-soft">
            <Trans>at most {totals.longest_sit} min seated</Trans>
          </span>
        </span>
      )}
    </RadioGroup.Item>
  );
}
