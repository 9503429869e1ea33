import { useNavigate } from "@tanstack/react-router";
import { type FormEvent, useRef, useState } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useAddClient, useClientChanges, useClients, useVisitChanges } from "@/shared/api/queries";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";

type Client = Schemas["ClientOut"];

export function ClientsPage() {
  const clients = useClients();
  const { start } = useVisitChanges();
  const navigate = useNavigate();
  const writes = useMe().data?.role !== "reader";
  const [adding, setAdding] = useState(false);
  const [editing, setEditing] = useState<Client | null>(null);
  const [filter, setFilter] = useState("");
  // one new visit a client until it has begun, however often it is pressed
  const visitIds = useRef(new Map<string, string>());
  const begin = async (clientId: string) => {
    const id = visitIds.current.get(clientId) ?? crypto.randomUUID();
    visitIds.current.set(clientId, id);
    const visit = await start.mutateAsync({ id, client_id: clientId });
    visitIds.current.delete(clientId);
    await navigate({ to: "/visits/$visitId/$step", params: { visitId: visit.id, step: "ask" } });
  };
  const shown = (clients.data ?? []).filter((client) =>
    `${client.name} ${client.work}`.toLowerCase().includes(filter.toLowerCase()),
  );
  return (
    <>
      <header className="mb-6 flex items-center justify-between gap-6">
        <h1 className="text-2xl">Clients</h1>
        <input
          aria-label="Find a client"
          placeholder="Search by name or work"
          className="min-h-11 w-72 rounded-[3px] border border-ink/40 bg-ground px-3 placeholder:text-soft"
          value={filter}
          onChange={(event) => setFilter(event.target.value)}
        />
        {writes && (
          <Button look="next" onClick={() => setAdding(true)}>
            New client
          </Button>
        )}
      </header>
      {start.isError && (
        <Notice role="alert" className="mb-4">
          {start.error.message}
        </Notice>
      )}
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="pb-1 font-normal">Name</th>
            <th className="pb-1 font-normal">Work</th>
            <th className="pb-1 font-normal">Estimates as</th>
            <th>
              <span className="sr-only">What to do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((client) => (
            <tr key={client.id} className="border-t border-hair">
              <td className="h-13 font-semibold">{client.name}</td>
              <td className="text-soft">{client.work}</td>
              <td className="text-soft">{client.sex ?? "mixed"}</td>
              <td className="text-right whitespace-nowrap">
                {writes && (
                  <>
                    <Button
                      look="quiet"
                      aria-label={`Correct ${client.name}`}
                      onClick={() => setEditing(client)}
                    >
                      Correct
                    </Button>
                    <Button
                      look="quiet"
                      onClick={() => void begin(client.id).catch(() => undefined)}
                      disabled={start.isPending}
                    >
                      New visit
                    </Button>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {clients.data && shown.length === 0 && <p className="mt-4 text-soft">Nobody found.</p>}
      <NewClient open={adding} onOpenChange={setAdding} onMade={begin} />
      {editing && <Correct key={editing.id} client={editing} onDone={() => setEditing(null)} />}
    </>
  );
}

type Facts = { name: string; work: string; sex: string };

/** What is kept of a client beside their visits. */
function FactFields({ facts, onChange }: { facts: Facts; onChange: (facts: Facts) => void }) {
  return (
    <>
      <LabelledInput
        label="Name"
        required
        maxLength={200}
        value={facts.name}
        onChange={(event) => onChange({ ...facts, name: event.target.value })}
      />
      <LabelledInput
        label="Job and workplace"
        maxLength={200}
        help="Nothing of health: it stands in lists, and can go to the workplace."
        value={facts.work}
        onChange={(event) => onChange({ ...facts, work: event.target.value })}
      />
      <div>
        <p className="mb-1 font-semibold">Estimates as</p>
        <Segments
          label="Estimates as"
          value={facts.sex}
          onChange={(sex) => onChange({ ...facts, sex })}
          choices={[
            { value: "female", label: "Woman" },
            { value: "male", label: "Man" },
            { value: "mixed", label: "Mixed" },
          ]}
        />
        <p className="mt-1 text-sm text-soft">
          Used only to estimate dimensions you don't measure.
        </p>
      </div>
    </>
  );
}

const known = (sex: string) => (sex === "female" || sex === "male" ? sex : null);

function NewClient({
  open,
  onOpenChange,
  onMade,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onMade: (clientId: string) => Promise<void>;
}) {
  const add = useAddClient();
  const [id] = useNewId();
  const [facts, setFacts] = useState<Facts>({ name: "", work: "", sex: "" });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const client = await add.mutateAsync({ id, ...facts, sex: known(facts.sex) });
      await onMade(client.id);
    } catch {
      // said in the form, or over the list
    }
  };
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      title="New client"
      says="Saving also opens a new visit."
    >
      <form onSubmit={submit} className="space-y-4">
        <FactFields facts={facts} onChange={setFacts} />
        {add.isError && <Notice role="alert">{add.error.message}</Notice>}
        <Button type="submit" look="next" disabled={add.isPending}>
          Save and start visit
        </Button>
      </form>
    </Modal>
  );
}

/** Correct a client's facts; or erase them, which asks for the name. */
function Correct({ client, onDone }: { client: Client; onDone: () => void }) {
  const { change, erase } = useClientChanges();
  const [facts, setFacts] = useState<Facts>({
    name: client.name,
    work: client.work,
    sex: client.sex ?? "mixed",
  });
  const [erasing, setErasing] = useState(false);
  const [typed, setTyped] = useState("");
  const done = { onSuccess: onDone };
  const error = change.error ?? erase.error;
  return (
    <Modal open onOpenChange={(open) => !open && onDone()} title={client.name}>
      {erasing ? (
        <form
          className="space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            erase.mutate(client.id, done);
          }}
        >
          <p>
            Everything kept about {client.name} is erased for good: visits, measurements,
            photographs and signed reports. Local rules may ask you to keep records; nobody can
            bring this back.
          </p>
          <LabelledInput
            label="Type the name to erase it"
            value={typed}
            autoComplete="off"
            onChange={(event) => setTyped(event.target.value)}
          />
          {error && <Notice role="alert">{error.message}</Notice>}
          <div className="flex gap-2">
            <Button look="next" onClick={() => setErasing(false)}>
              Keep the client
            </Button>
            <Button type="submit" disabled={typed.trim() !== client.name.trim() || erase.isPending}>
              Delete everything
            </Button>
          </div>
        </form>
      ) : (
        <form
          className="space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            const { id, version } = client;
            change.mutate({ id, version, ...facts, sex: known(facts.sex) }, done);
          }}
        >
          <FactFields facts={facts} onChange={setFacts} />
          <p className="text-sm text-soft">Signed reports keep the name they were signed with.</p>
          {error && <Notice role="alert">{error.message}</Notice>}
          <div className="flex justify-between gap-2">
            <Button type="submit" look="next" disabled={change.isPending}>
              Save
            </Button>
            <Button look="quiet" onClick={() => setErasing(true)}>
              Delete this client …
            </Button>
          </div>
        </form>
      )}
    </Modal>
  );
}
