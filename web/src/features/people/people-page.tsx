import { msg, t } from "@lingui/core/macro";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { useMe, useMemberChanges, useMembers, usePractice } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput, LabelledText } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { PageHead } from "@/shared/ui/page-head";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { Whose } from "@/shared/ui/whose";
import { said } from "@/shared/words/said";
import { type Hours, HoursFields, hoursOf } from "./hours";
import { Invite, ResetPassword, Waiting } from "./invite";
import { Languages } from "./languages";
import { Phrases } from "./phrases";
import { Restricted } from "./restricted";

type Member = Schemas["MemberView"];

const ROLES: Record<string, string> = said({
  owner: msg`Owner: full access, manages the team`,
  practitioner: msg`Practitioner: clients, visits, equipment and settings`,
  assistant: msg`Assistant: names, contact data and equipment, no health data`,
  reader: msg`Reader: visit dates and workplace copies`,
});

export function PeoplePage() {
  const me = useMe().data;
  const members = useMembers();
  const { grant, reset } = useMemberChanges();
  const [inviting, setInviting] = useState(false);
  const [leaving, setLeaving] = useState<Member | null>(null);
  const [resetting, setResetting] = useState<Member | null>(null);
  const owns = me?.role === "owner";
  return (
    <>
      <PageHead title={t`Practice`} says={me?.practice}>
        {owns && (
          <>
            <Link to="/audit-log" className="inline-flex min-h-11 items-center px-3 underline">
              {t`Activity log`}
            </Link>
            <Link to="/retention" className="inline-flex min-h-11 items-center px-3 underline">
              {t`Data retention`}
            </Link>
            <Link to="/status" className="inline-flex min-h-11 items-center px-3 underline">
              {t`Backups and email`}
            </Link>
            <Button look="next" onClick={() => setInviting(true)}>
              {t`Invite a member`}
            </Button>
          </>
        )}
      </PageHead>
      <Failure of={grant} className="mb-4" />
      {members.isPending && <Skeleton lines={4} label={t`Loading`} />}
      <h2 className="border-b border-ink pb-1 text-lg">{t`Team`}</h2>
      <ul aria-label={t`Team`} className="border-b border-hair">
        {members.data?.map((member) => (
          <li
            key={member.id}
            className="grid gap-x-5 gap-y-1 border-t border-hair py-2.5 desk:grid-cols-[1fr_1fr_1.3fr_230px] desk:items-center"
          >
            <p>
              <span className="font-semibold">{member.name}</span>{" "}
              <span className="text-soft">{member.title}</span>
            </p>
            <p className="figures text-soft">{member.email}</p>
            <div className="text-soft">
              {ROLES[member.role]}
              {member.role === "reader" && (
                <CheckBox
                  className="text-ink"
                  checked={member.sees_health}
                  disabled={!owns || grant.isPending}
                  onChange={(sees) =>
                    grant.mutate({
                      params: { path: { member_id: member.id } },
                      body: { sees_health: sees },
                    })
                  }
                >
                  {t`Can view health data`}
                </CheckBox>
              )}
            </div>
            <span className="-ms-4 flex min-h-11 flex-wrap desk:ms-0 desk:justify-end">
              {owns && member.has_second_factor && member.email !== me?.email && (
                <Button
                  look="quiet"
                  disabled={reset.isPending}
                  onClick={() => reset.mutate({ params: { path: { member_id: member.id } } })}
                >
                  {t`Reset two-step sign-in`}
                  <Whose>{member.name}</Whose>
                </Button>
              )}
              {owns && member.email !== me?.email && (
                <Button look="quiet" onClick={() => setResetting(member)}>
                  {t`Reset password`}
                  <Whose>{member.name}</Whose>
                </Button>
              )}
              {owns && member.email !== me?.email && (
                <Button look="quiet" onClick={() => setLeaving(member)}>
                  {t`Remove from team…`}
                  <Whose>{member.name}</Whose>
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
      {me?.writes && <Phrases />}
      {owns && <Waiting />}
      {owns && <Restricted />}
      {owns && me && <PracticeForm key={JSON.stringify(me)} me={me} />}
      {owns && <Languages />}
      {inviting && <Invite onDone={() => setInviting(false)} />}
      {resetting && <ResetPassword member={resetting} onDone={() => setResetting(null)} />}
      {leaving && <Leave member={leaving} onDone={() => setLeaving(null)} />}
    </>
  );
}

const SUMS = said([
  ["price_small", msg`Small purchase`, msg`For example a footrest, cushion or compact keyboard.`],
  [
    "price_medium",
    msg`Medium purchase`,
    msg`For example a task chair, screen arm or keyboard tray.`,
  ],
  ["price_large", msg`Large purchase`, msg`For example a sit-stand desk.`],
]);

const shownSum = (sum: number | null) => (sum === null ? "" : String(sum));

/** What holds for the whole practice: on which day a moment falls, its own words on papers, and what things cost. */
function PracticeForm({ me }: { me: Schemas["Me"] }) {
  const practice = usePractice();
  const [zone, setZone] = useState(me.time_zone);
  const [order, setOrder] = useState(me.date_order);
  const [wording, setWording] = useState(me.local_wording);
  const [letterhead, setLetterhead] = useState(me.letterhead);
  const [contact, setContact] = useState(me.contact);
  const [currency, setCurrency] = useState(me.currency);
  const [second, setSecond] = useState(me.second_factor);
  const [idle, setIdle] = useState(`${me.idle_minutes}`);
  const [days, setDays] = useState(`${me.device_days}`);
  const [hours, setHours] = useState<Hours>(hoursOf(me));
  const [sums, setSums] = useState(SUMS.map(([name]) => shownSum(me[name])));
  const typed = sums.map((sum) => (sum.trim() ? Number(sum.replace(",", ".")) : null));
  const changed =
    zone !== me.time_zone ||
    order !== me.date_order ||
    wording !== me.local_wording ||
    letterhead !== me.letterhead ||
    contact !== me.contact ||
    currency !== me.currency ||
    second !== me.second_factor ||
    Number(idle) !== me.idle_minutes ||
    Number(days) !== me.device_days ||
    JSON.stringify(hours) !== JSON.stringify(hoursOf(me)) ||
    SUMS.some(([name], index) => typed[index] !== me[name]);
  return (
    <form
      className="mt-10 max-w-[560px] space-y-4"
      aria-label={t`Settings`}
      onSubmit={(event) => {
        event.preventDefault();
        const [price_small = null, price_medium = null, price_large = null] = typed;
        const prices = { price_small, price_medium, price_large, currency };
        practice.mutate({
          body: {
            ...{ time_zone: zone, date_order: order, local_wording: wording, letterhead, contact },
            ...prices,
            ...hours,
            second_factor: second,
            idle_minutes: Number(idle),
            device_days: Number(days),
          },
        });
      }}
    >
      <h2 className="border-b border-ink pb-1 text-lg">{t`Settings`}</h2>
      <LabelledInput
        label={t`Time zone`}
        list="zones"
        required
        value={zone}
        onChange={(event) => setZone(event.target.value)}
        help={t`Dates of visits and signatures use this time zone.`}
      />
      <datalist id="zones">
        {Intl.supportedValuesOf("timeZone").map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <div>
        <p className="mb-1 font-semibold">{t`Date format`}</p>
        <Segments
          label={t`Date format`}
          value={order}
          onChange={(next) => setOrder(next === "mdy" ? "mdy" : "dmy")}
          choices={[
            { value: "dmy", label: t`Day first, 25/12` },
            { value: "mdy", label: t`Month first, 12/25` },
          ]}
        />
        <p className="text-sm text-soft">
          {t`How typed dates are read, and whether the week starts on Monday or Sunday. Displayed dates show the month in words.`}
        </p>
      </div>
      <LabelledText
        label={t`Letterhead`}
        rows={3}
        maxLength={500}
        value={letterhead}
        onChange={(event) => setLetterhead(event.target.value)}
        help={t`Shown next to the practice’s name on every report: address, opening hours.`}
      />
      <LabelledInput
        label={t`Contact`}
        maxLength={200}
        value={contact}
        onChange={(event) => setContact(event.target.value)}
        help={t`A name and phone number for clients’ questions, on every report.`}
      />
      <LabelledText
        label={t`Local wording`}
        rows={3}
        maxLength={2000}
        value={wording}
        onChange={(event) => setWording(event.target.value)}
        help={t`Text that local rules or your insurer require on every report.`}
      />
      <HoursFields hours={hours} onChange={setHours} />
      <fieldset className="grid gap-3 desk:grid-cols-2">
        <legend className="mb-1 font-semibold">{t`Typical prices`}</legend>
        {SUMS.map(([name, label, help], index) => (
          <LabelledInput
            key={name}
            label={label}
            inputMode="decimal"
            pattern="[0-9]{0,7}([.,][0-9]{1,2})?"
            value={sums[index] ?? ""}
            onChange={(event) => setSums(sums.with(index, event.target.value))}
            help={help}
          />
        ))}
        <LabelledInput
          label={t`Currency`}
          maxLength={8}
          value={currency}
          onChange={(event) => setCurrency(event.target.value)}
          help={t`Currency code, for example EUR.`}
        />
      </fieldset>
      <CheckBox checked={second} onChange={setSecond}>
        {t`Require two-step sign-in for everyone`}
      </CheckBox>
      <LabelledInput
        label={t`Lock after (minutes of inactivity)`}
        type="number"
        required
        min={1}
        max={240}
        value={idle}
        onChange={(event) => setIdle(event.target.value)}
        help={t`Your work is kept; you need your password to continue.`}
      />
      <LabelledInput
        label={t`Offline access (days)`}
        type="number"
        required
        min={1}
        max={60}
        value={days}
        onChange={(event) => setDays(event.target.value)}
        help={t`After this many days without contact with the server, a device deletes its copies.`}
      />
      <Failure of={practice} />
      <Button type="submit" disabled={!changed || practice.isPending}>
        {t`Save`}
      </Button>
    </form>
  );
}

function Leave({ member, onDone }: { member: Member; onDone: () => void }) {
  const { remove } = useMemberChanges();
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`Remove ${member.name} from the team?`}
      says={t`They are signed out everywhere immediately and can’t sign in again. Their entries keep their name.`}
    >
      <Failure of={remove} />
      <div className="flex gap-2">
        <Button
          disabled={remove.isPending}
          onClick={() =>
            remove.mutate({ params: { path: { member_id: member.id } } }, { onSuccess: onDone })
          }
        >
          {t`Remove from team`}
        </Button>
        <Button look="quiet" onClick={onDone}>
          {t`Cancel`}
        </Button>
      </div>
    </Modal>
  );
}
