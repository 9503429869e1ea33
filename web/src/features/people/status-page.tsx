import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
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
import { decimal } from "@/shared/words/language";

type Running = Schemas["Running"];

const moment = (iso: string) => `${longDate(dayOf(new Date(iso)))}, ${clockTime(new Date(iso))}`;

/** How the program runs, for an owner: whether backups are made, what waits, and what was given up. */
export function StatusPage() {
  const running = server.useQuery("get", "/api/system-status");
  return (
    <>
      <PageHead
        back={{ to: "/people", children: t`Practice` }}
        title={t`Backups and email`}
        says={t`Status of background tasks.`}
      />
      <Fetched query={running} label={t`Loading`}>
        {(running) => <Shown running={running} />}
      </Fetched>
    </>
  );
}

function Shown({ running }: { running: Running }) {
  const { last_backup: last } = running;
  return (
    <>
      <section aria-label={t`Backups`}>
        <h2 className="border-b border-ink pb-1 text-lg">{t`Backups`}</h2>
        {running.backup_trouble && (
          <Notice role="alert" className="mt-3">
            <Trans>
              Backup failed on {moment(running.backup_trouble.at)}: {running.backup_trouble.detail}
            </Trans>
          </Notice>
        )}
        {running.late && !running.backup_trouble && (
          <Notice role="alert" className="mt-3">
            {last
              ? t`Last backup: ${moment(last.at)}. That is too old. Contact your administrator.`
              : t`No backup yet. The first one runs tonight; contact your administrator if it doesn’t.`}
          </Notice>
        )}
        <p className="py-3">
          {last && (
            <Trans>
              Last <b>{moment(last.at)}</b>,{" "}
              <span className="figures">{decimal(last.size / 1e6)} MB</span>, encrypted and read
              back.{" "}
            </Trans>
          )}
          {running.backups
            ? t`Backups are kept for ${running.kept_days} days; deleted data is gone from them after that.`
            : t`This program makes no backups here. Ask your administrator how they are made.`}
        </p>
      </section>
      <section aria-label={t`Failed email`} className="mt-6">
        <h2 className="border-b border-ink pb-1 text-lg">{t`Failed email`}</h2>
        {running.failed.length === 0 && <p className="py-3 text-soft">{t`None.`}</p>}
        <ul>
          {running.failed.map((failedMail) => (
            <Failed key={failedMail.id} mail={failedMail} />
          ))}
        </ul>
      </section>
      <section aria-label={t`Background tasks`} className="mt-6">
        <h2 className="border-b border-ink pb-1 text-lg">{t`Background tasks`}</h2>
        {running.worker_lost && (
          <Notice role="alert" className="mt-3">
            <Trans>
              {running.worker_heard
                ? t`Background tasks have not run since ${moment(running.worker_heard)}.`
                : t`Background tasks have never run.`}{" "}
              No email, backup or export can be made until they run. Contact your administrator.
            </Trans>
          </Notice>
        )}
        <p className="figures py-3">
          <Trans>
            {running.waiting} waiting, {running.failed_jobs} failed, in the whole installation.
            Gentle Plumb {running.version}.
          </Trans>
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
              {t`Send it again from the client’s page`}
            </Link>
          ) : (
            <Link to="/people" className="inline-flex min-h-11 items-center px-3 underline">
              {t`Create a new link under Practice`}
            </Link>
          )}
          <Button
            look="quiet"
            disabled={letGo.isPending}
            onClick={() => letGo.mutate({ params: { path: { mail_id: mail.id } } })}
          >
            {t`Dismiss`}
            <Whose>{mail.to}</Whose>
          </Button>
        </span>
      </div>
      <p className="text-sm text-soft">{mail.trouble}</p>
    </li>
  );
}
