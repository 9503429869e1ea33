import { Refused } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { useOwnDeeds, type View } from "./api";
import { useWords } from "./words";

const VIEWS = ["side", "rear"] as const;

/** Two photographs, after a yes of their own. */
export function Photos({ view }: { view: View }) {
  const { t } = useWords();
  const { agree, photo } = useOwnDeeds();
  const refused = agree.error instanceof Refused ? agree.error.message : "";
  if (!view.photos_agreed)
    return (
      <div className="space-y-3">
        <p>{t("consent.photos")}</p>
        <Button
          className="min-h-14 w-full text-lg"
          disabled={agree.isPending}
          onClick={() => agree.mutate({ body: { what: "photographs", yes: true } })}
        >
          {t("page.yes")}
        </Button>
        <p className="text-base text-soft">{t("photos.no_consent")}</p>
        {agree.error && (
          <p role="alert" className="border-s-4 border-ink bg-deep px-3 py-2 text-base">
            {refused ? t("photos.failed", { why: refused }) : t("door.trouble")}
          </p>
        )}
      </div>
    );
  return (
    <>
      {VIEWS.map((one) => (
        <section key={one} className="border-b border-hair py-4" aria-label={t(`photos.${one}`)}>
          <h2 className="text-lg">{t(`photos.${one}`)}</h2>
          <p className="mb-3 text-base">{t(`photos.${one}_how`)}</p>
          {view.photos.includes(one) ? (
            <p role="status" className="font-semibold">
              {t("photos.kept")}
            </p>
          ) : (
            <label className="moves inline-flex min-h-14 w-full cursor-pointer items-center justify-center rounded-[3px] border border-ink/70 bg-ground px-4 text-lg focus-within:outline-2 focus-within:outline-blue hover:bg-deep">
              {photo.isPending && photo.variables.view === one
                ? t("page.saving")
                : t("photos.take")}
              <input
                type="file"
                accept="image/*"
                className="sr-only"
                disabled={photo.isPending}
                onChange={(event) => {
                  const file = event.target.files?.[0];
                  if (file) photo.mutate({ file, view: one });
                  event.target.value = "";
                }}
              />
            </label>
          )}
          {photo.error && photo.variables?.view === one && (
            <p role="alert" className="mt-2 border-s-4 border-ink bg-deep px-3 py-2 text-base">
              {t("photos.failed", { why: photo.error.message })}
            </p>
          )}
        </section>
      ))}
      <Button
        look="quiet"
        className="-ms-4 mt-3 text-base"
        disabled={agree.isPending}
        onClick={() => agree.mutate({ body: { what: "photographs", yes: false } })}
      >
        {t("consent.take_back")}
      </Button>
    </>
  );
}
