import type { Schemas } from "@/shared/api/client";
import {
  Cares,
  Causes,
  Cautions,
  Figure,
  Flags,
  GotWorse,
  inOneLine,
  Lacks,
  Lines,
  Part,
  PlacePart,
  Replaces,
  Rhythm,
  Settings,
  Sheet,
  SinceThen,
} from "./parts";

/** The record for colleagues as a page; the PDF says the same and adds the photographs. */
export function RecordPaper({ paper: report }: { paper: Schemas["RecordPaper"] }) {
  return (
    <Sheet
      head={report}
      label="The record"
      title="Assessment record"
      about={`${report.client}, ${report.work || "job not recorded"}. Visit on ${report.visited}, follow-up ${
        report.follow_up_on ? `on ${report.follow_up_on}` : "not set"
      }.`}
    >
      <Replaces lines={report.replaces ?? []} />
      {report.reason && <p className="mt-1 italic">{report.reason}</p>}
      <Flags flags={report.warning} />
      <GotWorse since={report.since} />
      {report.asked && <p className="mt-2 text-sm">{report.asked}</p>}
      <Cares cares={report.precautions} />
      {report.discomfort.length > 0 && (
        <p className="mt-2">Discomfort: {report.discomfort.join("; ")}</p>
      )}
      {report.note && <p className="mt-2 bg-paper p-2">{report.note}</p>}
      <Lacks lacks={report.shortfalls} />
      {report.worse && <p className="mt-2 border-l-2 border-ink pl-2">{report.worse}</p>}
      <SinceThen since={report.since} />
      {report.place && <h4 className="mt-4 text-base font-semibold">{report.place}</h4>}
      <h4 className="mt-4 font-semibold">What to do</h4>
      {report.actions.length === 0 && <p>Nothing: all that was looked at is as it should be.</p>}
      <ul>
        {report.actions.map((action) => (
          <li key={action.id} className="border-b border-hair py-1.5">
            {action.posture === "standing" && <i>Standing. </i>}
            {action.text}
            {action.state === "done" && <b> Done.</b>}
            {(action.remark || (action.state === "later" && !action.told)) && (
              <i> {action.remark || "Not today."}</i>
            )}
            <span className="block text-soft">
              {[action.who, action.when, action.price && `price: ${action.price}`]
                .filter(Boolean)
                .join(" · ")}
            </span>
          </li>
        ))}
      </ul>
      {report.desk.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Desk heights to come back to</h4>
          {report.desk.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </>
      )}
      <Part name="Causes and findings">
        {(report.good ?? []).length > 0 && <p>Done well: {inOneLine(report.good ?? [])}.</p>}
        <Causes causes={report.causes} />
      </Part>
      {report.unexplained.length > 0 && (
        <p className="mt-2">Nothing found here explains: {report.unexplained.join("; ")}.</p>
      )}
      {report.strain.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">Estimated strain</h4>
          {report.strain.map((paperStrain) => (
            <p key={paperStrain.label} className="figures">
              <b>
                {paperStrain.label} {paperStrain.minutes} min
              </b>
              <span className="block text-soft">{paperStrain.sums.join("; ")}</span>
            </p>
          ))}
        </>
      )}
      <h4 className="mt-4 font-semibold">Settings: before, target and after</h4>
      <Settings table={report.table} method />
      {report.standing && <p className="mt-1">{report.standing}</p>}
      {(report.self_reported ?? []).length > 0 && (
        <p className="mt-2 text-sm">
          The client's own word, not confirmed here: {report.self_reported?.join(", ")}.
        </p>
      )}
      {report.estimated.length > 0 && (
        <p className="mt-1 text-sm">
          ~ rests on dimensions estimated, not measured: {report.estimated.join(", ")}.
        </p>
      )}
      {report.plan.added.length > 0 && (
        <>
          <h4 className="mt-4 font-semibold">{report.plan.label}: what is added</h4>
          {report.plan.added.map((paperAdded) => (
            <p key={paperAdded.label} className="border-b border-hair py-0.5">
              {paperAdded.label}, {paperAdded.price}
              <span className="figures block text-soft">
                {paperAdded.does}
                {paperAdded.temporary ? ", temporary" : ""}
                {paperAdded.removes ? `, −${paperAdded.removes}` : ""}
              </span>
            </p>
          ))}
        </>
      )}
      {report.places.map((place) => (
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
              {report.body.map((paperDimension) => (
                <tr key={paperDimension.label} className="border-b border-hair align-top">
                  <th scope="row" className="py-0.5 text-left font-normal">
                    {paperDimension.label}
                  </th>
                  <td className="text-right whitespace-nowrap">{paperDimension.value}</td>
                  <td className="pl-1 whitespace-nowrap text-soft">
                    {paperDimension.plus_minus && `± ${paperDimension.plus_minus}`}
                  </td>
                  <td className="pl-2 text-soft">{paperDimension.how}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <Figure scene={report.scene} />
      {report.joints.length > 0 && (
        <Part name="Joints">
          <Lines
            lines={report.joints.map(
              (joint) =>
                `${joint.label}, ${joint.posture}: ${joint.found ?? "–"}${joint.found_off ? " (off)" : ""}, aimed at ${joint.aim ?? "–"}${joint.aim_off ? " (off)" : ""}, band ${joint.band}`,
            )}
          />
        </Part>
      )}
      {report.rhythm && (
        <Part name="Work and break pattern">
          <Rhythm rhythm={report.rhythm} />
        </Part>
      )}
      <Part name="Method">
        <Lines lines={report.method} />
      </Part>
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
      <Cautions head={report} cautions={report.cautions} />
    </Sheet>
  );
}
