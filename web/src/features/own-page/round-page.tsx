import { useMemo, useState } from "react";
import { Button } from "@/shared/ui/button";
import { Whose } from "@/shared/ui/whose";
import { useKeeper } from "./answers";
import { type Question, type Round, useOwnDeeds, useSheet, type View } from "./api";
import { Photos } from "./photos";
import { Requests } from "./requests";
import {
  Conditions,
  Felt,
  Habits,
  Lengths,
  Reason,
  Room,
  Signs,
  Station,
  Still,
  Work,
} from "./sections";
import { type Key, useWords } from "./words";

const PARTS = {
  signs: Signs,
  reason: Reason,
  felt: Felt,
  conditions: Conditions,
  work: Work,
  station: Station,
  room: Room,
  lengths: Lengths,
  still: Still,
  habits: Habits,
  requests: Requests,
} as const;
type Part = keyof typeof PARTS;

/** One round of questions, a screen each. */
export function RoundPage({
  round,
  view,
  onDone,
}: {
  round: Round;
  view: View;
  onDone: () => void;
}) {
  const sheet = useSheet(round);
  const { t } = useWords();
  if (sheet.isError && !sheet.data) return <p role="alert">{t("door.trouble")}</p>;
  if (!sheet.data) return <p aria-busy="true" />;
  return <Asked round={round} view={view} questions={sheet.data.questions} onDone={onDone} />;
}

function Asked({
  round,
  view,
  questions,
  onDone,
}: {
  round: Round;
  view: View;
  questions: readonly Question[];
  onDone: () => void;
}) {
  const { t } = useWords();
  const [unit, setUnit] = useState<"cm" | "in">(view.unit === "in" ? "in" : "cm");
  const [answers, keeper] = useKeeper(round, questions, unit);
  const seated = answers.typed.get(WHEELCHAIR) === "yes";
  /** Nobody in a wheelchair is asked about getting up, standing or the chair. */
  const asked = useMemo(
    () => questions.filter((question) => !(seated && question.walks)),
    [questions, seated],
  );
  const steps = useMemo<(Part | "photos" | "send")[]>(
    () => [
      ...new Set(asked.map((ownQuestion) => ownQuestion.section)),
      ...(round === "before" ? (["photos"] as const) : []),
      "send",
    ],
    [asked, round],
  );
  const [at, setAt] = useState(() => firstOpen(steps, asked, answers.typed));
  const step = steps[at] ?? "send";
  const go = (to: number) => {
    (document.activeElement as HTMLElement | null)?.blur();
    setAt(to);
    scrollTo(0, 0);
    requestAnimationFrame(() => document.getElementById("own-step")?.focus());
  };
  const Section = step === "photos" || step === "send" ? null : PARTS[step];
  return (
    <>
      <div className="mb-3 flex items-center gap-3 text-base text-soft">
        <span className="figures">{t("page.step", { at: at + 1, all: steps.length })}</span>
        <progress
          value={at + 1}
          max={steps.length}
          aria-hidden="true"
          className="h-1.5 flex-1 appearance-none [&::-moz-progress-bar]:bg-ink [&::-webkit-progress-bar]:bg-hair [&::-webkit-progress-value]:bg-ink"
        />
        <span role="status">
          {answers.away
            ? t("page.unsaved")
            : answers.waiting
              ? t("page.saving")
              : answers.contested.size > 0
                ? t("twice.open")
                : answers.typed.size > 0 && t("page.saved")}
        </span>
      </div>
      <h1 id="own-step" tabIndex={-1} className="text-2xl outline-none">
        {t(`section.${step}` as Key)}
      </h1>
      <p className="mb-5 text-soft">{t(`section.${step}.says` as Key)}</p>
      <div className="flex-1">
        {questions
          .filter((question) => answers.contested.has(question.id))
          .map((question) => (
            <Twice
              key={question.id}
              question={question}
              mine={answers.typed.get(question.id) ?? ""}
              theirs={answers.contested.get(question.id)?.theirs ?? ""}
              onChoose={(typed) => keeper.settle(question.id, typed)}
            />
          ))}
        {Section && (
          <Section
            questions={asked.filter((ownQuestion) => ownQuestion.section === step)}
            answers={answers}
            answer={(id, typed) => keeper.answer(id, typed)}
            unit={unit}
            onUnit={setUnit}
            view={view}
          />
        )}
        {step === "photos" && <Photos view={view} />}
        {step === "send" && (
          <Send
            round={round}
            view={view}
            open={
              questions.filter((question) => counts(question) && !answers.typed.get(question.id))
                .length
            }
            waiting={answers.waiting > 0 || answers.contested.size > 0}
            onDone={onDone}
          />
        )}
      </div>
      <div className="mt-8 flex gap-3">
        <Button className="min-h-14 flex-1 text-lg" onClick={() => (at ? go(at - 1) : onDone())}>
          {t("page.back")}
        </Button>
        {step !== "send" && (
          <Button look="next" className="min-h-14 flex-1 text-lg" onClick={() => go(at + 1)}>
            {t("page.next")}
          </Button>
        )}
      </div>
    </>
  );
}

