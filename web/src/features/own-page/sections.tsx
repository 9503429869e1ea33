import { useState } from "react";
import { BodyMap } from "../../drawing/body-map";
import { useDoubts, useOwnMap } from "./api";
import { bare, Choices, NumberField, Row, type SectionProps, useWrong, WordsField } from "./parts";
import { useWords } from "./words";

const URGENCIES = ["urgent", "same_day", "clinician"] as const;

/** Warning signs, each with yes or no; what is there says at once what to do. */
export function Signs({ questions, answers, answer, view }: SectionProps) {
  const { t, of } = useWords();
  const there = questions.filter((question) => answers.typed.get(question.id) === "yes");
  const gravest = URGENCIES.find((urgency) => there.some((sign) => sign.urgency === urgency));
  return (
    <>
      <ul>
        {questions.map((question) => {
          const value = answers.typed.get(question.id) ?? "";
          const label = of(`ask.${question.id}`);
          return (
            <li key={question.id} className="border-b border-hair py-3">
              <div className="flex items-center justify-between gap-3">
                <p>{label}</p>
                <Choices
                  tight
                  label={label}
                  value={value}
                  choices={[
                    ["no", t("page.no")],
                    ["yes", t("page.yes")],
                  ]}
                  onChange={(to) => answer(question.id, to)}
                />
              </div>
              {value === "yes" && question.urgency && (
                <p
                  role="alert"
                  className="mt-2 border-4 border-double border-ink bg-deep p-3 font-semibold"
                >
                  {of(`signs.${question.urgency}`)}
                </p>
              )}
            </li>
          );
        })}
      </ul>
      {gravest && (
        <div className="mt-4 space-y-2">
          {view.local_wording && <p dir="auto">{view.local_wording}</p>}
          {view.contact && <p dir="auto">{t("page.call", { contact: view.contact })}</p>}
          <p>{t("signs.told")}</p>
        </div>
      )}
      <p role="status" className="mt-3 text-base text-soft">
        {questions.some((question) => !answers.typed.get(question.id)) &&
          t("signs.left", {
            count: questions.filter((question) => !answers.typed.get(question.id)).length,
          })}
      </p>
    </>
  );
}

export function Reason({ questions, answers, answer }: SectionProps) {
  const { of } = useWords();
  return questions.map((question) => (
    <WordsField
      key={question.id}
      label={of(`ask.${question.id}`)}
      value={answers.typed.get(question.id) ?? ""}
      onChange={(typed) => answer(question.id, typed)}
    />
  ));
}

const STRENGTHS = Array.from({ length: 11 }, (_, value) => `${value}`);
const OFTEN = ["now_and_then", "most_days", "every_day", "always"];

/** Where it hurts: tapped on the body, then how strong and how often. */
export function Felt({ questions, answers, answer, view }: SectionProps) {
  const { t, of } = useWords();
  const map = useOwnMap().data;
  const [chosen, setChosen] = useState<string | null>(null);
  const [opened, setOpened] = useState<readonly string[]>([]);
  const typed = (id: string) => answers.typed.get(id) ?? "";
  const strong = questions.filter((question) => question.kind === "strength");
  const shown = strong.filter((ownQuestion) => {
    const id = ownQuestion.id.slice("felt.".length);
    return typed(ownQuestion.id) !== "" || ownQuestion.was || opened.includes(id);
  });
  const choose = (id: string) => {
    setChosen(id);
    setOpened((before) => [id, ...before.filter((text) => text !== id)]);
  };
  return (
    <>
      {map && (
        <div className="flex flex-col" dir="ltr">
          <BodyMap
            map={map}
            words={{
              front: t("felt.front"),
              back: t("felt.back"),
              left: t("felt.left"),
              right: t("felt.right"),
              all: t("section.felt"),
              region: (region, strength) =>
                `${of(`region.${region.id}`, region.label)}${strength ? `, ${strength}` : ""}`,
            }}
            readOnly={false}
            chosen={chosen}
            strength={(id) => Number(typed(`felt.${id}`)) || 0}
            onChoose={choose}
            onStrength={(id, value) => answer(`felt.${id}`, `${value}`)}
          />
        </div>
      )}
      {shown.length === 0 && <p className="text-soft">{t("felt.none")}</p>}
      {shown.map((ownQuestion) => {
        const id = ownQuestion.id.slice("felt.".length);
        const name = of(`region.${id}`, id);
        return (
          <section key={id} className="border-b border-hair py-3" aria-label={name}>
            <h2 className="text-lg">{name}</h2>
            {view.kind === "after" && ownQuestion.was != null && (
              <p className="text-base text-soft">{t("felt.was", { strength: ownQuestion.was })}</p>
            )}
            <p className="mt-2 mb-1 text-base text-soft">{t("felt.how_strong")}</p>
            <Choices
              scale
              label={`${name}: ${t("felt.how_strong")}`}
              value={typed(ownQuestion.id)}
              choices={STRENGTHS.map((strength) => [strength, strength] as const)}
              onChange={(to) => answer(ownQuestion.id, to)}
            />
            {Number(typed(ownQuestion.id)) > 0 && (
              <>
                <p className="mt-3 mb-1 text-base text-soft">{t("felt.how_often")}</p>
                <Choices
                  label={`${name}: ${t("felt.how_often")}`}
                  value={typed(`felt_often.${id}`)}
                  choices={OFTEN.map((text) => [text, of(`often.${text}`)] as const)}
                  onChange={(to) => answer(`felt_often.${id}`, to)}
                />
              </>
            )}
          </section>
        );
      })}
    </>
  );
}

