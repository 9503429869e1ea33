import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useHouseRules, useRuleSetChanges } from "@/shared/api/policies";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { Fold, Folds } from "@/shared/ui/folds";
import { Select } from "@/shared/ui/select";
import { Skeleton } from "@/shared/ui/skeleton";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { useBench } from "../../what-if/bench";
import { SettingChanges } from "./moved";

type Question = Schemas["PolicyQuestion"];
type Bundle = Schemas["RuleSetView"];

const PATH = "work.policy.";
const STANDING = "standing.";
const HOUSE = "house";
const VISIT = "visit";

/** Where practitioners disagree: what this visit goes by, and what another choice would change. */
export function Choices() {
  const rules = useHouseRules();
  const [open, setOpen] = useState<string | null>(null);
  if (!rules.data) return <Skeleton lines={8} label={t`Loading`} />;
  const { questions, bundles } = rules.data;
  return (
    <div className="flex flex-col gap-4 pb-6">
      <p className="text-sm text-soft">
        {t`Options chosen here replace the practice default for this visit. Open one to see what each option would change.`}
      </p>
      <Bundles bundles={bundles} questions={questions} />
      <Folds open={open} onOpen={setOpen}>
        <ul>
          {questions.map((question) => (
            <One key={question.id} question={question} open={open === question.id} />
          ))}
        </ul>
      </Folds>
    </div>
  );
}

/** Where the position taken comes from. */
function From({ question, standing }: { question: Question; standing?: boolean }) {
  const cells = useCells();
  const drawnVisit = useWorkup();
  const id = standing ? `${STANDING}${question.id}` : question.id;
  if (cells.get(`${PATH}${id}`)?.typed) return t`this visit`;
  return drawnVisit?.bundle[id] ? t`the practice` : standing ? t`as seated` : "standard";
}

function One({ question, open }: { question: Question; open: boolean }) {
  const cells = useCells();
  const drawnVisit = useWorkup();
  const chosen = (id: string) => cells.get(`${PATH}${id}`)?.typed || drawnVisit?.bundle[id];
  const text = chosen(question.id) ?? question.default;
  const alone = chosen(`${STANDING}${question.id}`);
  const position = question.positions.find((position) => position.id === text);
  return (
    <Fold
      id={question.id}
      open={open}
      buttonClass="grid grid-cols-[1fr_auto] gap-x-2"
      summary={
        <>
          <span>
            <b>{question.label}</b>
            <span className="block text-sm text-soft">
              {position?.label}
              {alone && alone !== text
                ? t`; standing: ${question.positions.find((position) => position.id === alone)?.label ?? ""}`
                : ""}
            </span>
          </span>
          <span className="text-sm text-soft">
            <From question={question} />
          </span>
        </>
      }
    >
      <Positions question={question} at={text} />
      {question.standing && (
        <Positions question={question} at={alone ?? text} standing inherited={!alone} />
      )}
    </Fold>
  );
}

/** The positions of a question, each with what it would move on this client. */
function Positions({
  question,
  at,
  standing = false,
  inherited = false,
}: {
  question: Question;
  at: string;
  standing?: boolean;
  inherited?: boolean;
}) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const bench = useBench();
  const path = `${PATH}${standing ? STANDING : ""}${question.id}`;
  const [moved, setMoved] = useState<Record<string, Schemas["SettingChange"][]>>({});
  const revision = drawnVisit?.revision;
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked again only where the visit has moved on
  useEffect(() => {
    let gone = false;
    const others = question.positions.filter((position) => position.id !== at);
    void (async () => {
      for (const other of others) {
        const tried = await bench.ask({ [path]: other.id }).catch(() => null);
        if (gone || !tried) return;
        setMoved((last) => ({ ...last, [other.id]: tried.setting_changes }));
      }
    })();
    return () => {
      gone = true;
    };
  }, [question.id, path, at, unit, revision]);
  return (
    <fieldset className="mb-3 ms-1 border-s border-ink/40 ps-3">
      <legend className="text-sm font-semibold">
        {standing ? t`Standing only` : question.standing ? t`Both postures` : t`Options`}
        {inherited && <span className="font-normal text-soft"> {t`as seated`}</span>}
      </legend>
      {question.positions.map((position) => (
        <div key={position.id} className="border-b border-hair py-2 last:border-0">
          <label className="flex min-h-11 items-start gap-2">
            <input
              type="radio"
              name={path}
              checked={position.id === at && !inherited}
              disabled={readOnly}
              onChange={() => queue.type(path, position.id, unit)}
              className="mt-1 size-5 accent-(--ink)"
            />
            <span>
              {position.label}
              {position.id === question.default && (
                <span className="text-sm text-soft"> {t`standard`}</span>
              )}
              <span className="block text-sm text-soft">{position.why}</span>
            </span>
          </label>
          {position.id !== at && (
            <div className="ps-7">
              {moved[position.id] ? (
                <SettingChanges
                  of={moved[position.id] ?? []}
                  none={t`No effect for this client.`}
                />
              ) : (
                <p className="text-sm text-soft">…</p>
              )}
            </div>
          )}
        </div>
      ))}
      {cells.get(path)?.typed && !readOnly && (
        <Button look="quiet" className="-ms-4 underline" onClick={() => queue.type(path, "", unit)}>
          <Trans>Back to {standing ? t`as seated` : t`the practice’s`}</Trans>
        </Button>
      )}
    </fieldset>
  );
}

