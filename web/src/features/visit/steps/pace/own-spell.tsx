import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useId } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Segments } from "@/shared/ui/segments";
import { said } from "@/shared/words/said";
import { TextEntry, Trouble } from "../../field-row";
import { memberField, useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";

export type Spell = Schemas["SpellView"];

/** What makes a spell of the rhythm one of one's own: from when, how long, in what posture. */
export function wholeSpell(spell: Spell): (readonly [string, string])[] {
  const path = `pace.spell.${spell.id}`;
  return [
    [`${path}.at`, spell.at],
    [`${path}.minutes`, String(spell.minutes)],
    [`${path}.posture`, spell.posture],
  ];
}

const POSTURES = said([
  { value: "sit", label: msg`Sit` },
  { value: "stand", label: msg`Stand` },
  { value: "move", label: msg`Move` },
]);

/** A spell taken in hand: typed from when, how long and in what posture; or given back to the rhythm. */
export function OwnSpell({
  spell,
  stands,
  onLeave,
}: {
  spell: Spell;
  stands: boolean;
  onLeave: () => void;
}) {
  const { catalogue, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const id = useId();
  const path = `pace.spell.${spell.id}`;
  const at = memberField(catalogue, "pace.spell.*.at", spell.id);
  const minutes = memberField(catalogue, "pace.spell.*.minutes", spell.id);
  if (!at || !minutes || readOnly) return null;
  const take = (posture: string) =>
    queue.typeAll([...wholeSpell(spell).slice(0, 2), [`${path}.posture`, posture]], unit);
  const own = spell.kind === "own";
  return (
    <section
      aria-label={t`One period of the day`}
      className="mb-3 flex max-w-[880px] flex-wrap items-end gap-x-5 gap-y-2 border border-ink/40 bg-ground p-3"
    >
      <p className="w-full text-sm">
        <b>
          <Trans>
            {spell.label}, <span className="figures">{spell.at}</span> to{" "}
            <span className="figures">{spell.end}</span>.
          </Trans>
        </b>{" "}
        <span className="text-soft">
          {own ? t`Placed by hand; the pattern continues around it.` : t`From the pattern.`}
        </span>
      </p>
      <Segments
        compact
        label={t`Posture`}
        value={spell.posture}
        choices={POSTURES.filter((posture) => stands || posture.value !== "stand")}
        onChange={take}
      />
      {own ? (
        <>
          <span>
            <label htmlFor={`${id}-at`} className="block text-sm">
              {t`From`}
            </label>
            <TextEntry field={at} id={`${id}-at`} />
          </span>
          <span>
            <label htmlFor={`${id}-minutes`} className="block text-sm">
              {t`Minutes`}
            </label>
            <TextEntry field={minutes} id={`${id}-minutes`} />
          </span>
          <Button
            onClick={() => {
              queue.typeAll(
                wholeSpell(spell).map(([field]) => [field, ""] as const),
                unit,
              );
              onLeave();
            }}
          >
            {t`Back to the pattern`}
          </Button>
        </>
      ) : (
        <Button onClick={() => take(spell.posture)}>{t`Change times`}</Button>
      )}
      <Button look="quiet" onClick={onLeave}>
        {t`Close`}
      </Button>
      <Trouble path={at.id} id={`${id}-at`} />
      <Trouble path={minutes.id} id={`${id}-minutes`} />
    </section>
  );
}
