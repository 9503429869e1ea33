import { useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { type Schemas, server } from "@/shared/api/client";
import { stale } from "@/shared/api/stale";
import { clockTime, dayOf, longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Fetched } from "@/shared/ui/fetched";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Whose } from "@/shared/ui/whose";

type Running = Schemas["Running"];

const moment = (iso: string) => `${longDate(dayOf(new Date(iso)))}, ${clockTime(new Date(iso))}`;

/** How the program runs, for an owner: whether backups are made, what waits, and what was given up. */
export function StatusPage() {
  const running = server.useQuery("get", "/api/system-status");
  return (
    <>
      <PageHead
        back={{ to: "/people", children: "Practice" }}
        title="Backups and mail"
        says="What the program does in the background."
      />
      <Fetched query={running} label="Fetching the status">
        {(running) => <Shown running={running} />}
      </Fetched>
    </>
  );
}

function Shown({ running }: { running: Running }) {
  const { last_backup: last } = running;
  return (
    <>
      <section aria-label="Backups">
        <h2 className="border-b border-ink pb-1 text-lg">Backups</h2>
        {running.backup_trouble && (
          <Notice role="alert" className="mt-3">
            The backup failed on {moment(running.backup_trouble.at)}:{" "}
            {running.backup_trouble.detail}
          </Notice>
        )}
        {running.late && !running.backup_trouble && (
          <Notice role="alert" className="mt-3">
            {last
              ? `Last backup: ${moment(last.at)}. That is too old; tell your administrator.`
              : "No backup has been made yet. The first is made tonight; tell your administrator if it isn't."}
          </Notice>
        )}
        <p className="py-3">
          {last && (
            <>
              Last <b>{moment(last.at)}</b>,{" "}
              <span className="figures">{(last.size / 1e6).toFixed(1)} MB</span>, encrypted and read
              back.{" "}
            </>
          )}
          {running.backups
            ? `Each is kept for ${running.kept_days} days; what was erased outlives it no longer than that.`
            : "The program makes none here. Whoever runs it sees to them in another way, or sets GENTLE_PLUMB_BACKUP_FOLDER."}
        </p>
      </section>
      <section aria-label="Mail that was given up" className="mt-6">
        <h2 className="border-b border-ink pb-1 text-lg">Mail that was given up</h2>
        {running.failed.length === 0 && <p className="py-3 text-soft">None.</p>}
        <ul>
          {running.failed.map((failedMail) => (
            <Failed key={failedMail.id} mail={failedMail} />
          ))}
        </ul>
      </section>
      <section aria-label="Queue" className="mt-6">
        <h2 className="border-b border-ink pb-1 text-lg">Queue</h2>
        {running.worker_lost && (
          <Notice role="alert" className="mt-3">
            {running.worker_heard
              ? `Nothing has been working on the queue since ${moment(running.worker_heard)}.`
              : "Nothing has ever worked on the queue."}{" "}
            No email, backup or export is made until it does; tell your administrator.
          </Notice>
        )}
        <p className="figures py-3">
          {running.waiting} to be done, {running.failed_jobs} given up, in the whole installation.
          Gentle Plumb {running.version}.
        </p>
      </section>
    </>
  );
}

function Failed({ mail }: { mail: Running["failed"][number] }) {
  const queries = useQueryClient();
  const letGo = server.useMutation("delete", "/api/system-status/failed/{mail_id}", {
    onSettled: () => stale(queries, "/api/system-status", "/api/invitations"),
  });
  return (
    <li className="border-b border-hair py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-5">
        <p>
          <b className="figures">{mail.to}</b>: {mail.what}, {moment(mail.at)}
        </p>
        <span className="flex flex-wrap gap-2">
          {mail.client_id ? (
            <Link
              to="/clients/$clientId"
              params={{ clientId: mail.client_id }}
              className="inline-flex min-h-11 items-center px-3 underline"
            >
              Send it again from the client
            </Link>
          ) : (
            <Link to="/people" className="inline-flex min-h-11 items-center px-3 underline">
              Make another link under Practice
            </Link>
          )}
          <Button
            look="quiet"
            disabled={letGo.isPending}
            onClick={() => letGo.mutate({ params: { path: { mail_id: mail.id } } })}
          >
            Let it go
            <Whose>{mail.to}</Whose>
          </Button>
        </span>
      </div>
      <p className="text-sm text-soft">{mail.trouble}</p>
    </li>
  );
}
