import { Marks } from "@/drawing/marks";
import type { Schemas } from "@/shared/api/client";
import { Picture } from "@/shared/ui/picture";
import { useVisitFacts } from "../../state/facts";
import {
  Action,
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
  Sheet,
  SinceThen,
} from "./parts";

/** The client's paper as a page; the PDF says the same. */
export function ClientPaper({ paper }: { paper: Schemas["ClientPaper"] }) {
  return (
    <Sheet
      head={paper}
      label="The client's paper"
      title="Your workplace"
      about={[
        paper.client,
        paper.visited,
        paper.follow_up_on && `we look again on ${paper.follow_up_on}`,
      ]
        .filter(Boolean)
        .join(" · ")}
    >
      <Flags flags={paper.warning} />
      <GotWorse since={paper.since} />
      <Cares cares={paper.precautions} />
      <Lacks lacks={paper.shortfalls} />
      {paper.first.length > 0 && (
        <Part name="First of all">
          <ol className="list-decimal bg-paper py-2 pr-2 pl-8">
            {paper.first.map((paperAction) => (
              <li key={paperAction.id} className="py-0.5">
                <Action action={paperAction} />
                {paperAction.helps && (
                  <span className="block text-sm text-soft">{paperAction.helps}</span>
                )}
              </li>
            ))}
          </ol>
        </Part>
      )}
      {paper.note && <p className="mt-2 italic">{paper.note}</p>}
      {(paper.keep_doing ?? []).length > 0 && (
        <p className="mt-2">Keep doing this: {inOneLine(paper.keep_doing ?? [])}.</p>
      )}
      {(paper.limits ?? []).length > 0 && (
        <Part name="Keep to this">
          <Lines lines={paper.limits ?? []} />
        </Part>
      )}
      <Part name="When to stop, and whom to call">
        <Lines lines={[...paper.stop, paper.call && `Questions: ${paper.call}`].filter(Boolean)} />
      </Part>
      <Part name="Your numbers">
        <Numbers lines={paper.numbers} />
        <Figure scene={paper.scene} />
      </Part>
      {(paper.set_today || paper.done.length > 0) && (
        <Part name="Done today">
          <List
            first={paper.set_today && `Set, ${paper.set_today}.`}
            actions={paper.done}
            who={false}
          />
        </Part>
      )}
      {(paper.to_set || paper.todo.length > 0) && (
        <Part name="Still to do">
          <List
            first={paper.to_set && `Set to the numbers above, ${paper.to_set}.`}
            actions={paper.todo}
          />
          {paper.costs && <p className="figures">Still to be bought, together: {paper.costs}.</p>}
        </Part>
      )}
      {paper.temporary.length > 0 && (
        <Part name="There for a time only">
          <Lines lines={paper.temporary} />
        </Part>
      )}
      {paper.places.map((place) => (
        <PlacePart key={place.name} place={place} />
      ))}
      {paper.rhythm && (
        <Part name="Your day">
          <Rhythm rhythm={paper.rhythm} />
          {paper.day && <Lines lines={[...paper.day.weeks, paper.day.eyes, ...paper.day.tips]} />}
        </Part>
      )}
      {paper.movements.length + paper.movement_rules.length > 0 && (
        <Part name="Your movements">
          <p>{paper.movement_rules.join(" ")}</p>
          <ul>
            {paper.movements.map((movement) => (
              <li key={movement.label} className="border-b border-hair py-1">
                <Moments paperMovement={movement} />
                <b>{movement.label}.</b> {movement.dose}. {movement.start}.{" "}
                {movement.steps.join(" ")}{" "}
                <span className="text-soft">
                  Felt: {movement.felt}. Not {movement.never}.
                </span>
              </li>
            ))}
          </ul>
        </Part>
      )}
      <SinceThen since={paper.since} />
      <Part name="Why">
        <Causes causes={paper.causes} evidence={false} />
        {paper.further_causes > 0 && (
          <p className="mt-1 text-soft">
            And {paper.further_causes} more of less weight: they are in the record.
          </p>
        )}
        {paper.unexplained.length > 0 && (
          <p className="mt-2">Nothing found here explains: {paper.unexplained.join("; ")}.</p>
        )}
        {paper.photos.length > 0 && (
          <div className="mt-3 grid grid-cols-2 gap-4">
            {paper.photos.slice(0, 2).map((photo) => (
              <figure key={photo.id}>
                <Picture id={photo.id} alt={photo.caption} className="w-full" />
                <figcaption className="text-sm">
                  <b>{photo.caption}.</b> {photo.readings.join("; ")}
                </figcaption>
              </figure>
            ))}
          </div>
        )}
      </Part>
      <Replaces lines={paper.replaces ?? []} />
      <Cautions head={paper} cautions={paper.cautions} />
    </Sheet>
  );
}

/** A movement in its moments. */
function Moments({ paperMovement }: { paperMovement: Schemas["PaperMovement"] }) {
  const { catalogue } = useVisitFacts();
  return (
    <div className="flex gap-2">
      {paperMovement.scenes.map((scene, value) => (
        <div
          key={paperMovement.says[value]}
          role="img"
          aria-label={`${paperMovement.label}: ${paperMovement.says[value] ?? ""}`}
          className="w-28 [&_svg]:h-auto [&_svg]:w-full"
        >
          <Marks
            marks={scene.marks}
            inks={catalogue.inks}
            width={scene.width}
            height={scene.height}
          />
        </div>
      ))}
    </div>
  );
}

function Numbers({ lines }: { lines: readonly Schemas["CardLine"][] }) {
  return (
    <>
      <table className="figures w-full">
        <thead>
          <tr className="border-b border-ink text-right">
            <th className="text-left">
              <span className="sr-only">What</span>
            </th>
            <th className="font-semibold">Sitting</th>
            <th className="font-semibold">Standing</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.label} className="border-b border-hair text-right">
              <th scope="row" className="py-0.5 text-left font-normal">
                {line.label}
                {starred(line) && " *"}
              </th>
              <NumberCell text={line.seated} is={line.seated_is} />
              <NumberCell text={line.standing} is={line.standing_is} />
            </tr>
          ))}
        </tbody>
      </table>
      {lines.some(starred) && <p className="text-sm text-soft">* not measured.</p>}
    </>
  );
}

/** Versions signed before each number said what it is have a star for what nobody measured. */
function starred(line: Schemas["CardLine"]) {
  return !line.sure && !line.seated_is && !line.standing_is;
}

/** A number with what it is: left at, as found, still to set. */
function NumberCell({ text, is }: { text: string; is: string | undefined }) {
  return (
    <td>
      {text || "–"}
      {is && <span className="block text-sm text-soft">{is}</span>}
    </td>
  );
}

function List({
  first,
  actions,
  who = true,
}: {
  first: string;
  actions: readonly Schemas["PaperAction"][];
  who?: boolean;
}) {
  return (
    <ul className="list-disc pl-5">
      {first && <li className="py-0.5">{first}</li>}
      {actions.map((action) => (
        <li key={action.id} className="py-0.5">
          <Action action={action} who={who} />
        </li>
      ))}
    </ul>
  );
}
