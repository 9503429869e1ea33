import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link, useNavigate, useSearch } from "@tanstack/react-router";
import { Collapsible } from "radix-ui";
import { useState } from "react";
import { AgendaSection } from "@/features/agenda/agenda";
import { useMe } from "@/shared/api/account";
import { Refused } from "@/shared/api/client";
import { useVisits } from "@/shared/api/queries";
import { dayOf, longDate } from "@/shared/dates";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { SearchField } from "@/shared/ui/search-field";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { useLater } from "@/shared/use-later";
import { Answers } from "./answers";
import { FirstDay } from "./first-day";
import { OnThisDevice } from "./on-this-device";
import { VisitRow } from "./visit-row";
import { type Group, groupVisits, sought } from "./visits";

/** What comes before clients' answers. */
const FIRST: ReadonlySet<Group["id"]> = new Set(["sign", "call"]);

/** Today: what has to be done next, and for whom. */
export function TodayPage() {
  const me = useMe().data;
  const { day = dayOf(new Date()), whose = "all" } = useSearch({ from: "/shell/" });
  const navigate = useNavigate({ from: "/" });
  const [words, setWords] = useState("");
  const todays = useVisits();
  const visits = useVisits({ q: useLater(words), mine: whose === "mine" });
  const every = visits.data ?? [];
  const shown = sought(every, words, whose === "mine" ? (me?.name ?? "") : null);
  const groups = groupVisits(shown);
  const look = (some: { day?: string | undefined; whose?: "mine" | undefined }) =>
    void navigate({ search: (held) => given({ ...held, ...some }), replace: true });
  return (
    <>
      <PageHead
        title={t`Today`}
        says={<span className="figures">{longDate(dayOf(new Date()))}</span>}
      >
        <SearchField label={t`Find a visit`} value={words} onChange={setWords} />
        <Segments
          label={t`Whose visits`}
          compact
          value={whose}
          onChange={(next) => look({ whose: next === "mine" ? "mine" : undefined })}
          choices={[
            { value: "all", label: t`All` },
            { value: "mine", label: t`Mine` },
          ]}
        />
        {me?.writes && (
          <Link
            to="/clients"
            className="inline-flex min-h-11 items-center rounded-[3px] bg-accent px-4 font-semibold text-on-accent"
          >
            {t`New visit`}
          </Link>
        )}
      </PageHead>
      <FirstDay />
      <OnThisDevice lines={todays.data ?? []} />
      {visits.isPending && visits.fetchStatus === "fetching" && (
        <Skeleton lines={8} label={t`Loading`} />
      )}
      {(visits.isError || visits.fetchStatus === "paused") && (
        <Notice role="alert" className="mb-4">
          {visits.error instanceof Refused
            ? visits.error.message
            : t`Can’t reach the server. Today updates when you are back online.`}
        </Notice>
      )}
      {todays.data?.length === 0 && (
        <p>
          <Trans>
            No visits yet.{" "}
            <Link to="/clients" className="underline">
              {t`Add a client`}
            </Link>{" "}
            and start one.
          </Trans>
        </p>
      )}
      {every.length > 0 && shown.length === 0 && (
        <p className="text-soft">
          <Trans>
            No visit matches {words ? `“${words}”` : t`this choice`}
            {whose === "mine" && t` among yours`}.
          </Trans>
        </p>
      )}
      <Answers words={words} grave />
      {groups
        .filter((group) => FIRST.has(group.id))
        .map((group) => (
          <Block key={group.id} group={group} open={words !== ""} />
        ))}
      <AgendaSection
        day={day}
        mine={whose === "mine"}
        onDay={(next) => look({ day: next === dayOf(new Date()) ? undefined : next })}
      />
      <Answers words={words} grave={false} />
      {groups
        .filter((group) => !FIRST.has(group.id))
        .map((group) => (
          <Block key={group.id} group={group} open={words !== ""} />
        ))}
    </>
  );
}

/** What an address holds of what is looked at: nothing of what is not set. */
function given(search: { day?: string | undefined; whose?: "mine" | undefined }) {
  const { day, whose } = search;
  return { ...(day && { day }), ...(whose && { whose }) };
}

/** Visits that wait for the same; what is signed is folded away. */
function Block({ group, open }: { group: Group; open: boolean }) {
  const rows = (
    <ul className="border-b border-hair">
      {group.lines.map((line) => (
        <VisitRow key={line.id} line={line} due={group.id === "due"} call={group.id === "call"} />
      ))}
    </ul>
  );
  const title = (
    <>
      {group.title} <span className="figures font-normal text-soft">{group.lines.length}</span>
    </>
  );
  if (group.id !== "done")
    return (
      <section className="mb-8" aria-label={group.title}>
        <h2 className="mb-1 text-lg">{title}</h2>
        {rows}
      </section>
    );
  return (
    <Collapsible.Root asChild {...(open ? { open } : {})}>
      <section className="group mb-8" aria-label={group.title}>
        <h2 className="mb-1 text-lg">
          <Collapsible.Trigger className="flex min-h-11 items-center gap-2">
            <span aria-hidden="true" className="group-data-[state=open]:rotate-90">
              ▸
            </span>
            {title}
          </Collapsible.Trigger>
        </h2>
        <Collapsible.Content>{rows}</Collapsible.Content>
      </section>
    </Collapsible.Root>
  );
}