/** Take a rule set over, keep this visit's choices as one, or lay two over each other. */
function Bundles({
  bundles,
  questions,
}: {
  bundles: readonly Bundle[];
  questions: readonly Question[];
}) {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const drawnVisit = useWorkup();
  const { setPart } = useNavigation();
  const bench = useBench();
  const { add } = useRuleSetChanges();
  const [name, setName] = useState<string | null>(null);
  const [first, setFirst] = useState(VISIT);
  const [second, setSecond] = useState(bundles[0]?.id ?? HOUSE);
  const mine = drawnVisit?.bundle ?? {};
  const defaults = Object.fromEntries(questions.map((question) => [question.id, question.default]));
  const choices = (id: string): Record<string, string> =>
    id === VISIT
      ? mine
      : id === HOUSE
        ? {}
        : (bundles.find((bundle) => bundle.id === id)?.choices ?? {});
  /** A bundle as tries: what it doesn't name is the usual, alone standing taken back. */
  const tries = (id: string): Record<string, string> => {
    const whole = { ...defaults, ...choices(id) };
    return Object.fromEntries(Object.entries(whole).map(([at, to]) => [`${PATH}${at}`, to]));
  };
  const names: [string, string][] = [
    [VISIT, t`This visit`],
    [HOUSE, t`Standard`],
    ...bundles.map((bundle): [string, string] => [bundle.id, bundle.name]),
  ];
  const named = (id: string) => names.find(([at]) => at === id)?.[1] ?? "";
  const [id, renew] = useNewId();
  const take = (id: string) => {
    const wanted = tries(id);
    const other = Object.entries(wanted).filter(([path, position]) => {
      const text = path.slice(PATH.length);
      return (mine[text] ?? defaults[text]) !== position;
    });
    queue.typeAll(other, unit);
  };
  const pick = (label: string, value: string, onChange: (id: string) => void) => (
    <Select
      label={label}
      value={value}
      onChange={onChange}
      className="flex-1 text-sm"
      options={names.map(([value, label]) => ({ value, label }))}
    />
  );
  return (
    <section aria-label={t`Rule sets`} className="space-y-2 border border-ink/40 p-3">
      <h2 className="font-semibold">{t`Compare two rule sets`}</h2>
      <div className="flex items-center gap-2">
        {pick(t`First rule set`, first, setFirst)}
        <span className="text-sm text-soft">{t`and`}</span>
        {pick(t`Second rule set`, second, setSecond)}
      </div>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={first === second}
          onClick={() => {
            bench.compare(
              { label: named(first), tries: tries(first), found: false },
              { label: named(second), tries: tries(second), found: false },
            );
            setPart("try");
          }}
        >
          {t`Compare for this client`}
        </Button>
        {!readOnly && second !== VISIT && (
          <Button onClick={() => take(second)}>
            <Trans>Use “{named(second)}”</Trans>
          </Button>
        )}
        {!readOnly && name === null && (
          <Button look="quiet" onClick={() => setName("")}>
            {t`Save this visit’s options as a rule set`}
          </Button>
        )}
      </div>
      {name !== null && (
        <form
          className="flex gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            add.mutate(
              { body: { id, name, choices: mine, is_default: false } },
              {
                onSuccess: () => {
                  setName(null);
                  renew();
                },
              },
            );
          }}
        >
          <input
            autoComplete="off"
            aria-label={t`Name of the rule set`}
            value={name}
            // biome-ignore lint/a11y/noAutofocus: it has just been asked for
            autoFocus
            onChange={(event) => setName(event.target.value)}
            className="min-h-11 min-w-0 flex-1 rounded-[3px] border border-ink/50 bg-ground px-3"
          />
          <Button type="submit" disabled={!name.trim() || add.isPending}>
            {t`Save`}
          </Button>
        </form>
      )}
      <Failure of={add} />
    </section>
  );
}
