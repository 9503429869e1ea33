import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Modal } from "@/shared/ui/modal";
import { said } from "@/shared/words/said";
import { within } from "@/shared/words/within";
import { Trouble } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCell, useCells, useQueue } from "../../state/recording";

/** Three consents on one sheet, each on its own, dated, and withdrawn with effect. */
export function Consents({ onDone }: { onDone: () => void }) {
  const { catalogue, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const open = catalogue.consents.filter(
    (consent) => !cells.get(`ask.consent.${consent.id}`)?.typed,
  );
  const all = () => {
    for (const consent of open)
      queue.type(`ask.consent.${consent.id}`, "yes", unit, { undo: true });
    onDone();
  };
  return (
    <div className="max-w-[820px]">
      {!readOnly && open.length > 1 && (
        <Button className="mb-3 w-full desk:w-auto" onClick={all}>
          <Trans>
            {open.length === catalogue.consents.length ? t`All` : t`The other`} {COUNT[open.length]}{" "}
            given
          </Trans>
        </Button>
      )}
      <ul className="border-t border-ink">
        {catalogue.consents.map((consent) => (
          <One key={consent.id} consent={consent} />
        ))}
      </ul>
    </div>
  );
}

const COUNT = ["none", "one", "two", "three", "four"];
const WORDS: Record<string, string> = said({
  yes: msg`Given`,
  no: msg`Not given`,
  withdrawn: msg`Withdrawn`,
});

function One({ consent }: { consent: Schemas["Consent"] }) {
  const { visit, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const [asking, setAsking] = useState(false);
  const path = `ask.consent.${consent.id}`;
  const cell = useCell(path);
  const state = cell?.typed ?? "";
  const held = cell?.held;
  /** What was said before: that it was given stays known when it is withdrawn. */
  const earlier = visit.consents.filter(
    (consent) => consent.path === path && held && consent.version < held.version,
  );
  const set = (value: string) => queue.type(path, value, unit, { undo: true }); // never by z
  return (
    <li
      className="gap-x-6 border-b border-hair py-3 desk:grid desk:grid-cols-[1fr_230px]"
      data-field={path}
    >
      <div>
        <h4 className="font-semibold">{consent.label}</h4>
        <p className="text-sm text-soft">{consent.says}</p>
        <p className="figures mt-1 min-h-6" role="status">
          {state ? (
            <>
              <b>{WORDS[state]}</b>
              {held?.typed === state && (
                <span className="text-soft">
                  <Trans>
                    {" "}
                    on {longDate(held.changed_at)}, noted by {held.changed_by}
                  </Trans>
                </span>
              )}
            </>
          ) : (
            <span className="text-soft">{t`Not yet asked`}</span>
          )}
        </p>
        {earlier.map((entry) => (
          <p key={entry.version} className="figures text-sm text-soft">
            <Trans>
              {WORDS[entry.typed]} on {longDate(entry.changed_at)}, noted by {entry.changed_by}
            </Trans>
          </p>
        ))}
      </div>
      {!readOnly && (
        <div className="mt-1.5 grid grid-cols-2 gap-2 self-start">
          <Button
            onClick={() => set("yes")}
            disabled={state === "yes"}
            aria-label={t`Given: ${consent.label}`}
          >
            {t`Given`}
          </Button>
          {state === "yes" ? (
            <Button
              look="quiet"
              className="px-1 underline"
              onClick={() => setAsking(true)}
              aria-label={t`Withdraw: ${consent.label}`}
            >
              {t`Withdraw…`}
            </Button>
          ) : (
            <Button
              onClick={() => set("no")}
              disabled={state !== ""}
              aria-label={t`Not given: ${consent.label}`}
            >
              {t`Not given`}
            </Button>
          )}
        </div>
      )}
      <Trouble path={path} id={path} />
      <Modal
        open={asking}
        onOpenChange={setAsking}
        title={t`Withdraw: ${within(consent.label)}?`}
        says={consent.effect}
      >
        <div className="flex gap-2">
          <Button
            onClick={() => {
              set("withdrawn");
              setAsking(false);
            }}
          >
            {t`Withdraw consent`}
          </Button>
          <Button look="quiet" onClick={() => setAsking(false)}>
            {t`Cancel`}
          </Button>
        </div>
      </Modal>
    </li>
  );
}
