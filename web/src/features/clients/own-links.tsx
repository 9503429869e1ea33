import { msg, plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link as To } from "@tanstack/react-router";
import { type FormEvent, useState } from "react";
import { useWelcome } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import {
  LEVELS,
  type Link,
  ROUND_WORDS,
  useLanguages,
  useLinkDeeds,
  useLinks,
} from "@/shared/api/own";
import { longDate, shortDate } from "@/shared/dates";
import { Ask } from "@/shared/ui/ask";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";
import { said } from "@/shared/words/said";
import type { Line } from "../today/visits";

const KINDS: Record<Link["kind"], string> = said({
  before: msg`Before a visit: self-check`,
  after: msg`After a visit: settings and check-ins`,
  workplace: msg`For the workplace: requested changes`,
});

/** The client's own page: its links, what came back, and mail about it. */
export function OwnLinks({
  clientId,
  email,
  visits,
  writes,
}: {
  clientId: string;
  email: string;
  visits: readonly Line[];
  writes: boolean;
}) {
  const links = useLinks(clientId);
  const demo = (useWelcome().data?.demo.length ?? 0) > 0;
  const [making, setMaking] = useState(false);
  const [told, setTold] = useState<Schemas["MadeLink"] | null>(null);
  if (links.isError) return null; // who sees no health data has no part in it
  return (
    <section aria-label={t`Client’s page`} className="mb-8">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">{t`Client’s page`}</h2>
        <span className="flex items-center gap-2">
          {demo && (
            <To to="/inbox" className="inline-flex min-h-11 items-center px-2 underline">
              {t`Simulated inbox`}
            </To>
          )}
          {writes && visits.length > 0 && (
            <Button look="quiet" onClick={() => setMaking(true)}>
              {t`New link…`}
            </Button>
          )}
        </span>
      </div>
      {links.data?.length === 0 && (
        <p className="text-soft">
          {visits.length === 0
            ? t`Start a visit first; each link belongs to a visit.`
            : t`No link yet. With a link, the client can answer questions and measure at home before a visit, or look up their settings afterwards.`}
        </p>
      )}
      <ul className="border-b border-hair">
        {links.data?.map((link) => (
          <One key={link.id} link={link} email={email} writes={writes} onTold={setTold} />
        ))}
      </ul>
      {making && (
        <NewLink
          visits={visits}
          onDone={() => setMaking(false)}
          onMade={(madeLink) => {
            setMaking(false);
            setTold(madeLink);
          }}
        />
      )}
      {told && <Told madeLink={told} email={email} onDone={() => setTold(null)} />}
    </section>
  );
}

function stateOf(link: Link): string {
  if (link.revoked_at) return t`closed on ${shortDate(link.revoked_at)}`;
  if (!link.works) return t`ended on ${shortDate(link.ends_on)}`;
  const opened = link.opened_at ? t`opened ${shortDate(link.opened_at)}` : t`not opened yet`;
  return t`${opened}, open until ${shortDate(link.ends_on)}`;
}

function One({
  link,
  email,
  writes,
  onTold,
}: {
  link: Link;
  email: string;
  writes: boolean;
  onTold: (made: Schemas["MadeLink"]) => void;
}) {
  const { code, mail, revoke } = useLinkDeeds();
  const [closing, setClosing] = useState(false);
  const path = { params: { path: { link_id: link.id } } };
  const error = code.error ?? mail.error ?? revoke.error;
  return (
    <li className="border-t border-hair py-2.5">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <p>
          <span className="font-semibold">{KINDS[link.kind]}</span>{" "}
          <span className="text-soft">
            {stateOf(link)}
            {link.language !== "en" && `, in ${link.language}`}
          </span>
        </p>
        {writes && link.works && (
          <span className="flex flex-wrap">
            {link.kind !== "workplace" && (
              <Button
                look="quiet"
                disabled={mail.isPending || !email}
                title={email ? `To ${email}` : t`No email recorded: Edit`}
                onClick={() => mail.mutate(path)}
              >
                {t`Send by email`}
              </Button>
            )}
            <Button
              look="quiet"
              disabled={code.isPending}
              onClick={() => code.mutate(path, { onSuccess: onTold })}
            >
              {t`New code`}
            </Button>
            <Button look="quiet" onClick={() => setClosing(true)}>
              {t`Close link`}
            </Button>
          </span>
        )}
      </div>
      {error && <Notice role="alert">{error.message}</Notice>}
      <ul className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
        {link.rounds.map((round) => (
          <li key={round.id} className="flex min-h-9 items-center gap-2">
            {round.sent_at ? (
              <To
                to="/clients/checks/$checkId"
                params={{ checkId: round.id }}
                className="inline-flex min-h-9 items-center underline"
              >
                <Trans>
                  {ROUND_WORDS[round.round]}: answers of {shortDate(round.sent_at)}
                </Trans>
              </To>
            ) : (
              <span className="text-soft">
                {ROUND_WORDS[round.round]}:{" "}
                {round.round === "before" || round.round === "request"
                  ? t`not sent yet`
                  : t`due ${shortDate(round.due_on)}`}
              </span>
            )}
            {round.decided ? (
              <span>{LEVELS[round.decided]}</span>
            ) : (
              round.sent_at && <b className="border border-ink px-1.5">{t`to review`}</b>
            )}
          </li>
        ))}
      </ul>
      {link.mails.length > 0 && (
        <ul className="text-sm text-soft">
          {link.mails.map((mail) => (
            <li key={mail.id}>{mailSays(mail)}</li>
          ))}
        </ul>
      )}
      <Ask
        open={closing}
        onOpenChange={setClosing}
        title={t`Close this link?`}
        says={t`The client’s page closes immediately and permanently. Their answers are kept.`}
        keep={t`Cancel`}
        act={t`Close link`}
        onAct={() => revoke.mutate(path)}
      />
    </li>
  );
}

