import { useEffect, useMemo, useState } from "react";
import { Refused } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import english from "../../../../src/gentle_plumb/services/own_page/en.json";
import { type Round, useOwnDeeds, useOwnPage, type View } from "./api";
import { Consent } from "./consent";
import { Door } from "./door";
import { Home } from "./home";
import { keepFiles, roundThatWaits } from "./keep-files";
import { RoundPage } from "./round-page";
import { dayIn, useWords, WordsContext, wordsOf } from "./words";

const LANGUAGE = "plumb:own:language";

/** The end of the link: behind the #, so that it is in no server's log. */
function tokenOf(): string {
  return decodeURIComponent(location.hash.slice(1));
}

/** A client's own page: made for a phone, opened by a link and its code. */
export function OwnPage() {
  const [language, setLanguage] = useState(() => sessionStorage.getItem(LANGUAGE));
  const page = useOwnPage(language);
  const [token, setToken] = useState(tokenOf);
  useEffect(() => {
    const follow = () => setToken(tokenOf());
    addEventListener("hashchange", follow);
    return () => removeEventListener("hashchange", follow);
  }, []);
  const open = !!page.data;
  useEffect(() => {
    if (open) void keepFiles().catch(() => undefined);
  }, [open]);
  const words = useMemo(() => wordsOf(page.data?.messages ?? english.messages), [page.data]);
  const shut = page.error instanceof Refused && page.error.problem.status === 401;
  if (shut) return <Door token={token} />;
  if (page.isError && !page.data)
    return (
      <main id="main" className="mx-auto max-w-md p-6 text-lg">
        <h1 className="mb-4 text-3xl">{words.t("door.title")}</h1>
        <div role="alert" className="mb-4 space-y-4">
          <p>{words.t("door.trouble")}</p>
          {roundThatWaits() && <p>{words.t("door.waits")}</p>}
        </div>
        <Button disabled={page.isFetching} onClick={() => void page.refetch()}>
          {words.t("door.again")}
        </Button>
      </main>
    );
  if (!page.data) return <main className="p-6" aria-busy="true" />;
  const known = page.data.languages.find((language) => language.language === page.data.language);
  return (
    <WordsContext.Provider value={words}>
      <div
        lang={page.data.language}
        dir={known?.direction ?? "ltr"}
        className="min-h-full overflow-x-clip text-lg"
      >
        <Opened
          view={page.data}
          onLanguage={(to) => {
            sessionStorage.setItem(LANGUAGE, to);
            setLanguage(to);
          }}
        />
      </div>
    </WordsContext.Provider>
  );
}

function Opened({ view, onLanguage }: { view: View; onLanguage: (to: string) => void }) {
  const { t } = useWords();
  const { close } = useOwnDeeds();
  const [round, setRound] = useState(() => (view.agreed ? roundThatWaits() : null));
  const [asked, setAsked] = useState(false);
  useEffect(() => {
    document.title = `${t("page.title")} · ${view.practice}`;
  }, [t, view.practice]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another page begins at its top
  useEffect(() => {
    scrollTo(0, 0);
  }, [round, asked]);
  const begin = (to: Round) => {
    setRound(to);
    setAsked(!view.agreed);
  };
  const here = view.languages.find((language) => language.language === view.language);
  return (
    <div className="mx-auto flex min-h-dvh max-w-xl flex-col px-5 pt-4 pb-6">
      <header className="mb-4 flex flex-wrap items-start justify-between gap-x-4 border-b border-ink pb-2 text-base">
        <p className="font-semibold" dir="auto">
          {view.practice}
        </p>
        {view.languages.length > 1 && (
          <label className="flex items-center gap-2">
            <span className="sr-only">{t("page.language")}</span>
            <select
              value={view.language}
              onChange={(event) => onLanguage(event.target.value)}
              className="min-h-11 rounded-[3px] border border-ink/60 bg-ground px-2"
            >
              {view.languages.map((language) => (
                <option key={language.language} value={language.language} lang={language.language}>
                  {language.name}
                </option>
              ))}
            </select>
          </label>
        )}
      </header>
      {here && here.open > 0 && <p className="mb-3 text-base text-soft">{t("page.english")}</p>}
      <main id="main" className="flex flex-1 flex-col">
        {round && asked ? (
          <Consent
            view={view}
            onDone={(yes) => {
              setAsked(false);
              if (!yes) setRound(null);
            }}
          />
        ) : round ? (
          <RoundPage key={round} round={round} view={view} onDone={() => setRound(null)} />
        ) : (
          <Home view={view} onBegin={begin} />
        )}
      </main>
      <footer className="mt-8 space-y-2 border-t border-hair pt-3 text-base text-soft">
        {view.contact && <p dir="auto">{t("page.call", { contact: view.contact })}</p>}
        {!round && (
          <>
            <p>{t("page.general")}</p>
            {view.local_wording && <p dir="auto">{view.local_wording}</p>}
            <p>{t("page.until", { date: dayIn(view.language, view.ends_on) })}</p>
          </>
        )}
        {!round && (
          <Button look="quiet" className="-ms-4" onClick={() => close.mutate({})}>
            {t("page.leave")}
          </Button>
        )}
      </footer>
    </div>
  );
}
