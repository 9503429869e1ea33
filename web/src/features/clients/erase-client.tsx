import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { type Schemas, sendLater, server } from "@/shared/api/client";
import { stale } from "@/shared/api/stale";
import { dayOf, longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Download } from "@/shared/ui/download";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";

type Erasure = Schemas["ErasureView"];
type Reason = "asked" | "due" | "mistake";
type Who = { id: string; name: string };

const onDay = (moment: string) => longDate(dayOf(new Date(moment)));

const PATHS = {
  client: "/api/clients/{client_id}",
  photographs: "/api/clients/{client_id}/photographs",
} as const;

const HELD = ["/api/clients", "/api/visits", "/api/retention", "/api/visits/{visit_id}"] as const;

/** Erase a client, or their photographs: the name is asked for, and the proof handed over. */
export function Erase({
  what,
  client,
  due = false,
  onDone,
  onErased,
}: {
  what: keyof typeof PATHS;
  client: Who;
  /** Its retention period has ended. */
  due?: boolean;
  onDone: () => void;
  onErased: () => void;
}) {
  const queries = useQueryClient();
  const [erased, setErased] = useState<Erasure | null>(null);
  // lists are asked anew once the proof is put away: what shows it would be gone with the client
  const done = () => {
    onErased();
    void stale(queries, ...HELD);
  };
  if (erased) return <Proof erasure={erased} name={client.name} onDone={done} />;
  return <Asked what={what} client={client} due={due} onDone={onDone} onErased={setErased} />;
}

function Asked({
  what,
  client,
  due,
  onDone,
  onErased,
}: {
  what: keyof typeof PATHS;
  client: Who;
  due: boolean;
  onDone: () => void;
  onErased: (erasure: Erasure) => void;
}) {
  const [typed, setTyped] = useState("");
  const [reason, setReason] = useState<Reason>(due ? "due" : "asked");
  const erase = server.useMutation("delete", PATHS[what], { onSuccess: onErased });
  const says =
    what === "client"
      ? t`${client.name} will be permanently deleted, with all visits, measurements, photos and signed reports. You may be legally required to keep records. This can’t be undone.`
      : t`All photos of ${client.name} will be permanently deleted, with the points marked on them. Signed reports are kept without photos. This can’t be undone.`;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={
        what === "client" ? t`Delete ${client.name}?` : t`Delete the photos of ${client.name}?`
      }
      says={says}
    >
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          erase.mutate({ params: { path: { client_id: client.id }, query: { reason } } });
        }}
      >
        <Segments
          label={t`Reason`}
          value={reason}
          onChange={(value) => setReason(value as Reason)}
          choices={[
            { value: "asked", label: t`Requested by the client` },
            { value: "due", label: t`Retention period has ended` },
            { value: "mistake", label: t`Created by mistake` },
          ]}
        />
        <LabelledInput
          label={t`Type the client’s name to confirm`}
          value={typed}
          autoComplete="off"
          dir="auto"
          onChange={(event) => setTyped(event.target.value)}
        />
        {erase.error && <Notice role="alert">{erase.error.message}</Notice>}
        <div className="flex flex-wrap gap-2">
          <Button look="next" onClick={onDone}>
            {t`Cancel`}
          </Button>
          <Button type="submit" disabled={typed.trim() !== client.name.trim() || erase.isPending}>
            {what === "client" ? t`Delete client` : t`Delete photos`}
          </Button>
        </div>
      </form>
    </Modal>
  );
}

/** What was erased, once it is: the name stands here and on the paper, and nowhere else any more. */
function Proof({ erasure, name, onDone }: { erasure: Erasure; name: string; onDone: () => void }) {
  return (
    <Modal open onOpenChange={(open) => !open && onDone()} title={t`Deleted`}>
      <div className="space-y-4">
        <div role="status">
          <p>
            <Trans>
              {erasure.what === "client" ? name : t`The photos of ${name}`}, on {onDay(erasure.at)}:
            </Trans>
          </p>
          <ul className="figures mt-1 list-disc ps-5">
            {erasure.counts.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </div>
        <p>{afterwards(erasure)}</p>
        <div className="flex flex-wrap gap-2">
          <ProofPaper erasure={erasure} name={name} />
          <Button look="next" onClick={onDone}>
            {t`Done`}
          </Button>
        </div>
      </div>
    </Modal>
  );
}

/** What was searched after an erasure, and until when backups hold what is gone. */
export function afterwards({ left_over, backups_until }: Erasure): string {
  const searched = left_over
    ? plural(left_over, {
        one: "# row still contains it. Contact your administrator.",
        other: "# rows still contain it. Contact your administrator.",
      })
    : t`Checked afterwards: nothing is left in the database.`;
  const backups = backups_until
    ? t`Earlier backups contain it until ${onDay(backups_until)}.`
    : t`No backups are made by this program.`;
  return `${searched} ${backups}`;
}

/** The proof as a paper to hand over, with a name that is kept nowhere. */
export function ProofPaper({ erasure, name }: { erasure: Erasure; name: string }) {
  const ask = () => {
    const address = new URL(`/api/erasures/${erasure.id}/proof.pdf`, location.origin);
    const headers = { "Content-Type": "application/json" };
    const body = JSON.stringify({ client: name });
    return sendLater(new Request(address, { method: "POST", headers, body }));
  };
  return (
    <Download ask={ask} file="proof-of-erasure.pdf">
      {t`Certificate for the client`}
    </Download>
  );
}
