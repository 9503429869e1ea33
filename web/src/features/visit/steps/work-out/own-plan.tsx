import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { CheckBox } from "@/shared/ui/check-box";
import { FieldRow } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";

type Offer = Schemas["OfferView"];

/** Put things into a plan of one's own and take it: what is ticked now goes, whatever else it was. */
export function useOwnPlan() {
  const { unit } = useVisitFacts();
  const queue = useQueue();
  const drawnVisit = useWorkup();
  const taken = drawnVisit?.offers.filter((offer) => offer.taken).map((offer) => offer.key) ?? [];
  return (keys: readonly string[]) => {
    const path = (key: string) => `work.own_plan.${key}.taken`;
    for (const key of taken) if (!keys.includes(key)) queue.type(path(key), "", unit);
    for (const key of keys) if (!taken.includes(key)) queue.type(path(key), "yes", unit);
    queue.type(fieldId("work.plan"), keys.length ? "own" : "", unit);
  };
}

/** What is ticked, with one thing more in the place of what its slot has. */
export function tickedWith(offers: readonly Offer[], key: string): string[] {
  const slot = offers.find((offer) => offer.key === key)?.slot;
  const others = offers.filter((offer) => offer.taken && offer.slot !== slot);
  return [...others.map((other) => other.key), key];
}

/** Everything that can be added, slot by slot: tick, swap, combine. */
export function OwnPlan() {
  const { fields, readOnly } = useVisitFacts();
  const drawnVisit = useWorkup();
  const take = useOwnPlan();
  const offers = drawnVisit?.offers ?? [];
  const budget = fields.find((field) => field.id === fieldId("work.budget"));
  const slots = [...new Set(offers.map((offer) => offer.slot))];
  const tick = (offer: Offer) => {
    const ticked = tickedWith(offers, offer.key);
    take(offer.taken ? ticked.filter((key) => key !== offer.key) : ticked);
  };
  if (!offers.length) return null;
  return (
    <section aria-label={t`Build your own plan`}>
      <h2 className="border-b border-ink pb-1 font-semibold">{t`Build your own plan`}</h2>
      <p className="py-1 text-sm text-soft">
        {t`Tick what you want to use, one item for each purpose. The figures show what each adds to the items already ticked.`}
      </p>
      {budget && (
        <div className="max-w-[300px] py-1">
          <FieldRow field={budget} />
        </div>
      )}
      {slots.map((slot) => (
        <fieldset key={slot} className="border-b border-hair py-1.5" disabled={readOnly}>
          <legend className="float-left w-full text-sm text-soft">{slot}</legend>
          {offers
            .filter((offer) => offer.slot === slot)
            .map((offer) => (
              <div
                key={offer.key}
                className="clear-both grid min-h-11 grid-cols-[1fr_auto] items-center gap-2"
              >
                <CheckBox checked={offer.taken} disabled={readOnly} onChange={() => tick(offer)}>
                  {offer.label}
                  <span className="block text-sm text-soft">
                    {offer.does}
                    {offer.temporary ? ", temporary" : ""}
                  </span>
                </CheckBox>
                <span className="figures text-end text-sm">
                  {offer.price}
                  {offer.removes && <b className="block">−{offer.removes}</b>}
                </span>
              </div>
            ))}
        </fieldset>
      ))}
    </section>
  );
}
