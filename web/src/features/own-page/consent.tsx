import { useState } from "react";
import { Button } from "@/shared/ui/button";
import { useOwnDeeds, type View } from "./api";
import { useWords } from "./words";

/** Asked before anything is kept. */
export function Consent({ view, onDone }: { view: View; onDone: (yes: boolean) => void }) {
  const { t } = useWords();
  const { agree } = useOwnDeeds();
  const [refused, setRefused] = useState(false);
  return (
    <>
      <h1 className="mb-2 text-2xl">{t("consent.title")}</h1>
      <p className="mb-5">{t("consent.says", { practice: view.practice })}</p>
      {agree.error && (
        <p role="alert" className="mb-3 border-s-4 border-ink bg-deep px-3 py-2">
          {t("door.trouble")}
        </p>
      )}
      {refused ? (
        <p role="status" className="mb-5 border-s-4 border-ink bg-deep px-3 py-2">
          {t("consent.refused")}
        </p>
      ) : null}
      <div className="space-y-3">
        <Button
          look="next"
          className="min-h-14 w-full text-lg"
          disabled={agree.isPending}
          onClick={() =>
            agree.mutate(
              { body: { what: "answers", yes: true } },
              { onSuccess: () => onDone(true) },
            )
          }
        >
          {t("consent.yes")}
        </Button>
        <Button
          className="min-h-14 w-full text-lg"
          onClick={() => (refused ? onDone(false) : setRefused(true))}
        >
          {refused ? t("page.back") : t("consent.no")}
        </Button>
      </div>
    </>
  );
}

/** Answers that were agreed to can be taken back, after a second tap. */
export function TakeBack({ practice }: { practice: string }) {
  const { t } = useWords();
  const { agree } = useOwnDeeds();
  const [asking, setAsking] = useState(false);
  return (
    <div className="mt-4 text-base">
      {asking && <p className="mb-2">{t("consent.take_back_says", { practice })}</p>}
      <div className="flex flex-wrap gap-2">
        <Button
          look={asking ? "plain" : "quiet"}
          className={asking ? "" : "-ms-4"}
          disabled={agree.isPending}
          onClick={() =>
            asking
              ? agree.mutate(
                  { body: { what: "answers", yes: false } },
                  { onSuccess: () => setAsking(false) },
                )
              : setAsking(true)
          }
        >
          {asking ? t("consent.take_back") : t("consent.again")}
        </Button>
        {asking && (
          <Button look="next" onClick={() => setAsking(false)}>
            {t("page.back")}
          </Button>
        )}
      </div>
    </div>
  );
}
