import { msg, t } from "@lingui/core/macro";
import { Link } from "@tanstack/react-router";
import type { ReactNode } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useHistory } from "@/shared/api/own";
import { shortDate } from "@/shared/dates";
import { useUnitSwitch } from "@/shared/settings";
import { Picture } from "@/shared/ui/picture";
import { said } from "@/shared/words/said";

type Event = Schemas["HistoryEvent"];

const COPY_WORDS: Record<string, string> = said({
  client: msg`Client’s report`,
  workplace: msg`Workplace copy`,
  record: msg`Record`,
});

/** Everything that happened with a client on one line of time, and the body visit by visit. */
export function History({ clientId }: { clientId: string }) {
  const me = useMe().data;
  const { unit } = useUnitSwitch(me?.unit ?? "cm");
  const { data } = useHistory(clientId, unit);
  if (!data) return null;
  return (
    <>
      <section aria-label={t`Over time`} className="mb-8">
        <h2 className="mb-1 text-lg">{t`Over time`}</h2>
        <ol className="ms-1.5 border-s-2 border-ink">
          {data.events.map((event, value) => {
            const day = event.at.slice(0, 10);
            const same = value > 0 && data.events[value - 1]?.at.slice(0, 10) === day;
            return (
              <li
                // biome-ignore lint/suspicious/noArrayIndexKey: events have no name of their own
                key={value}
                className="relative grid gap-x-4 py-1 ps-5 desk:grid-cols-[110px_1fr]"
              >
                <span
                  aria-hidden="true"
                  className={`absolute top-2.5 -start-[7px] size-3 border-2 border-ink ${event.kind === "visit" || event.kind === "signed" ? "bg-ink" : "rounded-full bg-ground"}`}
                />
                <span className={`figures ${same ? "text-transparent" : "text-soft"}`}>
                  {shortDate(event.at)}
                </span>
                <span>
                  <Says event={event} />
                  {event.photos && event.photos.length > 0 && (
                    <span className="mt-1 flex flex-wrap gap-2">
                      {event.photos.map((id) => (
                        <Picture
                          key={id}
                          id={id}
                          alt={t`A photo from this visit`}
                          loading="lazy"
                          className="h-24 border border-hair"
                        />
                      ))}
                    </span>
                  )}
                </span>
              </li>
            );
          })}
        </ol>
      </section>
      {data.body.length > 0 && (
        <section aria-label={t`Measurements over time`} className="mb-8">
          <h2 className="mb-1 text-lg">{t`Measurements over time`}</h2>
          <div className="overflow-x-auto">
            <table className="figures border-b border-hair text-sm">
              <thead>
                <tr className="border-b border-ink">
                  <th className="py-1 pe-6 text-start font-semibold">{t`Dimension`}</th>
                  {data.visits.map((day) => (
                    <th key={day} className="px-3 text-end font-semibold whitespace-nowrap">
                      {shortDate(day)}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {data.body.map((line) => (
                  <tr key={line.label} className="border-b border-hair">
                    <th scope="row" className="py-1 pe-6 text-start font-sans font-normal">
                      {line.label}
                    </th>
                    {line.values.map((value, at) => (
                      <td key={data.visits[at]} className="px-3 text-end whitespace-nowrap">
                        {value || "–"}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
    </>
  );
}

function Says({ event }: { event: Event }): ReactNode {
  const line = "inline-flex min-h-6 items-center underline";
  if (event.check_id)
    return (
      <Link to="/clients/checks/$checkId" params={{ checkId: event.check_id }} className={line}>
        {event.says}
      </Link>
    );
  if (event.kind === "signed")
    return (
      <>
        {event.says}
        {event.copies?.map((copy) => (
          <a
            key={copy}
            href={`/api/reports/${event.report_id}.pdf?copy=${copy}`}
            target="_blank"
            rel="noreferrer"
            className="ms-3 underline"
          >
            {COPY_WORDS[copy] ?? copy}
          </a>
        ))}
      </>
    );
  if (event.kind === "visit" && event.visit_id)
    return (
      <Link
        to="/visits/$visitId/$step"
        params={{ visitId: event.visit_id, step: "ask" }}
        className={line}
      >
        {event.says}
      </Link>
    );
  return event.says;
}
