import { msg, t } from "@lingui/core/macro";
import { keepPreviousData } from "@tanstack/react-query";
import { useSearch } from "@tanstack/react-router";
import { useState } from "react";
import { useMembers } from "@/shared/api/account";
import { type Schemas, server } from "@/shared/api/client";
import { useClients } from "@/shared/api/queries";
import { clockTime, shortDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Download } from "@/shared/ui/download";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { PageHead } from "@/shared/ui/page-head";
import { Select } from "@/shared/ui/select";
import { Skeleton } from "@/shared/ui/skeleton";
import { said } from "@/shared/words/said";

type Line = Schemas["AuditLineView"];
type Act = Line["act"];

const ACTS: Record<Act, string> = said({
  sign_in: msg`Signed in`,
  refused: msg`Refused`,
  sign_out: msg`Signed out`,
  read: msg`Read`,
  carry: msg`Saved to a device`,
  change: msg`Changed`,
  sign: msg`Signed a report`,
  print: msg`Printed`,
  export: msg`Exported`,
  import: msg`Imported`,
  share: msg`Shared with the client`,
  answer: msg`Answered by the client`,
  erase: msg`Deleted`,
  manage: msg`Managed the practice`,
});
const PAGE = 200;

type Asked = {
  client: string;
  member: string;
  act: string;
  carried: boolean;
  since: string;
  until: string;
};

/** A choice with its label above. */
function Choice(props: Parameters<typeof Select>[0]) {
  return (
    <div className="flex flex-col">
      <span className="mb-1 font-semibold" aria-hidden="true">
        {props.label}
      </span>
      <Select {...props} />
    </div>
  );
}

function queryOf(asked: Asked, before?: number) {
  return {
    ...(asked.client ? { client: asked.client } : {}),
    ...(asked.member ? { member: asked.member } : {}),
    ...(asked.act ? { act: asked.act as Act } : {}),
    carried: asked.carried,
    ...(asked.since ? { since: asked.since } : {}),
    ...(asked.until ? { until: asked.until } : {}),
    ...(before ? { before } : {}),
  };
}

/** Who saw and did what, for the owner: by client, member, act and day; as CSV. */
export function AuditLogPage() {
  const search = useSearch({ from: "/shell/audit-log" });
  const [asked, setAsked] = useState<Asked>({
    ...{ client: search.client ?? "", member: "", act: "", carried: false, since: "", until: "" },
  });
  const [before, setBefore] = useState<number | undefined>(undefined);
  const query = queryOf(asked, before);
  const trail = server.useQuery(
    "get",
    "/api/audit-log",
    { params: { query } },
    { placeholderData: keepPreviousData },
  );
  const members = useMembers().data ?? [];
  const clients = useClients().data ?? [];
  const ask = (change: Partial<Asked>) => {
    setAsked({ ...asked, ...change });
    setBefore(undefined);
  };
  const lines = trail.data ?? [];
  const csv = new URLSearchParams(
    Object.entries(queryOf(asked)).map(([name, value]) => [name, `${value}`]),
  );
  return (
    <>
      <PageHead
        back={{ to: "/people", children: t`Practice` }}
        title={t`Activity log`}
        says={t`Who viewed or changed what. Entries can’t be edited or deleted. Views and changes of one visit within five minutes share an entry.`}
      >
        <Download href={`/api/audit-log.csv?${csv}`} file="audit-log.csv">
          {t`CSV`}
        </Download>
      </PageHead>
      <div className="mb-5 grid gap-3 desk:grid-cols-5">
        <Choice
          label={t`Client`}
          value={asked.client}
          onChange={(client) => ask({ client })}
          options={[
            { value: "", label: t`Every client` },
            ...clients.map((client) => ({ value: client.id, label: client.name })),
            ...(asked.client && clients.every((client) => client.id !== asked.client)
              ? [{ value: asked.client, label: lines[0]?.client || t`This client` }]
              : []),
          ]}
        />
        <Choice
          label={t`Who`}
          value={asked.member}
          onChange={(member) => ask({ member })}
          options={[
            { value: "", label: t`Everyone` },
            ...members.map((member) => ({ value: member.id, label: member.name })),
          ]}
        />
        <Choice
          label={t`What`}
          value={asked.act}
          onChange={(act) => ask({ act })}
          options={[
            { value: "", label: t`Everything` },
            ...Object.entries(ACTS).map(([value, label]) => ({ value, label })),
          ]}
        />
        <LabelledInput
          label={t`From`}
          type="date"
          value={asked.since}
          onChange={(event) => ask({ since: event.target.value })}
        />
        <LabelledInput
          label={t`To`}
          type="date"
          value={asked.until}
          onChange={(event) => ask({ until: event.target.value })}
        />
      </div>
      <CheckBox
        className="-mt-2 mb-4"
        checked={asked.carried}
        onChange={(carried) => ask({ carried })}
      >
        {t`Include copies saved for offline work, even if never opened`}
      </CheckBox>
      <Failure of={trail} />
      {trail.isPending && <Skeleton lines={10} label={t`Loading`} />}
      {trail.data && lines.length === 0 && <p className="text-soft">{t`No entries match.`}</p>}
      <ol aria-label={t`Activity log`} className="border-b border-hair">
        {lines.map((line) => (
          <li
            key={line.number}
            className="grid gap-x-4 border-t border-hair py-1.5 desk:grid-cols-[150px_minmax(0,1fr)_minmax(0,1.4fr)_minmax(0,1fr)]"
          >
            <span className="figures text-soft">
              {shortDate(line.at)} {clockTime(new Date(line.at))}
            </span>
            <span>{line.who}</span>
            <span>
              {line.says}
              {line.what && <span className="text-soft">: {line.what}</span>}
            </span>
            <span dir="auto">{line.client}</span>
          </li>
        ))}
      </ol>
      {lines.length === PAGE && (
        <Button className="mt-4" onClick={() => setBefore(lines.at(-1)?.number)}>
          {t`Earlier entries`}
        </Button>
      )}
      {before !== undefined && (
        <Button look="quiet" className="mt-4 ms-2" onClick={() => setBefore(undefined)}>
          {t`Latest entries`}
        </Button>
      )}
    </>
  );
}
