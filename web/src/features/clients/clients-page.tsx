import { t } from "@lingui/core/macro";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useClients, useVisits } from "@/shared/api/queries";
import { shortDate } from "@/shared/dates";
import { matches } from "@/shared/search";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Pages } from "@/shared/ui/pages";
import { SearchField } from "@/shared/ui/search-field";
import { Skeleton } from "@/shared/ui/skeleton";
import { useLater } from "@/shared/use-later";
import type { Line } from "../today/visits";
import { BulkPapers } from "./bulk-papers";
import { NewClient } from "./client-forms";
import { ImportClient } from "./import-client";
import { useBeginVisit } from "./use-begin-visit";

/** Clients: who they are, when they were last seen, and when they are to be seen again. */
export function ClientsPage() {
  const [words, setWords] = useState("");
  const [offset, setOffset] = useState(0);
  const sought = useLater(words);
  const clients = useClients({ q: sought, offset });
  const visits = useVisits();
  const { begin, error } = useBeginVisit();
  const me = useMe().data;
  const [writes, office] = [me?.writes ?? false, me?.office ?? false];
  const [adding, setAdding] = useState(false);
  const [importing, setImporting] = useState(false);
  const [printing, setPrinting] = useState(false);
  const troubled = error ?? clients.error ?? visits.error;
  // until the server has answered for what is typed now, nobody is said to be missing
  const settled = clients.data && !clients.isPlaceholderData && sought === words;
  const shown = (clients.data ?? []).filter(({ name, work }) => matches(words, name, work));
  return (
    <>
      <PageHead title={t`Clients`}>
        <SearchField
          label={t`Find a client`}
          value={words}
          onChange={(next) => {
            setWords(next);
            setOffset(0);
          }}
        />
        {writes && (
          <>
            <Button look="quiet" onClick={() => setPrinting(true)}>
              {t`Reports…`}
            </Button>
            <Button look="quiet" onClick={() => setImporting(true)}>
              {t`Import…`}
            </Button>
          </>
        )}
        {office && (
          <Button look="next" onClick={() => setAdding(true)}>
            {t`New client`}
          </Button>
        )}
      </PageHead>
      {troubled && (
        <Notice role="alert" className="mb-4">
          {troubled.message}
        </Notice>
      )}
      {clients.data && visits.data ? (
        <ul aria-label={t`Clients`} className="border-b border-hair">
          {shown.map((client) => (
            <Row
              key={client.id}
              client={client}
              visits={visits.data.filter((line) => line.client_id === client.id)}
              begin={writes ? begin : null}
            />
          ))}
        </ul>
      ) : (
        !troubled && <Skeleton lines={8} label={t`Loading`} />
      )}
      {clients.data && <Pages offset={offset} rows={clients.data.length} onGo={setOffset} />}
      {settled && shown.length === 0 && (
        <div className="py-6">
          <p className="mb-3 text-soft">
            {words ? t`No client matches “${words}”.` : t`No clients yet.`}
          </p>
          {office && (
            <Button onClick={() => setAdding(true)}>
              {words ? t`Add “${words}” as a new client` : t`Add the first client`}
            </Button>
          )}
        </div>
      )}
      {printing && <BulkPapers onDone={() => setPrinting(false)} />}
      {importing && <ImportClient onDone={() => setImporting(false)} />}
      {adding && (
        <NewClient
          name={shown.length === 0 ? words : ""}
          onDone={() => setAdding(false)}
          onMade={writes ? begin : async () => setAdding(false)}
          begins={writes}
        />
      )}
    </>
  );
}

function Row({
  client,
  visits,
  begin,
}: {
  client: Schemas["ListedClient"];
  visits: readonly Line[];
  begin: ((clientId: string) => Promise<void>) | null;
}) {
  // a visit begun here without network is not in the list yet
  const [begun] = visits;
  const days = [client.last_visit ?? "", begun?.started_on ?? ""].sort();
  const last = days.at(-1);
  const due = begun && begun.started_on === last ? begun.follow_up : client.follow_up;
  return (
    <li className="relative grid gap-x-5 gap-y-1 border-t border-hair px-2 py-2.5 hover:bg-paper desk:min-h-14 desk:grid-cols-[minmax(0,42%)_150px_190px_minmax(0,1fr)] desk:items-center">
      <div className="min-w-0">
        <Link
          to="/clients/$clientId"
          params={{ clientId: client.id }}
          className="font-semibold after:absolute after:inset-0"
          dir="auto"
        >
          {client.name}
        </Link>
        <p className="truncate text-sm text-soft" dir="auto">
          {client.work}
        </p>
      </div>
      <p className="figures text-sm">
        {last ? t`Last visit ${shortDate(last)}` : t`No visits yet`}
      </p>
      <p className="figures text-sm text-soft">{due && t`Follow-up ${shortDate(due)}`}</p>
      <span className="desk:text-end">
        {begin && (
          <Button
            look="quiet"
            className="relative z-10 -ms-4 desk:ms-0"
            aria-label={t`New visit for ${client.name}`}
            onClick={() => void begin(client.id).catch(() => undefined)}
          >
            {t`New visit`}
          </Button>
        )}
      </span>
    </li>
  );
}
