import { useNavigate } from "@tanstack/react-router";
import { type FormEvent, useState } from "react";
import { useAddClient, useClients, useMe, useStartVisit } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";

export function ClientsPage() {
  const clients = useClients();
  const start = useStartVisit();
  const navigate = useNavigate();
  const writes = useMe().data?.role !== "reader";
  const [adding, setAdding] = useState(false);
  const [filter, setFilter] = useState("");
  const begin = async (clientId: string) => {
    const visit = await start.mutateAsync(clientId);
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
          placeholder="Find by name or work"
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
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th className="pb-1 font-normal">Name</th>
            <th className="pb-1 font-normal">Work</th>
            <th className="pb-1 font-normal">Estimates as</th>
            <th>
              <span className="sr-only">Visit</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((client) => (
            <tr key={client.id} className="border-t border-hair">
              <td className="h-13 font-semibold">{client.name}</td>
              <td className="text-soft">{client.work}</td>
              <td className="text-soft">{client.sex ?? "mixed"}</td>
              <td className="text-right">
                {writes && (
                  <Button look="quiet" onClick={() => begin(client.id)} disabled={start.isPending}>
                    Start a visit
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {clients.data && shown.length === 0 && <p className="mt-4 text-soft">Nobody found.</p>}
      <NewClient open={adding} onOpenChange={setAdding} onMade={begin} />
    </>
  );
}

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
  const [name, setName] = useState("");
  const [work, setWork] = useState("");
  const [sex, setSex] = useState("");
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const known = sex === "female" || sex === "male" ? sex : null;
    const client = await add.mutateAsync({ name, work, sex: known });
    await onMade(client.id);
  };
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      title="New client"
      says="The visit starts at once."
    >
      <form onSubmit={submit} className="space-y-4">
        <LabelledInput
          label="Name"
          required
          maxLength={200}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <LabelledInput
          label="Work and place"
          maxLength={200}
          value={work}
          onChange={(event) => setWork(event.target.value)}
        />
        <div>
          <p className="mb-1 font-semibold">Estimates as</p>
          <Segments
            label="Estimates as"
            value={sex}
            onChange={setSex}
            choices={[
              { value: "female", label: "Woman" },
              { value: "male", label: "Man" },
              { value: "mixed", label: "Mixed" },
            ]}
          />
          <p className="mt-1 text-sm text-soft">
            Only for lengths nobody measures: which population an estimate comes from.
          </p>
        </div>
        {add.isError && <Notice role="alert">{add.error.message}</Notice>}
        <Button type="submit" look="next" disabled={add.isPending}>
          Start the visit
        </Button>
      </form>
    </Modal>
  );
}
