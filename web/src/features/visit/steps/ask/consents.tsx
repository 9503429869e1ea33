import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Modal } from "@/shared/ui/modal";
import { Trouble } from "../../field-row";
import { useVisitState } from "../../visit-context";

/** Three consents, each on its own, dated, and withdrawn with effect. */
export function Consents() {
  const { catalogue } = useVisitState();
  return (
    <ul>
      {catalogue.consents.map((consent) => (
        <One key={consent.id} consent={consent} />
      ))}
    </ul>
  );
}

const WORDS: Record<string, string> = { yes: "Given", no: "Not given", withdrawn: "Withdrawn" };

function One({ consent }: { consent: Schemas["Consent"] }) {
  const { cells, queue, unit, readOnly } = useVisitState();
  const [asking, setAsking] = useState(false);
  const path = `ask.consent.${consent.id}`;
  const cell = cells.get(path);
  const state = cell?.typed ?? "";
  const held = cell?.held;
  const set = (value: string) => queue.type(path, value, unit, { undo: true }); // never by z
  return (
    <li className="border-b border-hair py-3" data-field={path}>
      <h3 className="font-semibold">{consent.label}</h3>
      <p className="text-sm text-soft">{consent.says}</p>
      <p className="figures mt-1.5 min-h-6" role="status">
        {state ? (
          <>
            <b>{WORDS[state]}</b>
            {held?.typed === state && (
              <span className="text-soft">
                {" "}
                on {longDate(held.changed_at)}, noted by {held.changed_by}
              </span>
            )}
          </>
        ) : (
          <span className="text-soft">Not yet asked</span>
        )}
      </p>
      {!readOnly && (
        <div className="mt-1.5 flex gap-2">
          {state !== "yes" && (
            <Button onClick={() => set("yes")} aria-label={`${consent.label}: given`}>
              {state ? "Given now" : "Given"}
            </Button>
          )}
          {state === "" && (
            <Button
              look="quiet"
              onClick={() => set("no")}
              aria-label={`${consent.label}: not given`}
            >
              Not given
            </Button>
          )}
          {state === "yes" && (
            <Button
              look="quiet"
              className="-ml-4 underline"
              onClick={() => setAsking(true)}
              aria-label={`${consent.label}: withdraw`}
            >
              Withdraw
            </Button>
          )}
        </div>
      )}
      <Trouble path={path} id={path} />
      <Modal
        open={asking}
        onOpenChange={setAsking}
        title={`Withdraw: ${consent.label.charAt(0).toLowerCase()}${consent.label.slice(1)}?`}
        says={consent.effect}
      >
        <div className="flex gap-2">
          <Button
            onClick={() => {
              set("withdrawn");
              setAsking(false);
            }}
          >
            Withdraw consent
          </Button>
          <Button look="quiet" onClick={() => setAsking(false)}>
            Cancel
          </Button>
        </div>
      </Modal>
    </li>
  );
}
