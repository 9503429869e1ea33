import { msg, t } from "@lingui/core/macro";
import { Link, useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import { useClients, useVisits } from "@/shared/api/queries";
import { longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Download } from "@/shared/ui/download";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Skeleton } from "@/shared/ui/skeleton";
import { said } from "@/shared/words/said";
import { VisitRow } from "../today/visit-row";
import { whenDue } from "../today/visits";
import { EditClient } from "./client-forms";
import { Erase } from "./erase-client";
import { History } from "./history";
import { OwnLinks } from "./own-links";
import { useBeginVisit } from "./use-begin-visit";
import { WhoSees } from "./who-sees";

/** Steps from which a visit has something to follow up. */
const SET: ReadonlySet<string> = new Set(["set", "pace", "report"]);
const ESTIMATED: Record<string, string> = said({ female: msg`a woman`, male: msg`a man` });

/** One client: who they are, their visits, what is due, and what can be done. */
export function ClientPage() {
  const { clientId } = useParams({ from: "/shell/clients/$clientId" });
  const clients = useClients({ id: clientId });
  const visits = useVisits({ client_id: clientId });
  const navigate = useNavigate();
  const { begin, error, busy } = useBeginVisit();
  const me = useMe().data;
  const writes = me?.writes ?? false;
  const sees = writes || me?.sees_health;
  const [doing, setDoing] = useState<"edit" | "erase" | "access" | null>(null);
  const client = clients.data?.find((one) => one.id === clientId);
  if (clients.isPending || visits.isPending) return <Skeleton page lines={8} label={t`Loading`} />;
  if (!client)
    return (
      <>
        <PageHead title={t`Client not found`} says={t`They may have been deleted.`} />
        <Link to="/clients" className="underline">
          {t`All clients`}
        </Link>
      </>
    );
  const mine = (visits.data ?? []).filter((line) => line.client_id === clientId);
  const open = mine.find((line) => line.state !== "signed");
  const last = mine.find(
    (line) => line.state === "signed" || line.state === "changed" || SET.has(line.step ?? "ask"),
  );
  const due = mine.find((line) => line.follow_up && line.state === "signed");
  return (
    <>
      <PageHead
        back={{ to: "/clients", children: t`Clients` }}
        title={client.name}
        tab={t`Client`}
        says={client.work || t`Job not recorded`}
      >
        {me?.office && (
          <Button look="quiet" onClick={() => setDoing("edit")}>
            {t`Edit`}
          </Button>
        )}
        {writes && (
          <>
            <Button look="quiet" onClick={() => setDoing("access")}>
              {t`Access`}
            </Button>
            <Download href={`/api/clients/${client.id}/archive.zip`} file={`${client.name}.zip`}>
              {t`Export`}
            </Download>
            <Button look="quiet" onClick={() => setDoing("erase")}>
              {t`Delete…`}
            </Button>
            <Button
              look={open || last ? "plain" : "next"}
              disabled={busy}
              onClick={() => void begin(client.id).catch(() => undefined)}
            >
              {t`New visit`}
            </Button>
            {last && (
              <Button
                look={open ? "plain" : "next"}
                disabled={busy}
                title={t`Starts from the last visit: equipment, hours, options and measurements`}
                onClick={() => void begin(client.id, last.id).catch(() => undefined)}
              >
                {t`Follow-up`}
              </Button>
            )}
          </>
        )}
      </PageHead>
      {error && (
        <Notice role="alert" className="mb-4">
          {error.message}
        </Notice>
      )}
      {client.restricted && (
        <Notice className="mb-4">{t`Only selected members can see this client.`}</Notice>
      )}
      <dl className="mb-6 flex flex-wrap gap-x-10 gap-y-2">
        <Fact name="Visits">{`${mine.length}`}</Fact>
        <Fact name="First seen">
          {mine.length ? longDate(mine.at(-1)?.started_on ?? "") : t`not yet`}
        </Fact>
        <Fact name="Follow-up">
          {due?.follow_up ? `${longDate(due.follow_up)}, ${whenDue(due)}` : t`none set`}
        </Fact>
        <Fact name="Email">{client.email || t`not recorded`}</Fact>
        <Fact name="Unmeasured dimensions are estimated as for">
          {ESTIMATED[client.sex ?? ""] ?? t`a mixed group`}
        </Fact>
      </dl>
      <section aria-label={t`Visits`}>
        <h2 className="mb-1 text-lg">{t`Visits`}</h2>
        {mine.length === 0 && (
          <p className="text-soft">
            {t`No visits yet. You can start one straight away; nothing has to be filled in first.`}
          </p>
        )}
        <ul className="border-b border-hair">
          {mine.map((line) => (
            <VisitRow key={line.id} line={line} due={line === due} />
          ))}
        </ul>
      </section>
      {sees && (
        <div className="mt-8">
          <OwnLinks clientId={clientId} email={client.email} visits={mine} writes={writes} />
          <History clientId={clientId} />
          {me?.role === "owner" && (
            <Link
              to="/audit-log"
              search={{ client: clientId }}
              className="inline-flex min-h-11 items-center underline"
            >
              {t`Activity log for this client`}
            </Link>
          )}
        </div>
      )}
      {doing === "access" && <WhoSees clientId={client.id} onDone={() => setDoing(null)} />}
      {doing === "edit" && (
        <EditClient key={client.version} client={client} onDone={() => setDoing(null)} />
      )}
      {doing === "erase" && (
        <Erase
          what="client"
          client={client}
          onDone={() => setDoing(null)}
          onErased={() => void navigate({ to: "/clients" })}
        />
      )}
    </>
  );
}

function Fact({ name, children }: { name: string; children: string }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="figures">{children}</dd>
    </div>
  );
}
