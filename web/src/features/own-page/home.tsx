import type { ReactNode } from "react";
import { Button } from "@/shared/ui/button";
import type { Round, View } from "./api";
import { TakeBack } from "./consent";
import { Care, Day, Movements, Numbers } from "./given";
import { dayIn, type Key, useWords } from "./words";

/** What a round is called and says where it is no check after a visit. */
const HEADS: Partial<Record<Round, Key>> = { before: "home.before", request: "home.request" };
const SAYS: Partial<Record<Round, Key>> = {
  before: "home.before_says",
  request: "home.request_says",
};

/** What there is for the client: what they were given, and what they are asked. */
export function Home({ view, onBegin }: { view: View; onBegin: (round: Round) => void }) {
  const { t, of } = useWords();
  const { own_numbers: given } = view;
  return (
    <>
      <h1 className="mb-4 text-3xl">{t(view.request ? "home.round.request" : "page.title")}</h1>
      {view.request && (
        <p className="mb-4">
          {t("request.for", { client: view.request.client, date: view.request.visited })}{" "}
          {view.request.follow_up && t("request.follow_up", { date: view.request.follow_up })}{" "}
          {t("request.health")}
        </p>
      )}
      <section className="mb-6 space-y-3">
        {view.rounds.map((round) => (
          <div key={round.round} className="border border-ink/60 bg-ground p-4">
            <p className="text-base text-soft">{of(`home.round.${round.round}`)}</p>
            <h2 className="text-xl">{t(HEADS[round.round] ?? "home.check")}</h2>
            {round.sent_at ? (
              <p className="mt-1">
                {t("home.sent", { date: dayIn(view.language, round.sent_at) })}
              </p>
            ) : round.open ? (
              <>
                <p className="mt-1 mb-3">{t(SAYS[round.round] ?? "home.check_says")}</p>
                <Button
                  look="next"
                  className="min-h-14 w-full text-lg"
                  onClick={() => onBegin(round.round)}
                >
                  {round.answered ? t("home.go_on") : t("home.start")}
                </Button>
              </>
            ) : (
              <p className="mt-1">
                {t("home.later", { date: dayIn(view.language, round.due_on) })}
              </p>
            )}
          </div>
        ))}
        {view.agreed && !view.request && <TakeBack practice={view.practice} />}
      </section>
      {given && (
        <>
          <Part name={t("home.numbers")}>
            <Numbers ownNumbers={given} />
          </Part>
          {given.day && (
            <Part name={t("home.day")}>
              <Day day={given.day} />
            </Part>
          )}
          {given.movements.length > 0 && (
            <Part name={t("home.movements")}>
              <Movements ownNumbers={given} />
            </Part>
          )}
          <Part name={t("home.care")}>
            <Care ownNumbers={given} contact={view.contact} />
          </Part>
        </>
      )}
    </>
  );
}

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section className="mb-8">
      <h2 className="mb-2 border-b border-ink pb-1 text-xl">{name}</h2>
      {children}
    </section>
  );
}