/** What to be careful with: ticked where it applies. */
export function Conditions({ questions, answers, answer }: SectionProps) {
  const { of } = useWords();
  return (
    <ul>
      {questions.map((question) => {
        const on = answers.typed.get(question.id) === "yes";
        return (
          <li key={question.id} className="border-b border-hair">
            <label className="flex min-h-14 items-center gap-4">
              <input
                type="checkbox"
                checked={on}
                onChange={() => answer(question.id, on ? "" : "yes")}
                className="size-6 shrink-0 accent-(--ink)"
              />
              <span>{of(`ask.${question.id}`)}</span>
            </label>
          </li>
        );
      })}
    </ul>
  );
}

/** Hours, hands and eyes. */
export function Work({ questions, answers, answer, unit }: SectionProps) {
  const { t, of } = useWords();
  const wrong = useWrong(unit);
  return (
    <>
      <h2 className="mb-2 text-lg">{t("work.hours")}</h2>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3">
        {questions
          .filter((question) => question.kind === "hours")
          .map((question) => (
            <NumberField
              key={question.id}
              label={of(`ask.${question.id}`)}
              unit="h"
              value={answers.typed.get(question.id) ?? ""}
              wrong={wrong(answers.problems.get(question.id))}
              onChange={(typed) => answer(question.id, typed)}
            />
          ))}
      </div>
      <div className="mt-4">
        {questions
          .filter((question) => question.kind === "choice")
          .map((question) => (
            <Row key={question.id} label={of(`ask.${question.id}`)}>
              <Choices
                label={of(`ask.${question.id}`)}
                value={answers.typed.get(question.id) ?? ""}
                choices={question.answers.map(
                  (answer) =>
                    [
                      answer,
                      of(`answer.${question.id}.${answer}`, of(`answer.${answer}`, answer)),
                    ] as const,
                )}
                onChange={(to) => answer(question.id, to)}
              />
            </Row>
          ))}
      </div>
    </>
  );
}

/** The place of work: what can be seen without a tape. */
export function Station({ questions, answers, answer }: SectionProps) {
  const { t, of } = useWords();
  return questions.map((question) => (
    <Row key={question.id} label={of(`ask.${question.id}`)}>
      <Choices
        label={of(`ask.${question.id}`)}
        value={answers.typed.get(question.id) ?? ""}
        choices={[
          ["yes", t("page.yes")],
          ["no", t("page.no")],
          ["unsure", t("page.unsure")],
        ]}
        onChange={(to) => answer(question.id, to)}
      />
    </Row>
  ));
}

export function Room({ questions, answers, answer }: SectionProps) {
  const { of } = useWords();
  return questions.map((question) => (
    <Row key={question.id} label={of(`ask.${question.id}`)}>
      <Choices
        label={of(`ask.${question.id}`)}
        value={answers.typed.get(question.id) ?? ""}
        choices={question.answers.map(
          (answer) => [answer, of(`answer.${question.id}.${answer}`, answer)] as const,
        )}
        onChange={(to) => answer(question.id, to)}
      />
    </Row>
  ));
}

