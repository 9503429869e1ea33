type TableRow = Record<
  "posture" | "label" | "before" | "target" | "after" | "left" | "note",
  string
>;
type Finding = {
  title: string;
  posture: string;
  cause: string;
  instruction: string;
  left: string;
  severity: string;
};
type Warned = { urgency: string; label: string; done: string };
type Care = { id: string; label: string; limit: string; ask: string; cleared: string | null };
type Strain = { label: string; minutes: number; sums: string[] };
type Rhythm = {
  label: string;
  says: string;
  hours: number;
  sit: number;
  stand: number;
  move: number;
  changes: number;
};

type Content = {
  client: string;
  work: string;
  practice: string;
  visited: string;
  reason: string;
  warning: Warned[];
  felt: string[];
  cares: Care[];
  lacks: string[];
  strain: Strain[];
  body: { label: string; value: string; plus_minus: string; how: string }[];
  plan?: {
    label: string;
    added: { label: string; does: string; price: string; temporary: boolean; removes: string }[];
    moves: string[];
    chosen: string[];
  };
  note: string;
  findings: Finding[];
  table: TableRow[];
  rhythm: Rhythm | null;
  cautions: string[];
  local_wording: string;
  follow_up_on: string;
  notes: string[];
};

/** The report as a page; the PDF says the same and adds drawing, joints and signature. */
export function ReportPaper({ content }: { content: Record<string, unknown> }) {
  const report = content as unknown as Content;
  return (
    <article aria-label="Report" className="mt-5 border border-hair bg-ground p-5 text-sm">
      <p className="text-soft">{report.practice}</p>
      <h3 className="text-lg">Workplace assessment</h3>
      <p>
        {report.client}, {report.work || "work not recorded"}. Visit on {report.visited}, follow-up{" "}
        {report.follow_up_on ? `on ${report.follow_up_on}` : "not set"}.
      </p>
      {report.reason && <p className="mt-1 italic">{report.reason}</p>}
      {report.warning.map((sign) => (
        <p key={sign.label} className="mt-2 border border-ink p-2">
          <b>{sign.urgency}.</b> {sign.label}. <b>Done:</b> {sign.done || "not written down yet"}
        </p>
      ))}
      {report.cares.map((care) => (
        <p key={care.id} className="mt-2 border-l-2 border-ink pl-2">
          <b>{care.label}.</b> {care.limit}{" "}
          {care.cleared ? `Lifted: ${care.cleared}.` : `Ask: ${care.ask}.`}
        </p>
      ))}
      {report.felt.length > 0 && <p className="mt-2">Discomfort: {report.felt.join("; ")}</p>}
      {report.note && <p className="mt-2 bg-paper p-2">{report.note}</p>}
      {report.lacks.map((words) => (
        <p key={words} className="mt-2 border-l-2 border-ink pl-2 font-semibold">
          {words}
        </p>
      ))}
      <h4 className="mt-4 font-semibold">What was found</h4>
      {report.findings.length === 0 && <p>Nothing measured lies outside its band.</p>}
      <ul>
        {report.findings.map((finding) => (
          <li key={`${finding.posture} ${finding.title}`} className="border-b border-hair py-1.5">
            {finding.posture === "standing" && <i>Standing. </i>}
            {finding.cause} <b>{finding.instruction}</b>
            {finding.left && <span className="text-soft"> Limit: {finding.left}.</span>}
          </li>
        ))}
      </ul>
      {report.strain.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Strain minutes a day</h4>
          {report.strain.map((one) => (
            <p key={one.label} className="figures">
              <b>
                {one.label} {Math.round(one.minutes)} min
              </b>
              <span className="block text-soft">{one.sums.join("; ")}</span>
            </p>
          ))}
        </>
      )}
      <h4 className="mt-4 font-semibold">Before, target, after</h4>
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
          {report.table.map((row) => (
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
      {report.plan && report.plan.added.length > 0 && (
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
      {report.plan && report.plan.moves.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Between sitting and standing</h4>
          {report.plan.moves.map((line) => (
            <p key={line} className="figures">
              {line}
            </p>
          ))}
        </>
      )}
      {report.plan && report.plan.chosen.length > 0 && (
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
          <h4 className="mt-4 font-semibold">Rhythm</h4>
          <p>
            <b>{report.rhythm.label}.</b> {report.rhythm.says} Over {report.rhythm.hours} h:{" "}
            {Math.round(report.rhythm.sit)} min sitting, {Math.round(report.rhythm.stand)} min
            standing, {Math.round(report.rhythm.move)} min moving.
          </p>
        </>
      )}
      {report.notes.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Not judged</h4>
          {report.notes.map((note) => (
            <p key={note}>{note}</p>
          ))}
        </>
      )}
      <h4 className="mt-4 font-semibold">Cautions</h4>
      <ul className="list-disc pl-4">
        {[...report.cautions, report.local_wording].filter(Boolean).map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
    </article>
  );
}
