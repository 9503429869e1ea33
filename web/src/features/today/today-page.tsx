import { useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useMe } from "@/shared/api/account";
import { Refused, type Schemas } from "@/shared/api/client";
import { useVisitChanges, useVisits } from "@/shared/api/queries";
import { dayOf, shortDate } from "@/shared/dates";
import { Notice } from "@/shared/ui/notice";
import { saidWithUndo } from "@/shared/ui/undo";
import { visitsWithWords } from "../visit/saving/tab-store";
import { groupVisits, STATE_WORDS } from "./visits";

type Line = Schemas["VisitLineOut"];

export function TodayPage() {
  const visits = useVisits();
  const groups = groupVisits(visits.data ?? []);
  return (
    <>
      <header className="mb-6 flex items-center gap-6">
        <h1 className="text-2xl">Today</h1>
        <p className="figures flex-1 text-soft">{shortDate(dayOf(new Date()))}</p>
        <Link
          to="/clients"
          className="inline-flex min-h-11 items-center rounded-[3px] bg-accent px-4 font-semibold text-on-accent"
        >
          New visit
        </Link>
      </header>
      <Waiting lines={visits.data ?? []} />
      {visits.isPending && visits.fetchStatus === "fetching" && (
        <p className="text-soft">One moment …</p>
      )}
      {(visits.isError || visits.fetchStatus === "paused") && (
        <Notice role="alert" className="mb-4">
          {visits.error instanceof Refused
            ? visits.error.message
            : "The server can't be reached. It is asked again once the network is back."}
        </Notice>
      )}
      {visits.data?.length === 0 && (
        <p>
          No visits yet.{" "}
          <Link to="/clients" className="underline">
            Add a client
          </Link>{" "}
          and start one.
        </p>
      )}
      {groups.map((group) => (
        <section key={group.title} className="mb-8" aria-label={group.title}>
          <h2 className="text-lg">{group.title}</h2>
          <p className="mb-2 text-sm text-soft">{group.says}</p>
          <table className="w-full table-fixed border-collapse">
            <colgroup>
              <col className="w-[17%]" />
              <col />
              <col className="w-24" />
              <col className="w-36" />
              <col className="w-64" />
            </colgroup>
            <thead className="sr-only">
              <tr>
                <th>Client</th>
                <th>Work</th>
                <th>Visit</th>
                <th>Practitioner</th>
                <th>State</th>
              </tr>
            </thead>
            <tbody>
              {group.lines.map((line) => (
                <VisitRow key={line.id} line={line} />
              ))}
            </tbody>
          </table>
        </section>
      ))}
    </>
  );
}

/** Words that are only on this device, and the way to their visits, where they are sent. */
function Waiting({ lines }: { lines: readonly Line[] }) {
  const me = useMe().data;
  const queries = useQueryClient();
  const waiting = visitsWithWords(me?.email ?? "");
  const name = (id: string) =>
    lines.find((line) => line.id === id)?.client ??
    queries.getQueryData<Schemas["VisitOut"]>(["visit", id])?.client.name;
  if (waiting.length === 0) return null;
  return (
    <Notice className="mb-6">
      <p>Words you typed are not on the server yet. They are sent once you open their visit:</p>
      {waiting.map((id) => (
        <Link
          key={id}
          to="/visits/$visitId/$step"
          params={{ visitId: id, step: "ask" }}
          className="flex min-h-11 items-center underline"
        >
          {name(id) ?? "A visit"}
        </Link>
      ))}
    </Notice>
  );
}

function VisitRow({ line }: { line: Line }) {
  const me = useMe().data;
  const { start, drop } = useVisitChanges();
  const mayOpen = me?.role !== "reader" || me.sees_health;
  const remove = () =>
    drop.mutate(line.id, {
      onSuccess: () =>
        saidWithUndo(`The empty visit of ${line.client} is deleted.`, () =>
          start.mutateAsync({ id: line.id, client_id: line.client_id }),
        ),
    });
  const step = line.state === "signed" || line.state === "changed" ? "report" : "ask";
  return (
    <tr className="border-t border-hair hover:bg-paper">
      <td className="p-0">
        {mayOpen ? (
          <Link
            to="/visits/$visitId/$step"
            params={{ visitId: line.id, step }}
            className="flex min-h-12 items-center font-semibold"
          >
            {line.client}
          </Link>
        ) : (
          <span className="flex min-h-12 items-center font-semibold">{line.client}</span>
        )}
      </td>
      <td className="pr-4 text-soft">{line.work}</td>
      <td className="figures">{shortDate(line.started_on)}</td>
      <td className="text-soft">{line.practitioner}</td>
      <td className="text-right text-sm">
        {line.sign && (
          <span className="mr-2 border-4 border-double border-ink bg-deep px-2 py-0.5 font-semibold whitespace-nowrap">
            {line.sign}
          </span>
        )}
        {line.state === "new" && me?.role !== "reader" && (
          <button
            type="button"
            aria-label={`Delete the empty visit of ${line.client}`}
            disabled={drop.isPending}
            className="mr-3 min-h-11 underline"
            onClick={remove}
          >
            Delete
          </button>
        )}
        {!mayOpen && line.shared_report && (
          <a
            href={`/api/reports/${line.shared_report}.pdf?copy=workplace`}
            target="_blank"
            rel="noreferrer"
            className="mr-3 inline-flex min-h-11 items-center underline"
          >
            Workplace's copy (PDF)
          </a>
        )}
        <span className="whitespace-nowrap">{STATE_WORDS[line.state]}</span>
      </td>
    </tr>
  );
}
