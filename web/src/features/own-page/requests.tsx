import type { Schemas } from "@/shared/api/client";
import { Choices, type SectionProps, WordsField } from "./parts";
import { useWords } from "./words";

type Asked = Schemas["Request"];

/** What a workplace was asked for, a thing at a time: done or not yet, and a note. */
export function Requests({ questions, answers, answer, view }: SectionProps) {
  const { t } = useWords();
  const typed = (id: string) => answers.typed.get(id) ?? "";
  const by = questions.find((question) => question.id === "request_by");
  return (
    <>
      {view.request?.limits.map((words) => (
        <p key={words} className="mb-3 border-2 border-ink p-3 font-semibold" lang="en" dir="ltr">
          {words}
        </p>
      ))}
      <ul>
        {view.request?.asked.map((request) => (
          <li key={request.id} className="space-y-3 border-b border-hair py-4">
            <What asked={request} />
            <Choices
              label={request.title}
              value={typed(`request.${request.id}`)}
              choices={[
                ["yes", t("request.done")],
                ["no", t("request.not_done")],
              ]}
              onChange={(to) => answer(`request.${request.id}`, to)}
            />
            <WordsField
              short
              label={t("request.note")}
              value={typed(`request_note.${request.id}`)}
              onChange={(to) => answer(`request_note.${request.id}`, to)}
            />
          </li>
        ))}
      </ul>
      {by && (
        <div className="mt-4">
          <WordsField
            short
            label={t("request.by")}
            value={typed(by.id)}
            onChange={(to) => answer(by.id, to)}
          />
        </div>
      )}
    </>
  );
}

function What({ asked }: { asked: Asked }) {
  const { t } = useWords();
  const more = [
    asked.covers,
    asked.count && t("request.count", { count: asked.count }),
    asked.by && t("request.when", { date: asked.by }),
    asked.price && t("request.price", { price: asked.price }),
  ].filter(Boolean);
  return (
    <div lang="en" dir="ltr">
      <p>
        {asked.safety && <b>{t("request.safe")} </b>}
        <b>{asked.title}</b>
        {asked.do && `. ${asked.do}`}
      </p>
      {more.length > 0 && <p className="figures text-base text-soft">{more.join(" · ")}</p>}
    </div>
  );
}
