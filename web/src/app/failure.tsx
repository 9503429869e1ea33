import { t } from "@lingui/core/macro";
import { Button } from "@/shared/ui/button";

/** In the place of a page that broke: what happened, what is kept, and the way on. Never white. */
export function Failure({ error, reset }: { error: unknown; reset: () => void }) {
  return (
    <main className="max-w-prose p-8" role="alert">
      <h1 className="mb-2 text-2xl">{t`Something went wrong on this page`}</h1>
      <p className="mb-1">
        {t`Your entries are safe: on the server, or on this device until they can be sent.`}
      </p>
      <p className="mb-4 text-sm text-soft">
        {error instanceof Error ? error.message : String(error)}
      </p>
      <div className="flex gap-2">
        <Button look="next" onClick={reset}>
          {t`Try again`}
        </Button>
        <Button onClick={() => location.assign("/")}>{t`Back to Today`}</Button>
      </div>
    </main>
  );
}

/** An address that leads nowhere. */
export function Nowhere() {
  return (
    <main id="main" tabIndex={-1} className="p-8 outline-none">
      <h1 className="mb-3 text-2xl">{t`Page not found`}</h1>
      <Button look="next" onClick={() => location.assign("/")}>
        {t`Back to Today`}
      </Button>
    </main>
  );
}
