import { msg, t } from "@lingui/core/macro";
import { type FormEvent, useState } from "react";
import { useMe } from "@/shared/api/account";
import {
  type Agenda,
  type Appointment,
  type AppointmentFacts,
  factsOf,
  useAppointments,
} from "@/shared/api/agenda";
import { useClients } from "@/shared/api/queries";
import { clockMinutes, typedClock } from "@/shared/clock";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Download } from "@/shared/ui/download";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Segments } from "@/shared/ui/segments";
import { Select } from "@/shared/ui/select";
import { useLater } from "@/shared/use-later";
import { said } from "@/shared/words/said";
import { useMove } from "./use-move";
import { KIND_WORDS } from "./words";

const LENGTHS = [15, 20, 30, 45, 60, 90, 120] as const;
const PLACES = said([
  { value: "room", label: msg`Here` },
  { value: "address", label: msg`Client’s place` },
  { value: "call", label: msg`Call` },
]);

/** Make an appointment, or change one: with whom, when, how long, where. */
export function AppointmentDialog({
  agenda,
  line,
  free,
  onDone,
}: {
  agenda: Agenda;
  /** The one that is changed. */
  line?: Appointment;
  /** The time that a new one begins with. */
  free?: { on: string; at: number };
  onDone: () => void;
}) {
  const me = useMe().data;
  const { add, change } = useAppointments();
  const { cancel } = useMove();
  const usual = (kind: Appointment["kind"]) => agenda.usual_minutes[kind] ?? LENGTHS[0];
  const [id] = useNewId();
  const mine = agenda.members.find((member) => member.id === me?.id) ?? agenda.members[0];
  const [client, setClient] = useState(
    line ? { id: line.client_id, name: line.client, email: line.email } : null,
  );
  const [facts, setFacts] = useState<Omit<AppointmentFacts, "client_id">>(
    line
      ? factsOf(line)
      : {
          member_id: mine?.id ?? "",
          on: free?.on ?? agenda.today,
          at: free?.at ?? agenda.opens_at,
          minutes: usual("visit"),
          kind: "visit",
          place_kind: "room",
          place: agenda.rooms[0] ?? "",
          mail_client: true,
        },
  );
  const put = (some: Partial<typeof facts>) => setFacts({ ...facts, ...some });
  const doing = line ? change : add;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!client) return;
    const body = { ...facts, client_id: client.id };
    const done = { onSuccess: onDone };
    if (line)
      change.mutate(
        {
          params: { path: { appointment_id: line.id } },
          body: { ...body, version: line.version },
        },
        done,
      );
    else add.mutate({ body: { id, ...body } }, done);
  };
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={line ? t`Appointment: ${line.client}` : t`New appointment`}
    >
      <form onSubmit={submit} className="space-y-4">
        {!line && <ClientPick chosen={client} onChoose={setClient} />}
        <Segments
          label={t`Kind of appointment`}
          value={facts.kind}
          onChange={(kind) => {
            const next = kind as Appointment["kind"];
            put({ kind: next, ...(line ? {} : { minutes: usual(next) }) });
          }}
          choices={Object.entries(KIND_WORDS).map(([value, label]) => ({ value, label }))}
        />
        <div className="grid gap-3 desk:grid-cols-2">
          <LabelledInput
            label={t`Day`}
            type="date"
            required
            value={facts.on}
            onChange={(event) => put({ on: event.target.value })}
          />
          <LabelledInput
            label={t`Time`}
            type="time"
            required
            step={300}
            value={typedClock(facts.at)}
            onChange={(event) => put({ at: clockMinutes(event.target.value) })}
          />
        </div>
        <div>
          <p className="mb-1 font-semibold">{t`Length (minutes)`}</p>
          <Segments
            label={t`Length (minutes)`}
            value={`${facts.minutes}`}
            onChange={(minutes) => put({ minutes: Number(minutes) })}
            choices={[...new Set([...LENGTHS, facts.minutes ?? usual("visit")])]
              .sort((a, b) => a - b)
              .map((minutes) => ({ value: `${minutes}`, label: `${minutes}` }))}
          />
        </div>
        <div>
          <p className="mb-1 font-semibold">{t`Place`}</p>
          <Segments
            label={t`Place`}
            value={facts.place_kind ?? "room"}
            onChange={(kind) =>
              put({
                place_kind: kind as Appointment["place_kind"],
                place: kind === "room" ? (agenda.rooms[0] ?? "") : "",
              })
            }
            choices={PLACES}
          />
        </div>
        <LabelledInput
          label={
            { room: t`Room`, address: t`Address`, call: t`Phone number or link` }[
              facts.place_kind ?? "room"
            ]
          }
          maxLength={200}
          dir="auto"
          {...(facts.place_kind === "room" ? { list: "rooms" } : {})}
          value={facts.place ?? ""}
          onChange={(event) => put({ place: event.target.value })}
        />
        <datalist id="rooms">
          {agenda.rooms.map((room) => (
            <option key={room} value={room} />
          ))}
        </datalist>
        <div>
          <p className="mb-1 font-semibold">{t`With`}</p>
          <Select
            label={t`With`}
            className="w-full"
            value={facts.member_id}
            onChange={(member_id) => put({ member_id })}
            options={agenda.members.map(({ id, name }) => ({ value: id, label: name }))}
          />
        </div>
        {agenda.mail && (
          <CheckBox
            checked={(facts.mail_client ?? true) && client?.email !== false}
            disabled={client?.email === false}
            onChange={(mail_client) => put({ mail_client })}
          >
            {client?.email === false
              ? t`No email recorded for this client`
              : t`Email the client the appointment, any change, and a reminder the day before`}
          </CheckBox>
        )}
        <Failure of={doing} />
        <div className="flex flex-wrap gap-2">
          <Button type="submit" look="next" disabled={!client || doing.isPending}>
            {t`Save`}
          </Button>
          {line && (
            <Download
              look="quiet"
              href={`/api/appointments/${line.id}/invitation.ics`}
              file="appointment.ics"
            >
              {t`Calendar file for the client`}
            </Download>
          )}
          {line && (
            <Button
              look="quiet"
              onClick={() => {
                cancel(line);
                onDone();
              }}
            >
              {t`Cancel appointment`}
            </Button>
          )}
        </div>
      </form>
    </Modal>
  );
}

type Chosen = { id: string; name: string; email: boolean };

/** Which client: a few letters find them. */
function ClientPick({
  chosen,
  onChoose,
}: {
  chosen: Chosen | null;
  onChoose: (client: Chosen | null) => void;
}) {
  const [words, setWords] = useState("");
  const clients = useClients({ q: useLater(words) }).data ?? [];
  if (chosen)
    return (
      <p className="flex flex-wrap items-center justify-between gap-2">
        <span className="font-semibold" dir="auto">
          {chosen.name}
        </span>
        <Button look="quiet" onClick={() => onChoose(null)}>
          {t`Choose another client`}
        </Button>
      </p>
    );
  return (
    <div>
      <LabelledInput
        label={t`Client`}
        dir="auto"
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <ul aria-label={t`Clients`} className="mt-1 max-h-48 overflow-auto border-b border-hair">
        {clients.slice(0, 20).map(({ id, name, work, email }) => (
          <li key={id} className="border-t border-hair">
            <button
              type="button"
              className="min-h-11 w-full px-2 text-start hover:bg-deep"
              onClick={() => onChoose({ id, name, email: email !== "" })}
              dir="auto"
            >
              <span className="font-semibold">{name}</span>{" "}
              <span className="text-sm text-soft">{work}</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
