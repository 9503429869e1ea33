import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { RadioGroup } from "radix-ui";
import { useState } from "react";
import { Select } from "@/shared/ui/select";
import { usePhone } from "@/shared/use-media";
import { FieldRow, Troubles } from "../../field-row";
import { StagePortal } from "../../stage-portal";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";
import { BodyChart } from "./body-chart";

const STRENGTHS = Array.from({ length: 11 }, (_, value) => `${value}`);

/** Discomfort: regions on the body, and for the chosen one how strong, how often, since when. */
export function Discomfort() {
  const { catalogue, unit, readOnly, fields } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const strength = (id: string) => Number(cells.get(`ask.discomfort.${id}`)?.typed || 0);
  const marked = catalogue.regions
    .filter((region) => strength(region.id) > 0)
    .sort((a, b) => strength(b.id) - strength(a.id));
  const phone = usePhone();
  const [chosen, setChosen] = useState<string | null>(null);
  const now = catalogue.regions.find((region) => region.id === chosen) ?? marked[0];
  const set = (id: string, value: number) => {
    if (readOnly) return;
    setChosen(id);
    const path = `ask.discomfort.${id}`;
    if (value !== strength(id)) queue.type(path, value > 0 ? `${value}` : "", unit);
  };
  const more = now
    ? fields.filter((field) => field.id.startsWith(`ask.discomfort.${now.id}.`))
    : [];
  return (
    <div>
      <StagePortal label={t`Body, front and back`}>
        <BodyChart
          chosen={now?.id ?? null}
          strength={strength}
          onChoose={setChosen}
          onStrength={set}
          {...(phone && {
            below: (
              <div className="px-4 pb-3" aria-live="polite">
                <p className="text-sm font-semibold">{now?.label ?? t`Tap where it hurts`}</p>
                {now && (
                  <Strength value={strength(now.id)} onValue={(value) => set(now.id, value)} />
                )}
              </div>
            ),
          })}
        />
      </StagePortal>
      <Troubles
        of={catalogue.regions.map(({ id, label }) => ({ path: `ask.discomfort.${id}`, label }))}
      />
      <Select
        label={t`Part of the body`}
        value={now?.id ?? ""}
        className="mb-3 w-full"
        disabled={readOnly}
        options={[
          ...(now ? [] : [{ value: "", label: t`Choose on the body or here` }]),
          ...catalogue.regions.map(({ id, label }) => ({ value: id, label })),
        ]}
        onChange={setChosen}
      />
      {now ? (
        <section aria-label={now.label} className="border border-ink/40 bg-ground p-3">
          <h3 className="text-lg">{now.label}</h3>
          {!phone && <Strength value={strength(now.id)} onValue={(value) => set(now.id, value)} />}
          {strength(now.id) > 0 && (
            <div className="mt-3 space-y-3">
              {more.map((field) => (
                <FieldRow key={field.id} field={field} />
              ))}
            </div>
          )}
        </section>
      ) : (
        <p>
          {t`Tap where it hurts, front or back. Keyboard: arrow keys move, a digit sets the intensity.`}
        </p>
      )}
      <ol className="mt-3" aria-label={t`Marked`}>
        {marked.map((region) => (
          <li key={region.id} className="border-b border-hair">
            <button
              type="button"
              aria-current={region === now ? "true" : undefined}
              onClick={() => setChosen(region.id)}
              className={`flex min-h-11 w-full items-center justify-between text-start ${region === now ? "font-semibold" : ""}`}
            >
              {region.label}
              <span className="figures">
                <Trans>{strength(region.id)} of 10</Trans>
              </span>
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}

/** How strong the discomfort of one region is. */
function Strength({ value, onValue }: { value: number; onValue: (value: number) => void }) {
  const { readOnly } = useVisitFacts();
  return (
    <>
      <p className="mb-1.5 text-sm text-soft">{t`Intensity, 0 (none) to 10 (worst imaginable)`}</p>
      <RadioGroup.Root
        aria-label={t`Intensity`}
        value={`${value}`}
        disabled={readOnly}
        onValueChange={(next) => onValue(Number(next))}
        className="grid grid-cols-6 gap-1"
      >
        {STRENGTHS.map((strength) => (
          <RadioGroup.Item
            key={strength}
            value={strength}
            className="figures min-h-11 border border-ink/40 text-lg data-[state=checked]:border-ink data-[state=checked]:bg-ink data-[state=checked]:text-ground"
          >
            {strength}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </>
  );
}
