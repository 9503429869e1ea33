import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useMe, useMembers } from "@/shared/api/account";
import { type Schemas, server } from "@/shared/api/client";
import { stale } from "@/shared/api/stale";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Failure } from "@/shared/ui/fetched";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";

const ONE = "/api/restricted/{client_id}";

/** Who of the practice sees a client: everybody, or those named. */
export function WhoSees({ clientId, onDone }: { clientId: string; onDone: () => void }) {
  const params = { params: { path: { client_id: clientId } } };
  const access = server.useQuery("get", ONE, params);
  const members = useMembers();
  const says = t`For example for a colleague or neighbour. Other members can’t find this client or their visits, photos or reports; copies on their devices are removed.`;
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`Who can see ${access.data?.client ?? t`this client`}?`}
      says={says}
    >
      <Failure of={access} />
      {access.data && members.data ? (
        <Choose access={access.data} members={members.data} onDone={onDone} />
      ) : (
        !access.isError && <Skeleton lines={4} label={t`Loading`} />
      )}
    </Modal>
  );
}

function Choose({
  access,
  members,
  onDone,
}: {
  access: Schemas["ClientAccess"];
  members: readonly Schemas["MemberView"][];
  onDone: () => void;
}) {
  const me = useMe().data;
  const queries = useQueryClient();
  const mine = members.find((member) => member.email === me?.email)?.id;
  const [restricted, setRestricted] = useState(access.restricted);
  const [named, setNamed] = useState<readonly string[]>(
    access.members.length > 0 || !mine ? access.members : [...new Set([mine, ...access.working])], // nobody loses a visit they are in the middle of
  );
  const leftOut = members.filter(
    (member) => restricted && access.working.includes(member.id) && !named.includes(member.id),
  );
  const put = server.useMutation("put", ONE, {
    onSuccess: () =>
      stale(queries, "/api/clients", "/api/visits", "/api/checks", "/api/restricted", ONE),
  });
  return (
    <form
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate(
          {
            params: { path: { client_id: access.client_id } },
            body: { restricted, members: [...named], knowing: leftOut.length > 0 },
          },
          { onSuccess: onDone },
        );
      }}
    >
      <Segments
        label={t`Access`}
        value={restricted ? "some" : "all"}
        onChange={(value) => setRestricted(value === "some")}
        choices={[
          { value: "all", label: t`Everyone in the practice` },
          { value: "some", label: t`Selected members only` },
        ]}
      />
      {restricted && (
        <fieldset>
          <legend className="font-semibold">{t`Selected members`}</legend>
          {members.map((member) => (
            <CheckBox
              key={member.id}
              checked={named.includes(member.id)}
              onChange={(is) =>
                setNamed(is ? [...named, member.id] : named.filter((id) => id !== member.id))
              }
            >
              {member.name}{" "}
              <span className="text-soft">
                {member.sees_health ? member.title : t`without health data`}
              </span>
            </CheckBox>
          ))}
          <p className="text-sm text-soft">
            {t`Other owners can edit this list and see that the client exists, but nothing else.`}
          </p>
        </fieldset>
      )}
      {leftOut.length > 0 && (
        <Notice role="alert">
          <Trans>
            {leftOut.map((member) => member.name).join(", ")} has an open visit with this client and
            will no longer be able to open it.
          </Trans>
        </Notice>
      )}
      <Failure of={put} />
      <Button type="submit" look="next" disabled={put.isPending}>
        {leftOut.length > 0 ? t`Save anyway` : t`Save`}
      </Button>
    </form>
  );
}
