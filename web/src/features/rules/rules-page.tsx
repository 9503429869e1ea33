import { t } from "@lingui/core/macro";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useHouseRules, useRuleSetChanges } from "@/shared/api/policies";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Select } from "@/shared/ui/select";
import { Skeleton } from "@/shared/ui/skeleton";
import { saidWithUndo } from "@/shared/ui/undo";

type Question = Schemas["PolicyQuestion"];
type Bundle = Schemas["RuleSetView"];
type Draft = {
  id: string | null;
  version: number;
  name: string;
  isDefault: boolean;
  choices: Record<string, string>;
};

const BLANK: Draft = { id: null, version: 1, name: "", isDefault: false, choices: {} };

/** House rules: named bundles of positions, and the one that new visits begin with. */
export function RulesPage() {
  const rules = useHouseRules();
  const me = useMe().data;
  const [draft, setDraft] = useState<Draft | null>(null);
  const head = (
    <PageHead
      title={t`Practice defaults`}
      says={t`Where methods differ, set your practice’s default; any visit can depart from it. Visits already started are not affected.`}
    />
  );
  if (!rules.data)
    return (
      <>
        {head}
        <Skeleton lines={10} label={t`Loading`} />
      </>
    );
  const { questions, bundles } = rules.data;
  const mayWrite = me?.writes ?? false;
  return (
    <div className="max-w-[1040px]">
      {head}
      <div className="grid gap-8 desk:grid-cols-[260px_minmax(0,1fr)]">
        <section aria-label={t`Rule sets`}>
          <h2 className="border-b border-ink pb-1 font-semibold">{t`Rule sets`}</h2>
          <ul>
            {bundles.map((bundle) => (
              <li key={bundle.id} className="border-b border-hair">
                <button
                  type="button"
                  aria-current={draft?.id === bundle.id}
                  onClick={() => setDraft(opened(bundle))}
                  className="min-h-12 w-full py-1 text-start hover:bg-deep aria-[current=true]:bg-deep"
                >
                  <b>{bundle.name}</b>
                  <span className="block text-sm text-soft">
                    {bundle.is_default ? t`Default for new visits. ` : ""}
                    {many(Object.keys(bundle.choices).length)}
                  </span>
                </button>
              </li>
            ))}
          </ul>
          {bundles.length === 0 && (
            <p className="py-2 text-sm text-soft">{t`None yet. Visits use the standard options.`}</p>
          )}
          {mayWrite && (
            <Button
              look={bundles.length === 0 && !draft ? "next" : "plain"}
              className="mt-3 w-full"
              onClick={() => setDraft(BLANK)}
            >
              {t`New rule set`}
            </Button>
          )}
        </section>
        {draft ? (
          <Editor
            key={draft.id ?? "new"}
            draft={draft}
            questions={questions}
            mayWrite={mayWrite}
            onDone={() => setDraft(null)}
            onChange={setDraft}
          />
        ) : (
          <Usual questions={questions} />
        )}
      </div>
    </div>
  );
}

function opened(ruleSet: Bundle): Draft {
  return {
    id: ruleSet.id,
    version: ruleSet.version,
    name: ruleSet.name,
    isDefault: ruleSet.is_default,
    choices: ruleSet.choices,
  };
}

function many(count: number): string {
  return count === 0 ? t`the standard options` : t`${count} changed`;
}

/** What holds where nobody has chosen otherwise. */
function Usual({ questions }: { questions: readonly Question[] }) {
  return (
    <section aria-label={t`Standard options`}>
      <h2 className="border-b border-ink pb-1 font-semibold">{t`Standard options`}</h2>
      <dl>
        {questions.map((question) => {
          const policyOption = question.positions.find(
            (position) => position.id === question.default,
          );
          return (
            <div
              key={question.id}
              className="grid border-b border-hair py-2 desk:grid-cols-[220px_1fr]"
            >
              <dt className="font-semibold">{question.label}</dt>
              <dd>
                {policyOption?.label}
                <span className="block text-sm text-soft">{policyOption?.why}</span>
              </dd>
            </div>
          );
        })}
      </dl>
    </section>
  );
}