function mailSays(mail: Schemas["MailView"]): string {
  const what = mail.kind === "check" ? t`Questions` : t`Link`;
  switch (mail.state) {
    case "sent":
      return t`${what} emailed to ${mail.recipient} on ${shortDate(mail.sent_at ?? mail.due_at)}.`;
    case "failed":
      return t`${what} to ${mail.recipient}: not sent. ${mail.trouble}`;
    case "dropped":
      return t`${what} to ${mail.recipient}: cancelled before it was sent.`;
    case "sending":
      return t`${what} to ${mail.recipient}: sending. If this doesn’t change, it may not have been sent.`;
    default:
      return mail.trouble
        ? t`${what} to ${mail.recipient}: tried ${plural(mail.tries, { one: "once", other: "# times" })}; will try again. ${mail.trouble}`
        : t`${what} to ${mail.recipient} on ${shortDate(mail.due_at)}.`;
  }
}

/** A link for one of the client's visits. */
function NewLink({
  visits,
  onDone,
  onMade,
}: {
  visits: readonly Line[];
  onDone: () => void;
  onMade: (made: Schemas["MadeLink"]) => void;
}) {
  const { make } = useLinkDeeds();
  const languages = useLanguages().data ?? [];
  const open = visits.find((line) => line.state !== "signed" && line.state !== "changed");
  const signed = visits.find((line) => line.state === "signed" || line.state === "changed");
  const [kind, setKind] = useState<Link["kind"]>(open ? "before" : "after");
  const [language, setLanguage] = useState("en");
  const [days, setDays] = useState("");
  const visit = kind === "before" ? (open ?? visits[0]) : signed;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!visit) return;
    make.mutate(
      {
        body: {
          ...{ visit_id: visit.id, kind, language },
          days: days.trim() ? Number(days) : null,
        },
      },
      { onSuccess: onMade },
    );
  };
  return (
    <Modal
      open
      onOpenChange={(to) => !to && onDone()}
      title={t`New link`}
      says={t`A private page for the client’s phone. It opens with the link and a code; no account needed.`}
    >
      <form className="space-y-4" onSubmit={submit}>
        <Segments
          label={t`Purpose`}
          value={kind}
          onChange={(to) => setKind(to as Link["kind"])}
          choices={[
            { value: "before", label: KINDS.before },
            { value: "after", label: KINDS.after, disabled: !signed },
            { value: "workplace", label: KINDS.workplace, disabled: !signed?.shared_report },
          ]}
        />
        {visit && (
          <p className="text-sm text-soft">
            <Trans>
              For the visit on {longDate(visit.started_on)}
              {!signed && kind === "before" && t`. The other types need a signed report.`}
              {kind === "workplace" &&
                t`. It shows the changes requested in the signed report, and nothing about health.`}
            </Trans>
          </p>
        )}
        {languages.length > 1 && (
          <div>
            <p className="mb-1 font-semibold">{t`Language`}</p>
            <Segments
              label={t`Language`}
              value={language}
              onChange={setLanguage}
              choices={languages.map((language) => ({
                value: language.language,
                label: language.name,
              }))}
            />
          </div>
        )}
        <LabelledInput
          label={t`Open for (days)`}
          inputMode="numeric"
          value={days}
          placeholder={kind === "before" ? "30" : "63"}
          help={t`1 to 120 days. You can close it at any time.`}
          onChange={(event) => setDays(event.target.value.replace(/\D/g, ""))}
        />
        {make.error && <Notice role="alert">{make.error.message}</Notice>}
        <Button type="submit" look="next" disabled={make.isPending || !visit}>
          {t`Create link`}
        </Button>
      </form>
    </Modal>
  );
}

/** A link with its code, told this once. */
function Told({
  madeLink,
  email,
  onDone,
}: {
  madeLink: Schemas["MadeLink"];
  email: string;
  onDone: () => void;
}) {
  const { mail } = useLinkDeeds();
  const [copied, setCopied] = useState(false);
  return (
    <Modal
      open
      onOpenChange={(to) => !to && onDone()}
      title={t`Link and code`}
      says={t`Give the code separately, by phone or on paper. It is shown only once.`}
    >
      <div className="space-y-4">
        <p className="figures text-center text-4xl tracking-[0.25em]" data-testid="own-code">
          {madeLink.code}
        </p>
        <p className="border border-hair p-2 text-sm break-all" data-testid="own-url">
          {madeLink.url}
        </p>
        {mail.isSuccess && (
          <Notice role="status">
            <Trans>Sending to {email}.</Trans>
          </Notice>
        )}
        {mail.error && <Notice role="alert">{mail.error.message}</Notice>}
        <div className="flex flex-wrap gap-2">
          {!mail.isSuccess && madeLink.link.kind !== "workplace" && (
            <Button
              look="next"
              disabled={!email || mail.isPending}
              onClick={() => mail.mutate({ params: { path: { link_id: madeLink.link.id } } })}
            >
              {email ? t`Send the link to ${email}` : t`No email recorded`}
            </Button>
          )}
          <Button
            onClick={() =>
              void navigator.clipboard.writeText(madeLink.url).then(() => setCopied(true))
            }
          >
            {copied ? t`Copied` : t`Copy link`}
          </Button>
        </div>
      </div>
    </Modal>
  );
}
