import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";
import { Select } from "@/shared/ui/select";
import { within } from "@/shared/words/within";
import { DateEntry } from "../../date-entry";
import { Trouble } from "../../field-row";
import { memberField, useVisitFacts } from "../../state/facts";
import { useCell, useQueue } from "../../state/recording";
import type { Action, Row } from "./steps";

/** The field of an answer to a step, and its path. */
function useAnswer(action: Action, name: string) {
  const { catalogue } = useVisitFacts();
  const path = `set.action.${action.field}.${name}`;
  const cell = useCell(path);
  const field = memberField(catalogue, `set.action.*.${name}`, action.field);
  return { path, typed: cell?.typed ?? "", choices: choicesOf(field) };
}

function choicesOf(field: Schemas["FieldView"] | undefined) {
  return (field?.choices ?? []).map(([value, label]) => ({ value, label }));
}

/** What the client can feel: cables and a lamp are not among it. */
const FELT: ReadonlySet<Action["kind"]> = new Set(["set", "add", "technique", "habit"]);

/** The test on the person with its answer, and the client's own word; what follows from either. */
export function TestAndWord({
  action,
  row,
  onGood,
}: {
  action: Action;
  row: Row | undefined;
  /** Passed and comfortable, and the number is there: on to the next. */
  onGood: () => void;
}) {
  const { check } = action;
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const test = useAnswer(action, "test");
  const word = useAnswer(action, "word");
  const step = `set.${action.step}`;
  /** It hurts: the number at which it did is kept apart, and is no setting any more. */
  const stop = () =>
    queue.typeAll(
      [
        [word.path, "hurts"],
        ...(row && row.at.left !== null
          ? ([
              [`set.action.${action.field}.stopped_at`, row.at.left.toFixed(1)],
              [step, ""],
              [`${step}.aimed`, ""],
              [`${step}.by`, ""],
            ] as const)
          : []),
      ],
      unit,
    );
  const number = useCell(step);
  const aimed = useCell(`${step}.aimed`);
  const both = () => {
    queue.typeAll(
      [
        [test.path, "passes"],
        [word.path, "good"],
      ],
      unit,
    );
    if (row && (number?.typed || aimed?.typed)) onGood();
  };
  const ask = (answer: typeof test, label: string) => (
    <div className="flex flex-wrap items-center justify-between gap-2">
      <span className="text-sm">{label}</span>
      <Segments
        compact
        label={label}
        value={answer.typed}
        choices={answer.choices}
        disabled={readOnly}
        onChange={(value) => (value === "hurts" ? stop() : queue.type(answer.path, value, unit))}
      />
    </div>
  );
  if (!check && !FELT.has(action.kind) && word.typed === "") return null;
  return (
    <div className="mt-3 space-y-2 border-t border-hair pt-2">
      {check && (
        <p className="text-sm">
          <span className="font-semibold">{t`Check with the client.`}</span> {check}
        </p>
      )}
      {check && FELT.has(action.kind) && !readOnly && test.typed === "" && word.typed === "" && (
        <Button className="w-full" onClick={both}>
          {t`Passes, and comfortable`}
        </Button>
      )}
      {check && ask(test, t`Test`)}
      {(FELT.has(action.kind) || word.typed !== "") && ask(word, t`The client says`)}
      <Trouble path={word.path} id={`${action.field}-word`} />
      {word.typed === "hurts" && <Hurts action={action} />}
      {(test.typed === "nearly" || test.typed === "fails" || word.typed === "not_yet") && (
        <Nudges action={action} />
      )}
    </div>
  );
}

/** Where it hurts: the step stops there. */
function Hurts({ action }: { action: Action }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const at = useAnswer(action, "hurts_at");
  return (
    <Notice role="alert">
      <p>
        {t`Stop here. Pain overrides the number: put it back where it was. The other targets are worked out again.`}
      </p>
      <p className="mt-2 font-semibold" id={`${action.field}-where`}>
        {t`Where does it hurt?`}
      </p>
      <Select
        label={t`Where does it hurt?`}
        value={at.typed}
        options={at.choices}
        disabled={readOnly}
        className="mt-2 w-full"
        onChange={(value) => queue.type(at.path, value, unit)}
      />
      <Trouble path={at.path} id={`${action.field}-at`} />
    </Notice>
  );
}

/** Small changes, each with what was seen: one tap puts the number and its reason. */
function Nudges({ action }: { action: Action }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  if (readOnly || action.nudges.length === 0) return null;
  const put = (nudge: Action["nudges"][number]) =>
    queue.typeAll(
      [
        [`work.${action.step}`, nudge.typed],
        [`work.${action.step}.why`, nudge.reason],
        [`set.action.${action.field}.test`, ""],
      ],
      unit,
    );
  return (
    <div>
      <p className="text-sm">{t`What do you see?`}</p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {action.nudges.map((nudge) => (
          <Button key={nudge.reason} onClick={() => put(nudge)} className="py-1 text-sm">
            <span className="text-start">
              {nudge.reason}
              <span className="block text-soft">{nudge.by}</span>
            </span>
          </Button>
        ))}
      </div>
    </div>
  );
}

const UNWANTED = "unwanted";

/** Why a step is not done today, who sees to it, and by when. */
export function NotToday({ action }: { action: Action }) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const because = useAnswer(action, "because");
  const owner = useAnswer(action, "owner");
  const due = `set.action.${action.field}.due`;
  return (
    <details className="mt-2" open={because.typed !== "" || undefined}>
      <summary className="flex min-h-11 items-center text-sm underline">
        {because.typed === UNWANTED
          ? t`Declined`
          : action.because
            ? t`Not today: ${within(action.because)}`
            : t`Not today…`}
      </summary>
      <div className="space-y-2">
        <Segments
          label={t`Not today because`}
          value={because.typed}
          choices={because.choices}
          disabled={readOnly}
          onChange={(value) => queue.type(because.path, value, unit)}
        />
        {because.typed && (
          <>
            {because.typed !== UNWANTED && (
              <>
                <div className="flex flex-wrap items-center gap-2">
                  <span className="text-sm">{t`Responsible`}</span>
                  <Segments
                    compact
                    label={t`Responsible`}
                    value={owner.typed}
                    choices={owner.choices}
                    disabled={readOnly}
                    onChange={(value) => queue.type(owner.path, value, unit)}
                  />
                </div>
                <label className="block text-sm" htmlFor={`${action.field}-due`}>
                  {t`By when`}
                </label>
                <DateEntry path={due} id={`${action.field}-due`} ahead />
              </>
            )}
            {!readOnly && (
              <Button
                look="quiet"
                onClick={() =>
                  queue.typeAll(
                    [because.path, owner.path, due].map((path) => [path, ""] as const),
                    unit,
                  )
                }
              >
                {because.typed === UNWANTED ? t`Undo “declined”` : t`Undo “not today”`}
              </Button>
            )}
          </>
        )}
      </div>
    </details>
  );
}
