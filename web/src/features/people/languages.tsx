import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useRef } from "react";
import { Refused } from "@/shared/api/client";
import { useLanguageDeeds, useLanguages } from "@/shared/api/own";
import { Button } from "@/shared/ui/button";
import { Download } from "@/shared/ui/download";
import { Notice } from "@/shared/ui/notice";

/** The languages: those built in, and what the practice adds or changes by file. */
export function Languages() {
  const languages = useLanguages().data ?? [];
  const { add, send, drop } = useLanguageDeeds();
  const file = useRef<HTMLInputElement>(null);
  const lines = add.error instanceof Refused ? (add.error.problem.lines ?? []) : [];
  return (
    <section aria-label={t`Languages`} className="mt-10 max-w-[560px]">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Languages`}</h2>
      <ul>
        {languages.map((language) => (
          <li
            key={language.language}
            className="flex min-h-11 flex-wrap items-center justify-between gap-x-4 border-b border-hair"
          >
            <span>
              <b lang={language.language}>{language.name}</b>{" "}
              <span className="text-soft">
                {language.open
                  ? plural(language.open, {
                      one: "# message not translated",
                      other: "# messages not translated",
                    })
                  : t`complete`}
                {language.direction === "rtl" && t`, right to left`}
              </span>
            </span>
            <span className="flex flex-wrap">
              <Download
                look="quiet"
                href={`/api/languages/${language.language}.po`}
                file={`${language.language}.po`}
              >
                <Trans>Download {language.name}</Trans>
              </Download>
              {!language.built_in && (
                <Button
                  look="quiet"
                  disabled={drop.isPending}
                  onClick={() => drop.mutate({ params: { path: { language: language.language } } })}
                >
                  <Trans>Remove {language.name}</Trans>
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {add.error && (
        <Notice role="alert" className="mt-3">
          <p>{add.error.message}</p>
          <ul className="text-sm">
            {lines.slice(0, 12).map((line) => (
              <li key={line.field}>
                <b>{line.field}</b>: {line.reason}
              </li>
            ))}
          </ul>
        </Notice>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Download href="/api/languages/en.json" file="own-page-en.json">
          {t`Download English for translation`}
        </Download>
        <Button disabled={add.isPending} onClick={() => file.current?.click()}>
          {t`Add a language…`}
        </Button>
        <input
          ref={file}
          type="file"
          accept=".po,.json,text/plain,application/json"
          className="sr-only"
          aria-label={t`Language file`}
          tabIndex={-1}
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) send(chosen);
            event.target.value = "";
          }}
        />
      </div>
      <p className="mt-2 text-sm text-soft">
        {t`To say something your own way, download a language (a PO file), change its messages and add it here: screens, reports and clients’ pages follow. Another language for clients’ pages begins with the English file for translation. Anything left out is shown as built in, or in English.`}
      </p>
    </section>
  );
}
