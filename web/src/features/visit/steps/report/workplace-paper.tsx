import type { Schemas } from "@/shared/api/client";
import {
  Cautions,
  Figure,
  Lines,
  Part,
  PlacePart,
  Replaces,
  Rhythm,
  Settings,
  Sheet,
} from "./parts";

/** The workplace's paper as a page: furniture, room and hours, and nothing else. */
export function WorkplacePaper({ paper }: { paper: Schemas["WorkplacePaper"] }) {
  return (
    <Sheet
      head={paper}
      label="The workplace's paper"
      title="Workplace adjustments"
      about={[
        `For ${paper.client}`,
        `visit on ${paper.visited}`,
        paper.work,
        paper.follow_up_on && `we look again on ${paper.follow_up_on}`,
      ]
        .filter(Boolean)
        .join(" · ")}
    >
      <p className="mt-2 text-soft">
        Furniture, room and hours. What concerns the person's health is left out
        {paper.left_out > 0 && `: ${paper.left_out} findings`}.
      </p>
      {paper.limits.map((words) => (
        <p key={words} className="mt-2 border border-ink p-2 font-semibold">
          {words}
        </p>
      ))}
      <Part name="What is asked for">
        {paper.requests.length === 0 && <p>Nothing beside the settings below.</p>}
        {paper.requests.length > 0 && <Requests requests={paper.requests} />}
      </Part>
      {paper.added.length > 0 && (
        <Part name="What is added">
          <Lines
            lines={paper.added.map(
              (paperAdded) =>
                `${paperAdded.label}, ${paperAdded.price}: ${paperAdded.does}${paperAdded.temporary ? ", for a time" : ""}`,
            )}
          />
        </Part>
      )}
      <Part name="Found, target, setting, left at">
        <Settings table={paper.table} />
      </Part>
      {(paper.places ?? []).map((place) => (
        <PlacePart key={place.name} place={place} />
      ))}
      {paper.moves.length > 0 && (
        <Part name="Between sitting and standing">
          <Lines lines={paper.moves} />
        </Part>
      )}
      {paper.chosen.length > 0 && (
        <p className="mt-2 text-soft">Chosen here: {paper.chosen.join("; ")}.</p>
      )}
      <Figure scene={paper.scene} />
      {paper.joints.length > 0 && (
        <Part name="Joints">
          <Lines
            lines={paper.joints.map(
              (joint) =>
                `${joint.label}, ${joint.posture}: ${joint.found ?? "–"}, aimed at ${joint.aim ?? "–"}`,
            )}
          />
        </Part>
      )}
      {paper.rhythm && (
        <Part name="Hours">
          <Rhythm rhythm={paper.rhythm} />
        </Part>
      )}
      <Replaces lines={paper.replaces ?? []} />
      <Cautions
        head={paper}
        cautions={[...paper.cautions, paper.call && `Questions: ${paper.call}`].filter(Boolean)}
      />
    </Sheet>
  );
}

/** What is asked for, a line each: what, how many, what it must cover, by when, at what price, who. */
function Requests({ requests }: { requests: readonly Schemas["Request"][] }) {
  return (
    <table className="w-full text-left align-top">
      <thead>
        <tr className="border-b border-ink">
          <th className="font-semibold">What</th>
          <th className="pl-2 font-semibold">How many</th>
          <th className="pl-2 font-semibold">By when</th>
          <th className="pl-2 font-semibold">Price</th>
        </tr>
      </thead>
      <tbody>
        {requests.map((request) => (
          <tr key={`${request.id} ${request.title}`} className="border-b border-hair align-top">
            <td className="py-1">
              {request.safety && <b>Make safe. </b>}
              <b>{request.title}</b>
              {request.do && `. ${request.do}`}
              {request.covers && <span className="figures block text-sm">{request.covers}</span>}
            </td>
            <td className="figures py-1 pl-2">{request.count || "–"}</td>
            <td className="py-1 pl-2 whitespace-nowrap">{request.by || "–"}</td>
            <td className="py-1 pl-2">{request.price || "–"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
