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
import { afterwards, Erase, ProofPaper } from "../clients/erase-client";

type Keeping = Schemas["RetentionView"];
type Due = Schemas["DueErasure"];

/** How long records are kept, what is due to go, and what was erased: an owner decides, nothing goes by itself. */
export function RetentionPage() {
  const keeping = server.useQuery("get", "/api/retention");
  return (
    <>
      <PageHead
        back={{ to: "/people", children: "Practice" }}
        title="Retention and erasure"
        says="How long a client's records are kept is set by law and local rules. What is due is listed here; you decide, and nothing is erased by itself."
      />
      <Fetched query={keeping} label="Looking up what is due">
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

const FIELDS = [
  ["keep_signed_years", "With a signed report", "years", 100],
  ["keep_unsigned_years", "Without one", "years", 100],
  ["keep_photographs_months", "Photographs", "months", 1200],
] as const;

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
      aria-label="Periods"
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
      <h2 className="mb-3 border-b border-ink pb-1 text-lg">Periods</h2>
      <div className="grid gap-4 desk:grid-cols-3">
        {FIELDS.map(([name, label, unit, most], value) => (
          <LabelledInput
            key={name}
            label={`${label}, ${unit}`}
            type="number"
            min={1}
            max={most}
            placeholder="no period"
            value={typed[value] ?? ""}
            onChange={(event) => setTyped(typed.with(value, event.target.value))}
          />
        ))}
      </div>
      <p className="my-2 text-sm text-soft">
        Counted from the last visit, entry or signature of a client; for photographs from the last
        one. For clients who were under 18 many rules begin the period later: see to that yourself.
      </p>
      <Failure of={put} />
      <Button type="submit" disabled={!changed || put.isPending}>
        Save
      </Button>
    </form>
  );
}

function DueList({ due, set }: { due: readonly Due[]; set: boolean }) {
  const [erasing, setErasing] = useState<Due | null>(null);
  return (
    <section aria-label="Due to go" className="mt-8">
      <h2 className="border-b border-ink pb-1 text-lg">Due to go</h2>
      {due.length === 0 && (
        <p className="py-3 text-soft">
          {set ? "Nothing is due." : "No period is set: nothing is ever due."}
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
              {dueErasure.what === "client" ? "Everything" : "Photographs"}
              <span className="figures text-soft">{holds(dueErasure)}</span>
            </span>
            <span className="text-soft">
              last {longDate(dueErasure.last_on)}, due since {longDate(dueErasure.due_on)}
            </span>
            <Button onClick={() => setErasing(dueErasure)}>Erase …</Button>
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
    signed > 0 && `${signed} signed ${signed === 1 ? "report" : "reports"}`,
    photographs > 0 && `${photographs} ${photographs === 1 ? "photograph" : "photographs"}`,
  ].filter(Boolean);
  return said.length ? `: ${said.join(", ")}` : "";
}

const REASONS: Record<string, string> = {
  asked: "the client asked",
  due: "its time was over",
  mistake: "made by mistake",
};

function Erased({ erased }: { erased: readonly Schemas["ErasureView"][] }) {
  if (erased.length === 0) return null;
  return (
    <section aria-label="Erased" className="mt-8">
      <h2 className="border-b border-ink pb-1 text-lg">Erased</h2>
      <p className="py-2 text-sm text-soft">
        Kept without names, as proof. A name typed for a paper is kept nowhere.
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
            Proof …
          </Button>
        )}
      </div>
      <p className="text-sm text-soft">{afterwards(erasure)}</p>
      {printing && (
        <div className="mt-2 flex max-w-[560px] flex-wrap items-end gap-3">
          <LabelledInput
            label="Name on the paper"
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
