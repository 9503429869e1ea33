import { Link } from "@tanstack/react-router";
import type { Schemas } from "@/shared/api/client";
import { useVisits } from "@/shared/api/queries";
import { groupVisits, STATE_WORDS, shortDate } from "./visits";

type Line = Schemas["VisitLineOut"];

export function TodayPage() {
  const visits = useVisits();
  const groups = groupVisits(visits.data ?? []);
  return (
    <>
      <header className="mb-6 flex items-center gap-6">
        <h1 className="text-2xl">Today</h1>
        <p className="figures flex-1 text-soft">{shortDate(new Date().toISOString())}</p>
        <Link
          to="/clients"
          className="inline-flex min-h-11 items-center rounded-[3px] bg-accent px-4 font-semibold text-on-accent"
        >
          Start a visit
        </Link>
      </header>
      {visits.isPending && <p className="text-soft">One moment …</p>}
      {visits.data?.length === 0 && (
        <p>
          No visits yet.{" "}
          <Link to="/clients" className="underline">
            Take in a client
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

function VisitRow({ line }: { line: Line }) {
  const step = line.state === "signed" || line.state === "changed" ? "report" : "ask";
  return (
    <tr className="border-t border-hair hover:bg-paper">
      <td className="p-0">
        <Link
          to="/visits/$visitId/$step"
          params={{ visitId: line.id, step }}
          className="flex min-h-12 items-center font-semibold"
        >
          {line.client}
        </Link>
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
        <span className="whitespace-nowrap">{STATE_WORDS[line.state]}</span>
      </td>
    </tr>
  );
}
