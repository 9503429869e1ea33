import { t } from "@lingui/core/macro";
import { type FormEvent, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useAddClient, useClientChanges } from "@/shared/api/queries";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";

export type Client = Schemas["ClientView"];
type Facts = { name: string; work: string; sex: string; email: string; born: string };

/** What is kept of a client beside their visits. */
function FactFields({ facts, onChange }: { facts: Facts; onChange: (facts: Facts) => void }) {
  return (
    <>
      <LabelledInput
        label={t`Name`}
        required
        maxLength={200}
        dir="auto"
        value={facts.name}
        onChange={(event) => onChange({ ...facts, name: event.target.value })}
      />
      <LabelledInput
        label={t`Job and workplace`}
        maxLength={200}
        dir="auto"
        help={t`Don’t include health information: this appears in lists and may go to the workplace.`}
        value={facts.work}
        onChange={(event) => onChange({ ...facts, work: event.target.value })}
      />
      <LabelledInput
        label={t`Email`}
        type="email"
        maxLength={200}
        help={t`Used only to send the client their private link. The email contains no health information.`}
        value={facts.email}
        onChange={(event) => onChange({ ...facts, email: event.target.value })}
      />
      <LabelledInput
        label={t`Year of birth`}
        inputMode="numeric"
        pattern="(19|20)[0-9]{2}"
        maxLength={4}
        help={t`For letters to a clinician. Four digits, for example 1984.`}
        value={facts.born}
        onChange={(event) => onChange({ ...facts, born: event.target.value })}
      />
      <div>
        <p className="mb-1 font-semibold">{t`Reference group for estimates`}</p>
        <Segments
          label={t`Reference group for estimates`}
          value={facts.sex}
          onChange={(sex) => onChange({ ...facts, sex })}
          choices={[
            { value: "female", label: t`Women` },
            { value: "male", label: t`Men` },
            { value: "mixed", label: t`Combined` },
          ]}
        />
        <p className="mt-1 text-sm text-soft">
          {t`Used only to estimate dimensions you don’t measure.`}
        </p>
      </div>
    </>
  );
}

/** What is sent of a client's facts. */
function sent({ born, sex, ...facts }: Facts) {
  return { ...facts, sex: known(sex), birth_year: born ? Number(born) : null };
}

const known = (sex: string): "female" | "male" | null =>
  sex === "female" || sex === "male" ? sex : null;

/** A client who has not been here before; the name that was looked for comes along. */
export function NewClient({
  name,
  onDone,
  onMade,
  begins,
}: {
  /** Whether their first visit begins at once. */
  begins: boolean;
  name: string;
  onDone: () => void;
  onMade: (clientId: string) => Promise<void>;
}) {
  const add = useAddClient();
  const [id] = useNewId();
  const [facts, setFacts] = useState<Facts>({ name, work: "", sex: "", email: "", born: "" });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    try {
      const client = await add.mutateAsync({ body: { id, ...sent(facts) } });
      await onMade(client.id);
    } catch {
      // said in the form, or over the list
    }
  };
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`New client`}
      {...(begins ? { says: t`Saving also starts a new visit.` } : {})}
    >
      <form onSubmit={submit} className="space-y-4">
        <FactFields facts={facts} onChange={setFacts} />
        <Failure of={add} />
        <Button type="submit" look="next" disabled={add.isPending}>
          {add.isPending ? t`Saving…` : begins ? t`Save and start visit` : t`Save`}
        </Button>
      </form>
    </Modal>
  );
}

/** Correct a client's facts. */
export function EditClient({ client, onDone }: { client: Client; onDone: () => void }) {
  const { change } = useClientChanges();
  const { id, version } = client;
  const [facts, setFacts] = useState<Facts>({
    name: client.name,
    work: client.work,
    email: client.email,
    born: client.birth_year ? `${client.birth_year}` : "",
    sex: client.sex ?? "mixed",
  });
  return (
    <Modal open onOpenChange={(open) => !open && onDone()} title={t`Edit ${client.name}`}>
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate(
            {
              params: { path: { client_id: id } },
              body: { version, ...sent(facts) },
            },
            { onSuccess: onDone },
          );
        }}
      >
        <FactFields facts={facts} onChange={setFacts} />
        <p className="text-sm text-soft">{t`Reports already signed keep the old name.`}</p>
        {change.error && <Notice role="alert">{change.error.message}</Notice>}
        <Button type="submit" look="next" disabled={change.isPending}>
          {t`Save`}
        </Button>
      </form>
    </Modal>
  );
}
