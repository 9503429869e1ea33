import type { Schemas } from "@/shared/api/client";

/** The report as a page; the PDF says the same and adds drawing, joints and signature. */
export function ReportPaper({ content: report }: { content: Schemas["ClientPaper"] }) {
  return (
    <article
      aria-label="Report"
      className="mx-auto my-4 w-full max-w-[760px] border border-hair bg-ground px-5 py-6 desk:my-8 desk:px-14 desk:py-12"
    >
      <p className="text-soft">{report.practice}</p>
      <h3 className="text-lg">Workstation assessment</h3>
      <p>
        {report.client}, {report.work || "job not recorded"}. Visit on {report.visited}, follow-up{" "}
        {report.follow_up_on ? `on ${report.follow_up_on}` : "not set"}.
      </p>
      {report.reason && <p className="mt-1 italic">{report.reason}</p>}
      {report.warning.map((sign) => (
        <p key={sign.label} className="mt-2 border border-ink p-2">
          <b>{sign.urgency}.</b> {sign.label}. <b>Action taken:</b>{" "}
          {sign.done || "not recorded yet"}
        </p>
      ))}
      {report.cares.map((care) => (
        <p key={care.id} className="mt-2 border-l-2 border-ink pl-2">
          <b>{care.label}.</b> {care.cleared ? "" : care.limit}{" "}
          {care.cleared ? `Cleared: ${care.cleared}.` : `Ask: ${care.ask}.`}{" "}
          {care.lifted?.join(" ")}
        </p>
      ))}
      {report.felt.length > 0 && <p className="mt-2">Discomfort: {report.felt.join("; ")}</p>}
      {report.note && <p className="mt-2 bg-paper p-2">{report.note}</p>}
      {report.lacks.map((words) => (
        <p key={words} className="mt-2 border-l-2 border-ink pl-2 font-semibold">
          {words}
        </p>
      ))}
      {report.worse && <p className="mt-2 border-l-2 border-ink pl-2">{report.worse}</p>}
      {report.place && <h4 className="mt-4 text-base font-semibold">{report.place}</h4>}
      <h4 className="mt-4 font-semibold">What to do</h4>
      {report.actions.length === 0 && <p>Nothing: all that was looked at is as it should be.</p>}
      <ul>
        {report.actions.map((action) => (
          <li key={action.id} className="border-b border-hair py-1.5">
            {action.posture === "standing" && <i>Standing. </i>}
            {action.text}
            {action.state === "done" && <b> Done.</b>}
            {(action.remark || action.state === "later") && <i> {action.remark || "Not today."}</i>}
            <span className="block text-soft">
              {[action.who, action.when, action.price && `price: ${action.price}`]
                .filter(Boolean)
                .join(" · ")}
            </span>
          </li>
        ))}
      </ul>
      {(report.desk ?? []).length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Desk heights to come back to</h4>
          {(report.desk ?? []).map((line) => (
            <p key={line}>{line}</p>
          ))}
        </>
      )}
      <h4 className="mt-4 font-semibold">Why</h4>
      {report.causes.length === 0 && <p>Nothing measured is out of range.</p>}
      {report.causes.map((cause) => (
        <section key={cause.title} className="mt-2">
          <h5 className="font-semibold">
            {cause.title}
            {cause.minutes !== null && (
              <span className="figures font-normal text-soft"> {cause.minutes} min a day</span>
            )}
          </h5>
          {cause.explains.length > 0 && <p>May explain: {cause.explains.join("; ")}</p>}
          <ul>
            {cause.findings.map((finding) => (
              <li key={finding.id} className="border-b border-hair py-1">
                {finding.posture === "standing" && <i>Standing. </i>}
                {finding.cause}
                {finding.left && <span className="text-soft"> Limit: {finding.left}.</span>}
              </li>
            ))}
          </ul>
        </section>
      ))}
      {report.unexplained.length > 0 && (
        <p className="mt-2">Nothing found here explains: {report.unexplained.join("; ")}.</p>
      )}
      {report.strain.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Estimated strain</h4>
          {report.strain.map((one) => (
            <p key={one.label} className="figures">
              <b>
                {one.label} {one.minutes} min
              </b>
              <span className="block text-soft">{one.sums.join("; ")}</span>
            </p>
          ))}
        </>
      )}
      <h4 className="mt-4 font-semibold">Settings: before, target and after</h4>
      <Settings table={report.table} />
      {report.plan.added.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">{report.plan.label}: what is added</h4>
          {report.plan.added.map((one) => (
            <p key={one.label} className="border-b border-hair py-0.5">
              {one.label}, {one.price}
              <span className="figures block text-soft">
                {one.does}
                {one.temporary ? ", temporary" : ""}
                {one.removes ? `, −${one.removes}` : ""}
              </span>
            </p>
          ))}
        </>
      )}
      {(report.places ?? []).map((place) => (
        <PlacePart key={place.name} place={place} />
      ))}
      {report.plan.moves.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Changing between sitting and standing</h4>
          {report.plan.moves.map((line) => (
            <p key={line} className="figures">
              {line}
            </p>
          ))}
        </>
      )}
      {report.plan.chosen.length > 0 && (
        <p className="mt-2 text-soft">Chosen here: {report.plan.chosen.join("; ")}.</p>
      )}
      {report.body.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Body measurements</h4>
          <table className="figures w-full">
            <tbody>
              {report.body.map((one) => (
                <tr key={one.label} className="border-b border-hair align-top">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {one.label}
                  </th>
                  <td className="text-right whitespace-nowrap">{one.value}</td>
                  <td className="pl-1 whitespace-nowrap text-soft">
                    {one.plus_minus && `± ${one.plus_minus}`}
                  </td>
                  <td className="pl-2 text-soft">{one.how}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {report.rhythm && (
        <>
          <h4 className="mt-4 font-semibold">Work and break pattern</h4>
          <p>
            <b>{report.rhythm.label}.</b> {report.rhythm.says} Over {report.rhythm.hours} h:{" "}
            {Math.round(report.rhythm.sit)} min sitting, {Math.round(report.rhythm.stand)} min
            standing, {Math.round(report.rhythm.move)} min moving.
          </p>
        </>
      )}
      {report.notes.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Not assessed</h4>
          {report.notes.map((note) => (
            <p key={note}>{note}</p>
          ))}
        </>
      )}
      {report.noted.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Noted</h4>
          <p className="text-soft">{report.noted.join("; ")}</p>
        </>
      )}
      <h4 className="mt-4 font-semibold">Please note</h4>
      <ul className="list-disc pl-4">
        {[...report.cautions, report.local_wording].filter(Boolean).map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </article>
  );
}

function Settings({ table }: { table: Schemas["ClientPaper"]["table"] }) {
  return (
    <table className="figures w-full">
      <thead>
        <tr className="border-b border-ink text-right">
          <th className="text-left font-semibold">What</th>
          <th className="font-semibold">Before</th>
          <th className="font-semibold">Target</th>
          <th className="font-semibold">After</th>
        </tr>
      </thead>
      <tbody>
        {table.map((row) => (
          <tr
            key={`${row.posture} ${row.label}`}
            className="border-b border-hair text-right align-top"
          >
            <th scope="row" className="py-0.5 text-left font-normal">
              {row.label}
              {row.posture === "standing" && <span className="text-soft"> standing</span>}
            </th>
            <td>{row.before}</td>
            <td>{row.target}</td>
            <td>{row.after}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A further place: what is done there, how everything is set, and what changes on the way over. */
function PlacePart({ place }: { place: Schemas["PaperPlace"] }) {
  return (
    <section aria-label={place.name}>
      <h4 className="mt-5 border-t border-ink pt-3 text-base font-semibold">
        {place.name}: {place.use.toLowerCase()}
      </h4>
      {place.lacks.map((words) => (
        <p key={words} className="mt-2 border-l-2 border-ink pl-2 font-semibold">
          {words}
        </p>
      ))}
      <ul>
        {[...place.actions, ...place.desk, ...place.moves].map((words) => (
          <li key={words} className="border-b border-hair py-1">
            {words}
          </li>
        ))}
      </ul>
      <Settings table={place.table} />
    </section>
  );
}
