import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useSince } from "@/shared/api/queries";
import { useVisitFacts } from "../../state/facts";

/** What was said and asked for at the visit before: what got worse first, and open to be folded away. */
export function LastTime() {
  const { visit, unit } = useVisitFacts();
  const since = useSince(visit.id, unit).data;
  if (!since) return null;
  const lines: [name: string, said: readonly string[]][] = [
    [t`Discomfort`, since.discomfort],
    [t`Conditions`, since.conditions],
    [t`Consents`, since.consents],
    [
      t`Requested from the workplace`,
      since.tasks.map((task) => `${task.title}: ${task.answer || t`no answer yet`}`),
    ],
  ];
  return (
    <details className="mb-4 border border-hair bg-ground px-3" open={since.worse.length > 0}>
      <summary className="flex min-h-11 items-center gap-3 font-semibold">
        <Trans>Last time, {since.on_words}</Trans>
        {since.worse.length > 0 && (
          <span className="border border-ink px-1.5 text-sm">{t`Worse since`}</span>
        )}
      </summary>
      {since.worse.length > 0 && (
        <p className="figures mb-2 border-s-4 border-ink ps-2">
          <b>{t`Worse:`}</b> {since.worse.join("; ")}.
        </p>
      )}
      <dl className="mb-3 grid gap-x-4 gap-y-1 text-sm desk:grid-cols-[12rem_1fr]">
        {lines
          .filter(([, said]) => said.length > 0)
          .map(([name, said]) => (
            <div key={name} className="contents">
              <dt className="text-soft">{name}</dt>
              <dd className="figures font-sans">{said.join("; ")}</dd>
            </div>
          ))}
      </dl>
    </details>
  );
}
