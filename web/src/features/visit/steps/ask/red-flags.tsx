import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { FileText } from "lucide-react";
import { useMe } from "@/shared/api/account";
import { fieldId } from "@/shared/api/field-ids";
import { dayOf, longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { FieldRow } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

const ANSWERED = /^ask\.sign\.[a-z_]+$/;

/** Warning signs, by what they ask for: each has its answer, and one that is there what was done, by whom. */
export function RedFlags({ onDone }: { onDone: () => void }) {
  const { fields, catalogue, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const signs = fields.filter((field) => ANSWERED.test(field.id));
  const other = fields.find((field) => field.id === fieldId("ask.warning"));
  const said = cells.get(fieldId("ask.warning"))?.typed ?? "";
  const open = [...signs, ...(other ? [other] : [])].filter((sign) => !cells.get(sign.id)?.typed);
  const none = () =>
    queue.typeAll(
      open.map(({ id }) => [id, id === other?.id ? "none" : "no"] as const),
      unit,
    );
  const untouched = open.length === signs.length + 1;
  return (
    <div>
      <p className="mb-2 text-sm">
        {t`Ask about each. Answers are recorded with or without consent to notes.`}
      </p>
      {!readOnly && open.length > 0 && (
        <Button
          className="mb-3 w-full desk:w-auto"
          onClick={() => {
            none();
            if (untouched) onDone();
          }}
        >
          {untouched
            ? t`All asked: none present`
            : plural(open.length, {
                one: "The last one asked: not present",
                other: "The other # asked: not present",
              })}
        </Button>
      )}
      <div className="desk:columns-2 desk:gap-x-10">
        {Object.entries(catalogue.urgencies).map(([urgency, words]) => (
          <section key={urgency} className="mb-4 break-inside-avoid-column" aria-label={words}>
            <h4 className="border-b-2 border-ink font-semibold">{words}</h4>
            {signs
              .filter(({ id }) =>
                catalogue.red_flags.some(
                  (sign) => id === `ask.sign.${sign.id}` && sign.urgency === urgency,
                ),
              )
              .map((sign) => (
                <FlagAnswer
                  key={sign.id}
                  path={sign.id}
                  there={cells.get(sign.id)?.typed === "yes"}
                />
              ))}
          </section>
        ))}
        <section aria-label={t`Any other sign`} className="break-inside-avoid-column">
          <h4 className="border-b-2 border-ink font-semibold">{t`Anything else that concerns you`}</h4>
          {other && (
            <FlagAnswer
              path={other.id}
              there={said !== "" && said !== "none"}
              follow="ask.warning_"
            />
          )}
        </section>
      </div>
    </div>
  );
}

/** The flag's name in the address of its letter. */
const nameOf = (path: string) => (path === "ask.warning" ? "other" : path.split(".").at(-1));

/** One sign with its answer; where it is there, what was done and by whom. */
function FlagAnswer({
  path,
  there,
  follow = `${path}.`,
}: {
  path: string;
  there: boolean;
  follow?: string;
}) {
  const { visit, fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const me = useMe().data;
  const field = (id: string) => fields.find((field) => field.id === id);
  const sign = field(path);
  const [to, done, by, letter, callBack, called, answer, answeredBy, answeredOn, standing] = [
    "to",
    "done",
    "by",
    "letter",
    "call_back",
    "called",
    "answer",
    "answered_by",
    "answered_on",
    "standing",
  ].map((part) => field(`${follow}${part}`));
  if (!sign) return null;
  const byMe = me ? `${me.name}, ${longDate(dayOf(new Date()))}` : "";
  const waits = by && !cells.get(by.id)?.typed && !readOnly;
  return (
    <div className={`border-b border-hair py-1 ${there ? "border-s-4 border-s-ink bg-deep" : ""}`}>
      <div className={there ? "px-3 pt-1" : ""}>
        <FieldRow field={sign} />
      </div>
      {there && to && done && by && (
        <div className="space-y-2 px-3 pt-2 pb-2">
          <FieldRow field={to} />
          <FieldRow field={done} />
          <FieldRow field={by} />
          {waits && (
            <Button onClick={() => queue.type(by.id, byMe, unit)}>
              <Trans>By me, today: {me?.name}</Trans>
            </Button>
          )}
          {callBack && <FieldRow field={callBack} />}
          {called && callBack && cells.get(callBack.id)?.typed && <FieldRow field={called} />}
          <div className="flex flex-wrap items-center justify-between gap-2">
            <a
              href={`/api/visits/${visit.id}/letters/${nameOf(path)}.pdf?unit=${unit}`}
              target="_blank"
              rel="noreferrer"
              className="flex min-h-11 items-center gap-2 text-sm underline"
            >
              <FileText size={16} aria-hidden="true" /> {t`Referral letter (PDF)`}
            </a>
            {letter && <FieldRow field={letter} />}
          </div>
          {answer && answeredBy && answeredOn && (
            <div className="border-t border-hair pt-2">
              <p className="text-sm text-soft">
                {t`Movements and settings for this body part wait for a clinician’s answer.`}
              </p>
              <FieldRow field={answer} />
              {cells.get(answer.id)?.typed && (
                <>
                  {standing && cells.get(answer.id)?.typed === "limited" && (
                    <FieldRow field={standing} />
                  )}
                  <FieldRow field={answeredBy} />
                  <FieldRow field={answeredOn} />
                </>
              )}
            </div>
          )}
        </div>
      )}
    </div>
  );
}