function Editor({
  draft,
  questions,
  mayWrite,
  onDone,
  onChange,
}: {
  draft: Draft;
  questions: readonly Question[];
  mayWrite: boolean;
  onDone: () => void;
  onChange: (draft: Draft) => void;
}) {
  const { add, change, drop } = useRuleSetChanges();
  const [newId] = useNewId();
  const error = add.error ?? change.error ?? drop.error;
  const choose = (id: string, position: string) => {
    const choices = { ...draft.choices, [id]: position };
    if (!position) delete choices[id];
    onChange({ ...draft, choices });
  };
  const body = { name: draft.name, choices: draft.choices, is_default: draft.isDefault };
  const remove = () => {
    const id = draft.id ?? "";
    drop.mutate(
      { params: { path: { bundle_id: id } } },
      {
        onSuccess: () => {
          saidWithUndo(t`“${draft.name}” was deleted.`, () =>
            add.mutateAsync({ body: { id, ...body } }),
          );
          onDone();
        },
      },
    );
  };
  const keep = () => {
    if (draft.id === null) add.mutate({ body: { id: newId, ...body } }, { onSuccess: onDone });
    else
      change.mutate(
        { params: { path: { bundle_id: draft.id } }, body: { version: draft.version, ...body } },
        { onSuccess: onDone },
      );
  };
  return (
    <form
      aria-label={t`Rule set`}
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      <LabelledInput
        label={t`Name`}
        value={draft.name}
        readOnly={!mayWrite}
        onChange={(event) => onChange({ ...draft, name: event.target.value })}
      />
      <CheckBox
        checked={draft.isDefault}
        disabled={!mayWrite}
        onChange={(isDefault) => onChange({ ...draft, isDefault })}
      >
        {t`Use for new visits`}
      </CheckBox>
      <div>
        {questions.map((question) => (
          <div key={question.id} className="border-b border-hair py-2">
            <Pick
              question={question}
              at={draft.choices[question.id]}
              onChange={(text) => choose(question.id, text)}
              disabled={!mayWrite}
            />
            {question.standing && (
              <Pick
                question={question}
                standing
                at={draft.choices[`standing.${question.id}`]}
                onChange={(text) => choose(`standing.${question.id}`, text)}
                disabled={!mayWrite}
              />
            )}
          </div>
        ))}
      </div>
      {error && <Notice role="alert">{error.message}</Notice>}
      <div className="sticky bottom-0 flex gap-2 bg-ground py-3">
        {mayWrite && (
          <Button look="next" type="submit" disabled={!draft.name.trim()}>
            {t`Save`}
          </Button>
        )}
        <Button onClick={onDone}>{t`Close`}</Button>
        {mayWrite && draft.id !== null && (
          <Button look="quiet" className="ms-auto" onClick={remove}>
            {t`Delete`}
          </Button>
        )}
      </div>
    </form>
  );
}

function Pick({
  question,
  at,
  standing = false,
  disabled,
  onChange,
}: {
  question: Question;
  at: string | undefined;
  standing?: boolean;
  disabled: boolean;
  onChange: (position: string) => void;
}) {
  const usual = question.positions.find((position) => position.id === question.default);
  const chosen = question.positions.find((position) => position.id === at);
  const name = standing ? t`${question.label}, standing` : question.label;
  return (
    <div className="grid items-center gap-x-3 gap-y-1 py-1 desk:grid-cols-[220px_1fr]">
      <span className={standing ? "ps-4 text-sm text-soft" : "font-semibold"}>
        {standing ? t`standing alone` : question.label}
      </span>
      <span>
        <Select
          label={name}
          value={at ?? ""}
          disabled={disabled}
          onChange={onChange}
          className="w-full"
          options={[
            { value: "", label: standing ? t`as seated` : t`standard: ${usual?.label ?? ""}` },
            ...question.positions.map((position) => ({
              value: position.id,
              label: position.label,
            })),
          ]}
        />
        {chosen && <span className="text-sm text-soft">{chosen.why}</span>}
      </span>
    </div>
  );
}
