import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import { useMembers } from "@/shared/api/account";
import { server } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Whose } from "@/shared/ui/whose";
import { WhoSees } from "../clients/who-sees";

/** Clients that some of the practice see only: an owner keeps the lists, and sees no more than the name. */
export function Restricted() {
  const clients = server.useQuery("get", "/api/restricted").data ?? [];
  const members = useMembers().data ?? [];
  const [open, setOpen] = useState<string | null>(null);
  if (clients.length === 0) return null;
  const names = (ids: readonly string[]) =>
    members
      .filter((member) => ids.includes(member.id))
      .map((member) => member.name)
      .join(", ") || t`nobody who is still here`;
  return (
    <section aria-label={t`Clients with restricted access`} className="mt-8">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Clients with restricted access`}</h2>
      <ul className="border-b border-hair">
        {clients.map((client) => (
          <li
            key={client.client_id}
            className="flex flex-wrap items-center justify-between gap-x-5 border-t border-hair py-1.5"
          >
            <span>
              <b dir="auto">{client.client}</b>{" "}
              <span className="text-soft">
                <Trans>visible to {names(client.members)}</Trans>
              </span>
            </span>
            <Button look="quiet" onClick={() => setOpen(client.client_id)}>
              {t`Change`}
              <Whose>{client.client}</Whose>
            </Button>
          </li>
        ))}
      </ul>
      {open && <WhoSees clientId={open} onDone={() => setOpen(null)} />}
    </section>
  );
}
