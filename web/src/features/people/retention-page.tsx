import { msg, plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { type Schemas, server } from "@/shared/api/client";
import { stale } from "@/shared/api/stale";
import { dayOf, longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Failure, Fetched } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { PageHead } from "@/shared/ui/page-head";
import { said } from "@/shared/words/said";
import { afterwards, Erase, ProofPaper } from "../clients/erase-client";

type Keeping = Schemas["RetentionView"];
type Due = Schemas["DueErasure"];

/** How long records are kept, what is due to go, and what was erased: an owner decides, nothing goes by itself. */
export function RetentionPage() {
  const keeping = server.useQuery("get", "/api/retention");
  return (
    <>
      <PageHead
        back={{ to: "/people", children: t`Practice` }}
        title={t`Data retention`}
        says={t`The law and local rules set how long records are kept. Records due for deletion are listed here. You decide; nothing is deleted automatically.`}
      />
      <Fetched query={keeping} label={t`Loading`}>
        {(keeping) => (
          <>
            <Periods key={JSON.stringify(keeping)} keeping={keeping} />
            <DueList due={keeping.due} set={isSet(keeping)} />
            <Erased erased={keeping.erased} />
          </>
        )}
      </Fetched>
    </>
  );
}

const isSet = (keeping: Keeping) =>
  keeping.keep_signed_years !== null ||
  keeping.keep_unsigned_years !== null ||
  keeping.keep_photographs_months !== null;

const FIELDS = said([
  ["keep_signed_years", msg`With a signed report`, "years", 100],
  ["keep_unsigned_years", msg`Without one`, "years", 100],
  ["keep_photographs_months", msg`Photos`, "months", 1200],
]);

function Periods({ keeping }: { keeping: Keeping }) {
  const queries = useQueryClient();
  const put = server.useMutation("put", "/api/retention", {
    onSuccess: () => stale(queries, "/api/retention"),
  });
  const [typed, setTyped] = useState(FIELDS.map(([name]) => `${keeping[name] ?? ""}`));
  const read = typed.map((text) => (text.trim() ? Number(text) : null));
  const changed = FIELDS.some(([name], value) => read[value] !== keeping[name]);
  return (
    <form
      aria-label={t`Retention periods`}
      className="max-w-[760px]"
      onSubmit={(event) => {
        event.preventDefault();
        const [signed = null, unsigned = null, photographs = null] = read;
        put.mutate({
          body: {
            keep_signed_years: signed,
            keep_unsigned_years: unsigned,
            keep_photographs_months: photographs,
          },
        });
      }}
    >
      <h2 className="mb-3 border-b border-ink pb-1 text-lg">{t`Retention periods`}</h2>
      <div className="grid gap-4 desk:grid-cols-3">
        {FIELDS.map(([name, label, unit, most], value) => (
          <LabelledInput
            key={name}
            label={`${label}, ${unit}`}
            type="number"
            min={1}
            max={most}
            placeholder={t`no period`}
            value={typed[value] ?? ""}
            onChange={(event) => setTyped(typed.with(value, event.target.value))}
          />
        ))}
      </div>
      <p className="my-2 text-sm text-soft">
        {t`Counted from the client’s last visit, entry or signature; for photos, from the last photo. Many rules start the period later for clients under 18: please check this yourself.`}
      </p>
      <Failure of={put} />
      <Button type="submit" disabled={!changed || put.isPending}>
        {t`Save`}
      </Button>
    </form>
  );
}

function DueList({ due, set }: { due: readonly Due[]; set: boolean }) {
  const [erasing, setErasing] = useState<Due | null>(null);
  return (
    <section aria-label={t`Due for deletion`} className="mt-8">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Due for deletion`}</h2>
      {due.length === 0 && (
        <p className="py-3 text-soft">
          {set ? t`Nothing is due.` : t`No period is set, so nothing is due.`}
        </p>
      )}
      <ul>
        {due.map((dueErasure) => (
          <li
            key={dueErasure.client_id}
            className="grid items-center gap-x-5 border-b border-hair py-1.5 desk:grid-cols-[1fr_1.4fr_1fr_auto]"
          >
            <Link
              to="/clients/$clientId"
              params={{ clientId: dueErasure.client_id }}
              className="font-semibold underline"
              dir="auto"
            >
              {dueErasure.client}
            </Link>
            <span>
              {dueErasure.what === "client" ? t`Everything` : t`Photos`}
              <span className="figures text-soft">{holds(dueErasure)}</span>
            </span>
            <span className="text-soft">
              <Trans>
                last {longDate(dueErasure.last_on)}, due since {longDate(dueErasure.due_on)}
              </Trans>
            </span>
            <Button onClick={() => setErasing(dueErasure)}>{t`Delete…`}</Button>
          </li>
        ))}
      </ul>
      {erasing && (
        <Erase
          what={erasing.what}
          due
          client={{ id: erasing.client_id, name: erasing.client }}
          onDone={() => setErasing(null)}
          onErased={() => setErasing(null)}
        />
      )}
    </section>
  );
}

function holds({ signed, photographs }: Due): string {
  const said = [
    signed > 0 && plural(signed, { one: "# signed report", other: "# signed reports" }),
    photographs > 0 && plural(photographs, { one: "# photo", other: "# photos" }),
  ].filter(Boolean);
  return said.length ? `: ${said.join(", ")}` : "";
}

const REASONS: Record<string, string> = said({
  asked: msg`the client asked`,
  due: msg`its time was over`,
  mistake: msg`made by mistake`,
});

function Erased({ erased }: { erased: readonly Schemas["ErasureView"][] }) {
  if (erased.length === 0) return null;
  return (
    <section aria-label={t`Deleted`} className="mt-8">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Deleted`}</h2>
      <p className="py-2 text-sm text-soft">
        {t`Kept as proof, without names. A name typed for a certificate is not stored.`}
      </p>
      <ul>
        {erased.map((erasure) => (
          <OneErased key={erasure.id} erasure={erasure} />
        ))}
      </ul>
    </section>
  );
}

function OneErased({ erasure }: { erasure: Schemas["ErasureView"] }) {
  const [name, setName] = useState("");
  const [printing, setPrinting] = useState(false);
  return (
    <li className="border-b border-hair py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-5">
        <p>
          <b>{longDate(dayOf(new Date(erasure.at)))}</b>, {erasure.by_name}:{" "}
          {REASONS[erasure.reason] ?? erasure.reason}.{" "}
          <span className="figures">{erasure.counts.join(", ")}</span>
        </p>
        {!printing && (
          <Button look="quiet" onClick={() => setPrinting(true)}>
            {t`Certificate…`}
          </Button>
        )}
      </div>
      <p className="text-sm text-soft">{afterwards(erasure)}</p>
      {printing && (
        <div className="mt-2 flex max-w-[560px] flex-wrap items-end gap-3">
          <LabelledInput
            label={t`Name on the certificate`}
            maxLength={200}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          {name.trim() && <ProofPaper erasure={erasure} name={name.trim()} />}
        </div>
      )}
    </li>
  );
}
