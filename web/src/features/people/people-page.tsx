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
import { Invite, ResetPassword, Waiting } from "./invite";
import { Languages } from "./languages";
import { Restricted } from "./restricted";

type Member = Schemas["MemberView"];

const ROLES: Record<string, string> = {
  owner: "Owner: full access, manages the team",
  practitioner: "Practitioner: clients, visits, equipment and settings",
  assistant: "Assistant: names, contact data and equipment, no health data",
  reader: "Reader: who came when, and the workplace's copies",
};

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
      <PageHead title="Practice" says={me?.practice}>
        {owns && (
          <>
            <Link to="/audit-log" className="inline-flex min-h-11 items-center px-3 underline">
              Audit log
            </Link>
            <Link to="/retention" className="inline-flex min-h-11 items-center px-3 underline">
              Retention and erasure
            </Link>
            <Link to="/status" className="inline-flex min-h-11 items-center px-3 underline">
              Backups and mail
            </Link>
            <Button look="next" onClick={() => setInviting(true)}>
              Invite a member
            </Button>
          </>
        )}
      </PageHead>
      <Failure of={grant} className="mb-4" />
      {members.isPending && <Skeleton lines={4} label="Fetching people" />}
      <h2 className="border-b border-ink pb-1 text-lg">Team</h2>
      <ul aria-label="Team" className="border-b border-hair">
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
                  May read visits with health data
                </CheckBox>
              )}
            </div>
            <span className="min-h-11 desk:text-right">
              {owns && member.has_second_factor && member.email !== me?.email && (
                <Button
                  look="quiet"
                  className="-ml-4 desk:ml-0"
                  disabled={reset.isPending}
                  onClick={() => reset.mutate({ params: { path: { member_id: member.id } } })}
                >
                  Reset second factor
                  <Whose>{member.name}</Whose>
                </Button>
              )}
              {owns && member.email !== me?.email && (
                <Button
                  look="quiet"
                  className="-ml-4 desk:ml-0"
                  onClick={() => setResetting(member)}
                >
                  Reset password
                  <Whose>{member.name}</Whose>
                </Button>
              )}
              {owns && member.email !== me?.email && (
                <Button look="quiet" className="-ml-4 desk:ml-0" onClick={() => setLeaving(member)}>
                  Has left
                  <Whose>{member.name}</Whose>
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
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

const SUMS = [
  ["price_small", "A small purchase", "Footrest, cushion, short keyboard."],
  ["price_medium", "A medium one", "Task chair, screen arm, tray."],
  ["price_large", "A large one", "Sit-stand desk."],
] as const;

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
    SUMS.some(([name], index) => typed[index] !== me[name]);
  return (
    <form
      className="mt-10 max-w-[560px] space-y-4"
      aria-label="Settings"
      onSubmit={(event) => {
        event.preventDefault();
        const [price_small = null, price_medium = null, price_large = null] = typed;
        const prices = { price_small, price_medium, price_large, currency };
        practice.mutate({
          body: {
            ...{ time_zone: zone, date_order: order, local_wording: wording, letterhead, contact },
            ...prices,
            second_factor: second,
            idle_minutes: Number(idle),
            device_days: Number(days),
          },
        });
      }}
    >
      <h2 className="border-b border-ink pb-1 text-lg">Settings</h2>
      <LabelledInput
        label="Time zone"
        list="zones"
        required
        value={zone}
        onChange={(event) => setZone(event.target.value)}
        help="Days of visits and signatures are those of this place."
      />
      <datalist id="zones">
        {Intl.supportedValuesOf("timeZone").map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <div>
        <p className="mb-1 font-semibold">Days in numbers</p>
        <Segments
          label="Days in numbers"
          value={order}
          onChange={(next) => setOrder(next === "mdy" ? "mdy" : "dmy")}
          choices={[
            { value: "dmy", label: "Day first, 25/12" },
            { value: "mdy", label: "Month first, 12/25" },
          ]}
        />
        <p className="text-sm text-soft">
          How a typed day is read, and whether a week begins on Monday or Sunday. Shown days have
          the month in words.
        </p>
      </div>
      <LabelledText
        label="Letterhead"
        rows={3}
        maxLength={500}
        value={letterhead}
        onChange={(event) => setLetterhead(event.target.value)}
        help="Lines beside the practice's name on every paper: address, hours."
      />
      <LabelledInput
        label="Whom to call"
        maxLength={200}
        value={contact}
        onChange={(event) => setContact(event.target.value)}
        help="A name and a number for clients' questions, on every paper."
      />
      <LabelledText
        label="Local wording"
        rows={3}
        maxLength={2000}
        value={wording}
        onChange={(event) => setWording(event.target.value)}
        help="What local rules or your insurer want on every paper."
      />
      <fieldset className="grid gap-3 desk:grid-cols-2">
        <legend className="mb-1 font-semibold">What things cost here</legend>
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
          label="Currency"
          maxLength={8}
          value={currency}
          onChange={(event) => setCurrency(event.target.value)}
          help="Behind every sum, as EUR."
        />
      </fieldset>
      <CheckBox checked={second} onChange={setSecond}>
        Everybody signs in with a second factor
      </CheckBox>
      <LabelledInput
        label="Lock the page after (minutes)"
        type="number"
        required
        min={1}
        max={240}
        value={idle}
        onChange={(event) => setIdle(event.target.value)}
        help="Counted from the last touch. Nothing is lost; the password opens it again."
      />
      <LabelledInput
        label="Work without network for (days)"
        type="number"
        required
        min={1}
        max={60}
        value={days}
        onChange={(event) => setDays(event.target.value)}
        help="Counted from the last time a device reached the server. Then it erases its copies."
      />
      <Failure of={practice} />
      <Button type="submit" disabled={!changed || practice.isPending}>
        Save
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
      title={`${member.name} has left?`}
      says="They are signed out everywhere at once and can't come in again. What they wrote keeps their name."
    >
      <Failure of={remove} />
      <div className="flex gap-2">
        <Button
          disabled={remove.isPending}
          onClick={() =>
            remove.mutate({ params: { path: { member_id: member.id } } }, { onSuccess: onDone })
          }
        >
          Take them out
        </Button>
        <Button look="quiet" onClick={onDone}>
          Leave it as it is
        </Button>
      </div>
    </Modal>
  );
}