/** One question, answered differently on two devices: the client says which answer stays. */
function Twice({
  question,
  mine,
  theirs,
  onChoose,
}: {
  question: Question;
  mine: string;
  theirs: string;
  onChoose: (typed: string) => void;
}) {
  const { t, of } = useWords();
  const [head = "", id = ""] = question.id.split(".");
  const title = of(
    `ask.${question.id}`,
    of(
      head.startsWith("felt") ? `region.${id}` : `length.${head}`,
      t(`section.${question.section}`),
    ),
  );
  const say = (typed: string) =>
    typed === ""
      ? t("twice.nothing")
      : question.kind === "words"
        ? typed
        : of(`answer.${question.id}.${typed}`, of(`answer.${typed}`, of(`page.${typed}`, typed)));
  return (
    <section
      role="alert"
      aria-label={title}
      className="mb-5 space-y-3 border-s-4 border-ink bg-deep px-4 py-3"
    >
      <p className="font-semibold">{title}</p>
      <p>{t("twice.says")}</p>
      {(
        [
          ["twice.here", mine],
          ["twice.there", theirs],
        ] as const
      ).map(([where, typed]) => (
        <div key={where}>
          <p className="text-base text-soft">{t(where)}</p>
          <p dir="auto" className="mb-2 whitespace-pre-wrap">
            {say(typed)}
          </p>
          <Button className="min-h-12" onClick={() => onChoose(typed)}>
            {t("twice.keep")}
            <Whose>{t(where)}</Whose>
          </Button>
        </div>
      ))}
      {question.kind === "words" && mine && theirs && (
        <Button className="min-h-12" onClick={() => onChoose(`${theirs}\n${mine}`)}>
          {t("twice.both")}
        </Button>
      )}
    </section>
  );
}

/** The question whose yes leaves some others out. */
const WHEELCHAIR = "care.wheelchair";

/** The first step of which nothing was answered: who comes back goes on from there. */
function firstOpen(
  steps: readonly string[],
  questions: readonly Question[],
  typed: ReadonlyMap<string, string>,
): number {
  const isOpen = ({ id }: Question) => !typed.get(id);
  const begun = !questions.every(isOpen);
  const open = steps.findIndex((step) => {
    const mine = questions.filter((question) => question.section === step);
    return mine.length > 0 && mine.every(isOpen);
  });
  return begun && open > 0 ? open : 0;
}

/** Whether a question without an answer is missed: where nothing hurts, and what nobody has, is not. */
function counts(question: Question): boolean {
  return ["signs", "station", "room", "still", "habits"].includes(question.section)
    ? !question.id.startsWith("tape.") && question.id !== "word"
    : false;
}

function Send({
  round,
  view,
  open,
  waiting,
  onDone,
}: {
  round: Round;
  view: View;
  open: number;
  waiting: boolean;
  onDone: () => void;
}) {
  const { t } = useWords();
  const { send } = useOwnDeeds();
  if (send.isSuccess)
    return (
      <div role="status" className="space-y-3">
        <p className="text-xl">{t("send.done")}</p>
        <p>{t(view.request ? "send.after_request" : "send.after", { practice: view.practice })}</p>
        <Button look="next" className="min-h-14 w-full text-lg" onClick={onDone}>
          {t("page.title")}
        </Button>
      </div>
    );
  return (
    <div className="space-y-4">
      {open > 0 && <p>{t("send.open", { count: open })}</p>}
      <p>{t(view.request ? "send.after_request" : "send.after", { practice: view.practice })}</p>
      {send.error && (
        <p role="alert" className="border-s-4 border-ink bg-deep px-3 py-2">
          {t("door.trouble")}
        </p>
      )}
      <Button
        look="next"
        className="min-h-14 w-full text-lg"
        disabled={waiting || send.isPending}
        onClick={() => send.mutate({ params: { path: { round } } })}
      >
        {t("send.send")}
      </Button>
    </div>
  );
}
