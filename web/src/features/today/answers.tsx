import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "@tanstack/react-router";
import { Offers } from "@/features/agenda/offers";
import { ROUND_WORDS, useChecks } from "@/shared/api/own";
import { shortDate } from "@/shared/dates";
import { matches } from "@/shared/search";

/** Clients' answers that nobody has looked at: those with a warning sign, or the others, the gravest first. */
export function Answers({ words, grave }: { words: string; grave: boolean }) {
  const checks = (useChecks().data ?? []).filter(
    (one) => (one.level === "stop") === grave && matches(words, one.client),
  );
  const title = grave ? t`Clients advised to seek care` : t`Answers to review`;
  if (checks.length === 0) return null;
  return (
    <section className="mb-8" aria-label={title}>
      <h2 className="mb-1 text-lg">
        {title} <span className="figures font-normal text-soft">{checks.length}</span>
      </h2>
      <ul className="border-b border-hair">
        {checks.map((check) => (
          <li
            key={check.id}
            className="relative grid gap-x-5 gap-y-1 border-t border-hair px-2 py-2.5 hover:bg-paper desk:min-h-14 desk:grid-cols-[minmax(0,38%)_minmax(0,1fr)_auto] desk:items-center"
          >
            <Link
              to="/clients/checks/$checkId"
              params={{ checkId: check.id }}
              className="font-semibold after:absolute after:inset-0"
              dir="auto"
            >
              {check.client}
            </Link>
            <span className="text-sm text-soft">
              <Trans>
                {ROUND_WORDS[check.round]}, sent {shortDate(check.sent_at)}
              </Trans>
            </span>
            <span
              className={
                check.level === "stop"
                  ? "border-4 border-double border-ink bg-deep px-2 py-0.5 text-sm font-semibold"
                  : "text-sm font-semibold"
              }
            >
              {check.level_says}
            </span>
            <div className="desk:col-span-full">
              <Offers of={(due) => due.check_id === check.id} />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
