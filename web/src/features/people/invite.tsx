import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type FormEvent, useEffect, useState } from "react";
import { useInvitations } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { dayOf, longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Segments } from "@/shared/ui/segments";
import { Whose } from "@/shared/ui/whose";
import { said } from "@/shared/words/said";

type Role = Schemas["NewInvitation"]["role"];
type Made = Schemas["MadeDoor"];

const ROLES: readonly { value: Role; label: string; says: string }[] = said([
  {
    value: "practitioner",
    label: msg`Practitioner`,
    says: msg`Works with clients: visits, photos, reports and equipment.`,
  },
  {
    value: "assistant",
    label: msg`Assistant`,
    says: msg`Manages names, contacts and equipment. No access to visits or health data.`,
  },
  {
    value: "reader",
    label: msg`Reader`,
    says: msg`Sees visit dates and workplace copies. Health data only if an owner grants access.`,
  },
  { value: "owner", label: msg`Owner`, says: msg`Full access, including managing the team.` },
]);

const onDay = (moment: string) => longDate(dayOf(new Date(moment)));

/** Invite somebody: by mail, or with a link to hand over where no mail server is set up. */
export function Invite({ onDone }: { onDone: () => void }) {
  const { invite } = useInvitations();
  const [given, setGiven] = useState({ name: "", title: "", email: "" });
  const [role, setRole] = useState<Role>("practitioner");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    invite.mutate({ body: { ...given, role } });
  };
  if (invite.data) return <Told madeDoor={invite.data} title={t`Invited`} onDone={onDone} />;
  const line = (key: keyof typeof given, label: string, type = "text") => (
    <LabelledInput
      label={label}
      type={type}
      required={key !== "title"}
      autoComplete="off"
      maxLength={200}
      value={given[key]}
      onChange={(event) => setGiven({ ...given, [key]: event.target.value })}
    />
  );
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`Invite a member`}
      says={t`They choose their own password with a single-use link, valid for 7 days.`}
    >
      <form onSubmit={submit} className="space-y-4">
        {line("name", t`Name`)}
        {line("title", t`Profession or title`)}
        {line("email", t`Email`, "email")}
        <div>
          <Segments
            label={t`Role`}
            value={role}
            onChange={(value) => setRole(value as Role)}
            choices={ROLES}
          />
          <p className="mt-1 text-sm text-soft">{ROLES.find((one) => one.value === role)?.says}</p>
        </div>
        <Failure of={invite} />
        <Button type="submit" look="next" disabled={invite.isPending}>
          {t`Send invitation`}
        </Button>
      </form>
    </Modal>
  );
}

/** Send a colleague a link to reset their password. */
export function ResetPassword({
  member,
  onDone,
}: {
  member: Schemas["MemberView"];
  onDone: () => void;
}) {
  const { reset } = useInvitations();
  if (reset.data) return <Told madeDoor={reset.data} title={t`Link created`} onDone={onDone} />;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`Reset the password of ${member.name}?`}
      says={t`Sends a single-use link, valid for one hour. Their current password works until they choose a new one; two-step sign-in stays on.`}
    >
      <Failure of={reset} />
      <div className="flex gap-2">
        <Button
          look="next"
          disabled={reset.isPending}
          onClick={() => reset.mutate({ params: { path: { member_id: member.id } } })}
        >
          {t`Create link`}
        </Button>
        <Button look="quiet" onClick={onDone}>
          {t`Cancel`}
        </Button>
      </div>
    </Modal>
  );
}

/** What became of a link just made: mailed, or told here, this once. */
function Told({ madeDoor, title, onDone }: { madeDoor: Made; title: string; onDone: () => void }) {
  const [copied, setCopied] = useState(false);
  useEffect(() => {
    if (!copied) return;
    const soon = setTimeout(() => setCopied(false), 3000);
    return () => clearTimeout(soon);
  }, [copied]);
  return (
    <Modal open onOpenChange={(open) => !open && onDone()} title={title}>
      <div className="space-y-4">
        {madeDoor.mailed ? (
          <p role="status">
            <Trans>An email with the link is on its way to {madeDoor.link.email}.</Trans>
          </p>
        ) : (
          <>
            <p role="status">
              <Trans>
                Email is not set up here. Give this link to {madeDoor.link.email} yourself. It is
                shown once and works once.
              </Trans>
            </p>
            <p className="figures bg-deep p-3 break-all select-all">{madeDoor.url}</p>
            <Button
              onClick={() =>
                void navigator.clipboard
                  ?.writeText(madeDoor.url)
                  .then(() => setCopied(true))
                  .catch(() => undefined)
              }
            >
              {copied ? t`Copied` : t`Copy link`}
            </Button>
          </>
        )}
        <Button look="next" onClick={onDone}>
          {t`Done`}
        </Button>
      </div>
    </Modal>
  );
}

const MAIL: Record<Schemas["WaitingLink"]["letter"], string> = said({
  "": msg`handed over by hand`,
  waiting: msg`mail waits to be sent`,
  sending: msg`mail is being sent`,
  sent: msg`mail sent`,
  failed: msg`mail failed`,
  dropped: msg`mail let go`,
});

/** Links that wait to be opened. */
export function Waiting() {
  const { waiting, again, withdraw } = useInvitations();
  const [made, setMade] = useState<Made | null>(null);
  const links = waiting.data ?? [];
  if (links.length === 0) return null;
  return (
    <section aria-label={t`Pending invitations`} className="mt-8">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Pending invitations`}</h2>
      <ul className="border-b border-hair">
        {links.map((link) => (
          <li
            key={link.id}
            className="grid gap-x-5 border-t border-hair py-1.5 desk:grid-cols-[1fr_1fr_1.3fr_230px] desk:items-center"
          >
            <span className="font-semibold">{link.name}</span>
            <span className="figures text-soft">{link.email}</span>
            <span className="text-soft">
              <Trans>
                {link.kind === "reset"
                  ? t`Password reset`
                  : ROLES.find(({ value }) => value === link.role)?.label}
                , until {onDay(link.ends_at)}: {MAIL[link.letter]}
                {link.trouble && link.letter !== "sent" && `. ${link.trouble}`}
              </Trans>
            </span>
            <span className="desk:text-end">
              <Button
                look="quiet"
                className="-ms-4 desk:ms-0"
                disabled={again.isPending}
                onClick={() =>
                  again.mutate({ params: { path: { door_id: link.id } } }, { onSuccess: setMade })
                }
              >
                {t`New link`}
                <Whose>{link.name}</Whose>
              </Button>
              <Button
                look="quiet"
                disabled={withdraw.isPending}
                onClick={() => withdraw.mutate({ params: { path: { door_id: link.id } } })}
              >
                {t`Withdraw`}
                <Whose>{link.name}</Whose>
              </Button>
            </span>
          </li>
        ))}
      </ul>
      {made && <Told madeDoor={made} title={t`Link created`} onDone={() => setMade(null)} />}
    </section>
  );
}
