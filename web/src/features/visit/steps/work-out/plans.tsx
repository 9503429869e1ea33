import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { useStack } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Select } from "@/shared/ui/select";
import { Skeleton } from "@/shared/ui/skeleton";
import { within } from "@/shared/words/within";
import { Lines } from "../../lines";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { useWhatIf } from "../../what-if/bench";
import { Decider } from "./decider";
import { OwnPlan, tickedWith, useOwnPlan } from "./own-plan";

type Plan = Schemas["PlanView"];

/** Three plans with what each leaves over, single purchases, what moves, and stacks. */
export function Plans() {
  const { readOnly } = useVisitFacts();
  const drawnVisit = useWorkup();
  const take = useOwnPlan();
  const mine = drawnVisit?.offers.filter((offer) => offer.taken).map((offer) => offer.key) ?? [];
  const trial = useWhatIf();
  const plans = trial.tried?.plans.length ? trial.tried.plans : drawnVisit?.plans;
  const fixes = trial.tried?.plans.length ? trial.tried.fixes : drawnVisit?.fixes;
  const assumed = [...new Set(plans?.flatMap((plan) => plan.assumes))];
  if (!drawnVisit || !plans?.length) return <Skeleton lines={9} label={t`Loading`} />;
  return (
    <div className="flex flex-col gap-4 pb-6">
      <p className="text-sm text-soft">
        {t`Each plan is the best for its price: things that don’t fit first, then degrees out of range, then cost and effort. Nothing is added for a difference too small to matter. Targets and Set follow the plan you choose.`}
      </p>
      {assumed.length > 0 && (
        <ul className="border-s-4 border-ink ps-2 text-sm" aria-label={t`Assumptions`}>
          {assumed.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      {plans
        .filter((plan) => !plan.same_as)
        .map((plan) => {
          const same = plans.filter((other) => other.same_as === plan.label);
          return (
            <One
              key={plan.id}
              plan={plan}
              same={same}
              taken={[plan, ...same].some(({ id }) => id === drawnVisit.plan)}
            />
          );
        })}
      <OwnPlan />
      {fixes && fixes.length > 0 && (
        <section aria-label={t`What would fix this`}>
          <h2 className="border-b border-ink pb-1 font-semibold">
            {t`What each purchase would do alone`}
          </h2>
          <ol>
            {fixes.map((fix) => (
              <li key={fix.id} className="grid grid-cols-[1fr_auto] border-b border-hair py-1.5">
                <span>
                  {fix.label}
                  <span className="block text-sm text-soft">
                    {fix.does}, {fix.price}
                  </span>
                  {fix.mends && <b className="block text-sm">{t`For things that don’t fit.`}</b>}
                  {fix.shortfalls.map((words) => (
                    <span key={words} className="block text-sm">
                      <Trans>Still: {words}</Trans>
                    </span>
                  ))}
                </span>
                <span className="figures text-end">
                  <b>−{fix.removes}</b>
                  <span className="block text-sm text-soft">
                    <Trans>{fix.left} left</Trans>
                  </span>
                  {!readOnly && mine.every((key) => key !== fix.id) && (
                    <Button
                      look="quiet"
                      onClick={() => take(tickedWith(drawnVisit.offers, fix.id))}
                    >
                      {t`Use this`}
                    </Button>
                  )}
                </span>
              </li>
            ))}
          </ol>
        </section>
      )}
      {drawnVisit.moves.length > 0 && <Moves moves={drawnVisit.moves} />}
      {drawnVisit.laptop.length > 0 && (
        <section aria-label={t`Laptop: alternate`}>
          <h2 className="border-b border-ink pb-1 font-semibold">{t`Using the laptop alone`}</h2>
          <p className="py-1 text-sm text-soft">
            {t`Screen and keyboard can’t both be at the right height.`}
          </p>
          {drawnVisit.laptop.map((laptop) => (
            <div key={laptop.id} className="border-b border-hair py-1.5 text-sm">
              <p>
                <b>{laptop.label}</b> <span className="figures">{laptop.raise_by}</span>
              </p>
              <p className="figures">{laptop.costs}</p>
              <p className="text-soft">{laptop.limit}</p>
            </div>
          ))}
        </section>
      )}
      {drawnVisit.zones.length > 0 && (
        <section aria-label={t`Beside the keyboard`}>
          <h2 className="border-b border-ink pb-1 font-semibold">{t`Beside the keyboard`}</h2>
          {drawnVisit.zones.map((zone) => (
            <div key={zone.id} className="border-b border-hair py-1.5 text-sm">
              <p>
                <b>{zone.label}</b>, {zone.side}
              </p>
              <p className="text-soft">{zone.why}</p>
              {zone.conflict && <Notice className="mt-1">{zone.conflict}</Notice>}
            </div>
          ))}
        </section>
      )}
      <Stacks />
    </div>
  );
}

/** A plan; others that come to the same are named beside it. */
function One({ plan, same, taken }: { plan: Plan; same: readonly Plan[]; taken: boolean }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const take = useOwnPlan();
  return (
    <section
      aria-label={plan.label}
      className={`border p-3 ${taken ? "border-2 border-ink" : "border-ink/40"} ${plan.temporary ? "border-dashed" : ""}`}
    >
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="text-lg font-semibold">
          {plan.label}
          {same.length > 0 && (
            <span className="block text-sm font-normal text-soft">
              <Trans>The same as “{same.map(({ label }) => label).join("”, “")}”.</Trans>
            </span>
          )}
        </h2>
        <p className="figures text-end">
          <b>{plan.excess}</b>
          {plan.minutes && <span className="block text-sm text-soft">{plan.minutes}</span>}
          {plan.cost && <span className="block text-sm">{plan.cost}</span>}
        </p>
      </div>
      {plan.over_budget && <p className="text-sm font-semibold">{plan.over_budget}</p>}
      {plan.shortfalls.length > 0 && (
        <div className="mt-1 border-s-4 border-ink ps-2" role="note">
          {plan.shortfalls.map((words) => (
            <p key={words} className="font-semibold">
              {words}
            </p>
          ))}
        </div>
      )}

      {plan.not_assessed.length > 0 && (
        <p className="text-sm">
          <Trans>Not known: {plan.not_assessed.join(", ")}.</Trans> <Decider />
        </p>
      )}
      {plan.added.length === 0 ? (
        <p className="text-sm text-soft">
          {plan.not_assessed.length > 0
            ? t`Not enough information yet to say whether anything is needed.`
            : t`Nothing to add.`}
        </p>
      ) : (
        <ul className="mt-1">
          {plan.added.map((added) => (
            <li
              key={`${added.id} ${added.height}`}
              className="grid grid-cols-[1fr_auto] gap-2 py-1"
            >
              <span>
                {added.label}
                <span className="block text-sm text-soft">
                  {added.does}
                  {added.height ? `, ${added.height}` : ""}
                  {added.temporary ? ", temporary" : ""}
                </span>
              </span>
              <span className="figures text-end text-sm">
                {added.price}
                {added.removes && <span className="block">−{added.removes}</span>}
                {added.mends && <span className="block">{added.mends}</span>}
              </span>
            </li>
          ))}
        </ul>
      )}
      {plan.proven && plan.added.length > 0 && (
        <p className="mt-1 text-sm text-soft">{t`No cheaper set of changes does as well.`}</p>
      )}
      {plan.left.length > 0 && (
        <p className="figures mt-1 text-sm">
          <span className="text-soft">{t`Left:`} </span>
          {plan.left
            .map(
              (left) =>
                `${within(left.label)}${left.posture === "standing" ? ", standing" : ""} ${left.excess}`,
            )
            .join("; ")}
        </p>
      )}
      <details className="text-sm">
        <summary className="flex min-h-11 items-center text-soft">{t`Settings`}</summary>
        <Lines
          of={[
            [t`Seated`, plan.seated.map((setAt) => `${setAt.label} ${setAt.value}`).join(", ")],
            [t`Standing`, plan.standing.map((setAt) => `${setAt.label} ${setAt.value}`).join(", ")],
          ]}
        />
      </details>
      {plan.cautions.map((words) => (
        <p key={words} className="border-s-4 border-ink ps-2 text-sm">
          {words}
        </p>
      ))}

      {taken ? (
        <p className="mt-2 text-sm font-semibold">{t`Current plan`}</p>
      ) : (
        !readOnly && (
          <span className="mt-2 flex gap-2">
            <Button onClick={() => queue.type(fieldId("work.plan"), plan.id, unit)}>
              {t`Use this plan`}
            </Button>
            {plan.id !== "own" && plan.added.length > 0 && (
              <Button look="quiet" onClick={() => take(plan.added.map((added) => added.key))}>
                {t`Copy to my own plan`}
              </Button>
            )}
          </span>
        )
      )}
    </section>
  );
}

function Moves({ moves }: { moves: readonly Schemas["MoveView"][] }) {
  const { unit } = useVisitFacts();
  return (
    <section aria-label={t`Between sitting and standing`}>
      <h2 className="border-b border-ink pb-1 font-semibold">{t`Between sitting and standing`}</h2>
      <ul>
        {moves.map((move) => (
          <li
            key={move.piece}
            className="grid grid-cols-[1fr_auto] gap-2 border-b border-hair py-1.5 text-sm"
          >
            <span>
              <b>{move.label}</b>
              {move.both && <span className="block text-soft">{move.both}</span>}
            </span>
            {move.seated && (
              <span className="figures text-end">
                <Trans>
                  {move.seated} to {move.standing}&nbsp;{unit}
                  <span className="block font-semibold">{move.by}</span>
                </Trans>
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The best stack for a lift from what is at hand in this room. */
function Stacks() {
  const { visit, unit, place } = useVisitFacts();
  const { go } = useNavigation();
  const [wanted, setWanted] = useState("");
  const [use, setUse] = useState<"screen" | "feet" | "keys" | "laptop">("screen");
  const stack = useStack();
  const answer: Schemas["StackView"] | string | null = stack.error?.message ?? stack.data ?? null;
  return (
    <section aria-label={t`Stack`}>
      <h2 className="border-b border-ink pb-1 font-semibold">{t`Improvise a riser`}</h2>
      <form
        className="flex flex-wrap items-center gap-2 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          stack.mutate({
            params: { path: { visit_id: visit.id } },
            body: { wanted, use, unit, place },
          });
        }}
      >
        <label className="flex items-center gap-2 text-sm">
          {t`Raise by`}
          <input
            autoComplete="off"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
            inputMode="decimal"
            className="figures min-h-11 w-[76px] rounded-[3px] border border-ink/50 bg-ground px-2 text-end"
          />
          {unit}
        </label>
        <Select
          label={t`What it supports`}
          value={use}
          onChange={(next) => setUse(next as typeof use)}
          className="text-sm"
          options={[
            { value: "screen", label: t`under the screen` },
            { value: "feet", label: t`under the feet` },
            { value: "keys", label: t`under the keyboard` },
            { value: "laptop", label: t`under the laptop` },
          ]}
        />
        <Button type="submit" disabled={!wanted.trim()}>
          {t`Find a stack`}
        </Button>
      </form>
      {typeof answer === "string" && <Notice role="alert">{answer}</Notice>}
      {answer && typeof answer === "object" && (
        <div className="text-sm" role="status">
          {answer.text ? (
            <p className="figures">
              <b>{answer.text}</b>: {answer.height}, {answer.short}
            </p>
          ) : (
            <p>
              <Trans>Nothing available is suitable. </Trans>
              <button type="button" className="underline" onClick={() => go("look", "pieces")}>
                {t`Record what is available`}
              </button>
            </p>
          )}
          <p className="text-soft">{answer.warning}</p>
        </div>
      )}
    </section>
  );
}