/** Five lengths, each taken twice; what does not go together is asked about once more. */
export function Lengths({ questions, answers, answer, unit, onUnit }: SectionProps) {
  const { t, of } = useWords();
  const wrong = useWrong(unit);
  const doubts = useDoubts(unit, answers.waiting === 0).data ?? [];
  const lengths = [...new Set(questions.map((question) => question.id.split(".")[0] ?? ""))];
  return (
    <>
      <div className="mb-2 flex items-center gap-3">
        <span className="text-base text-soft">{t("page.unit")}</span>
        <Choices
          tight
          label={t("page.unit")}
          value={unit}
          choices={[
            ["cm", "cm"],
            ["in", "in"],
          ]}
          onChange={(to) => onUnit(to === "in" ? "in" : "cm")}
        />
      </div>
      {lengths.map((length, value) => {
        const doubt = doubts.find((doubt) => doubt.dimension === length);
        return (
          <section
            key={length}
            className="border-b border-hair py-4"
            aria-label={of(`length.${length}`)}
          >
            <h2 className="text-lg">
              <span className="figures">{value + 1}.</span> {of(`length.${length}`)}
            </h2>
            <p className="mb-3 text-base">{of(`length.${length}.how`)}</p>
            <div className="flex gap-4">
              {(["first", "second"] as const).map((which) => {
                const id = `${length}.${which}`;
                return (
                  <NumberField
                    key={which}
                    label={t(`lengths.${which}`)}
                    unit={unit}
                    value={bare(answers.typed.get(id) ?? "")}
                    wrong={wrong(answers.problems.get(id), length)}
                    onChange={(typed) =>
                      typed !== bare(answers.typed.get(id) ?? "") && answer(id, typed)
                    }
                  />
                );
              })}
            </div>
            {doubt && (
              <p role="status" className="mt-3 border-s-4 border-ink bg-deep px-3 py-2 text-base">
                {doubt.why === "readings"
                  ? t("lengths.apart", { apart: doubt.apart ?? "" })
                  : doubt.low
                    ? t("lengths.odd", { low: doubt.low, high: doubt.high ?? "" })
                    : t("lengths.odd_plain")}
              </p>
            )}
          </section>
        );
      })}
    </>
  );
}

/** Whether it is as it was left: by eye, and by the client's own tape where it is not. */
export function Still({ questions, answers, answer, unit, view }: SectionProps) {
  const { t, of } = useWords();
  const wrong = useWrong(unit);
  const typed = (id: string) => answers.typed.get(id) ?? "";
  return questions
    .filter((question) => !question.id.startsWith("tape."))
    .map((question) => {
      const [kind = "", key = ""] = question.id.split(".");
      const line = view.own_numbers?.numbers.find((number) => number.key === key);
      const label =
        kind === "piece"
          ? t("piece.ask", { what: question.about ?? "" })
          : t("still.ask", { what: of(`number.${key}`, line?.label) });
      const tape = questions.find((other) => other.id === `tape.${key}`);
      return (
        <Row key={question.id} label={label}>
          {line && (
            <p className="figures mb-2 text-base text-soft" dir="ltr">
              {[line.seated, line.standing].filter(Boolean).join(" · ")}
            </p>
          )}
          <Choices
            label={label}
            value={typed(question.id)}
            choices={question.answers.map(
              (answer) =>
                [answer, kind === "piece" ? of(`piece.${answer}`) : of(`page.${answer}`)] as const,
            )}
            onChange={(to) => answer(question.id, to)}
          />
          {tape && kind === "still" && typed(question.id) === "no" && (
            <div className="mt-3">
              <p className="text-base">{t("still.tape")}</p>
              <NumberField
                label={of(`tape.${key}`)}
                unit={unit}
                value={bare(typed(tape.id))}
                wrong={wrong(answers.problems.get(tape.id))}
                onChange={(to) => to !== bare(typed(tape.id)) && answer(tape.id, to)}
              />
            </div>
          )}
        </Row>
      );
    });
}

export function Habits({ questions, answers, answer }: SectionProps) {
  const { of } = useWords();
  return questions.map((question) =>
    question.kind === "words" ? (
      <div key={question.id} className="pt-4">
        <WordsField
          label={of(`ask.${question.id}`)}
          value={answers.typed.get(question.id) ?? ""}
          onChange={(typed) => answer(question.id, typed)}
        />
      </div>
    ) : (
      <Row key={question.id} label={of(`ask.${question.id}`)}>
        <Choices
          label={of(`ask.${question.id}`)}
          value={answers.typed.get(question.id) ?? ""}
          choices={question.answers.map(
            (answer) => [answer, of(`habit.${answer}`, of(`page.${answer}`))] as const,
          )}
          onChange={(to) => answer(question.id, to)}
        />
      </Row>
    ),
  );
}
