import type { ReactNode } from "react";
import { Marks } from "@/drawing/marks";
import type { Schemas } from "@/shared/api/client";
import { useVisitFacts } from "../../state/facts";

type Head = Pick<Schemas["ClientPaper"], "practice" | "letterhead" | "local_wording" | "call">;

/** A sheet of paper on the desk: letterhead, title, and what it says. */
export function Sheet({
  head,
  title,
  about,
  label,
  children,
}: {
  head: Head;
  title: string;
  about: string;
  label: string;
  children: ReactNode;
}) {
  return (
    <article
      aria-label={label}
      className="mx-auto my-4 w-full max-w-[760px] border border-hair bg-ground px-5 py-6 desk:my-8 desk:px-14 desk:py-12"
    >
      <div className="flex flex-wrap justify-between gap-x-6 text-sm text-soft">
        <p className="font-semibold">{head.practice}</p>
        <p className="text-right">
          {(head.letterhead ?? []).map((line) => (
            <span key={line} className="block">
              {line}
            </span>
          ))}
        </p>
      </div>
      <h3 className="mt-2 text-2xl">{title}</h3>
      <p>{about}</p>
      {children}
    </article>
  );
}

export function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section className="mt-5">
      <h4 className="mb-1 text-base font-semibold">{name}</h4>
      {children}
    </section>
  );
}

export function Lines({ lines }: { lines: readonly string[] }) {
  return (
    <ul className="list-disc pl-5">
      {lines.map((line) => (
        <li key={line} className="figures py-0.5 font-sans">
          {line}
        </li>
      ))}
    </ul>
  );
}

/** Sentences without a full stop as one line. */
export function inOneLine(lines: readonly string[]): string {
  return lines.map((line) => line.charAt(0).toLowerCase() + line.slice(1)).join("; ");
}

export function Flags({ flags }: { flags: readonly Schemas["PaperFlag"][] }) {
  return flags.map((sign) => (
    <p key={sign.label} className="mt-2 border border-ink p-2">
      <b>{sign.urgency}.</b> {sign.label}. {sign.done || <b>Not answered yet.</b>}
      {sign.call_back && ` We call back on ${sign.call_back}.`}
    </p>
  ));
}

export function Cares({ cares }: { cares: readonly Schemas["PaperPrecaution"][] }) {
  return cares.map((care) => (
    <p key={care.id} className="mt-2 border-l-2 border-ink pl-2">
      <b>{care.label}.</b> {care.cleared ? "" : care.limit}{" "}
      {care.cleared ? `Cleared: ${care.cleared}.` : `Ask: ${care.ask}.`}{" "}
      {care.limits_cleared?.join(" ")}
    </p>
  ));
}

export function Lacks({ lacks }: { lacks: readonly string[] }) {
  return lacks.map((words) => (
    <p key={words} className="mt-2 border border-ink p-2">
      <b>Does not fit with this plan.</b> {words}
    </p>
  ));
}

/** The drawing as it is printed. */
export function Figure({ scene }: { scene: Schemas["Scene"] | null }) {
  const { catalogue } = useVisitFacts();
  if (!scene) return null;
  return (
    <div className="mt-3 [&_svg]:h-auto [&_svg]:w-full">
      <Marks marks={scene.marks} inks={catalogue.inks} width={scene.width} height={scene.height} />
    </div>
  );
}

/** One thing to do, as every paper says it. */
export function Action({ action, who = true }: { action: Schemas["PaperAction"]; who?: boolean }) {
  return (
    <>
      {action.posture === "standing" && <i>Standing. </i>}
      {action.words ? (
        <>
          {action.words} <span className="text-sm text-soft">Computed: {action.text}</span>
        </>
      ) : (
        action.text
      )}
      {(action.remark || (action.state === "later" && !action.told)) && (
        <i> {action.remark || "Not today."}</i>
      )}
      {who && action.who !== "Practitioner" && !action.told && (
        <span className="text-soft">
          {" "}
          {[action.who, action.when, action.price && `price: ${action.price}`]
            .filter(Boolean)
            .join(" · ")}
        </span>
      )}
    </>
  );
}

export function Causes({
  causes,
  evidence = true,
}: {
  causes: readonly Schemas["PaperCause"][];
  evidence?: boolean;
}) {
  if (causes.length === 0) return <p>Nothing measured is out of range.</p>;
  return causes.map((cause) => (
    <section key={cause.title} className="mt-2">
      <h5 className="font-semibold">
        {cause.words || cause.title}
        {cause.words && (
          <span className="text-sm font-normal text-soft"> Computed: {cause.title}</span>
        )}
        {evidence && cause.left_out && (
          <span className="text-sm font-normal text-soft"> (left out of the client's paper)</span>
        )}
        {evidence && cause.minutes !== null && (
          <span className="figures font-normal text-soft"> {cause.minutes} min a day</span>
        )}
      </h5>
      {cause.explains.length > 0 && <p>May explain: {cause.explains.join("; ")}</p>}
      <ul>
        {cause.findings.map((finding) => (
          <li key={finding.id} className="border-b border-hair py-1">
            {finding.posture === "standing" && <i>Standing. </i>}
            {finding.cause}
            {finding.confirmed === false && <span className="text-soft"> (not confirmed)</span>}
            {evidence && finding.left && <span className="text-soft"> Limit: {finding.left}.</span>}
            {evidence && finding.evidence.length > 0 && (
              <span className="text-soft"> {finding.evidence.join("; ")}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  ));
}

export function Settings({
  table,
  method = false,
}: {
  table: readonly Schemas["PaperRow"][];
  /** With how sure a target is, and how what was left is known. */
  method?: boolean;
}) {
  /** Versions signed before target and setting were told apart hold the setting as their target. */
  const told = table.some((row) => row.setting);
  return (
    <table className="figures w-full">
      <thead>
        <tr className="border-b border-ink text-right">
          <th className="text-left font-semibold">What</th>
          <th className="font-semibold">Found</th>
          <th className="font-semibold">Target</th>
          {told && <th className="font-semibold">Setting</th>}
          <th className="font-semibold">Left at</th>
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
              {row.note && <span className="block text-sm text-soft">{row.note}</span>}
            </th>
            <td>{row.before}</td>
            <td>
              {row.target}
              {method && row.plus_minus && (
                <span className="block text-sm text-soft">± {row.plus_minus}</span>
              )}
            </td>
            {told && <td>{row.setting}</td>}
            <td>
              {row.after}
              {method && row.how && <span className="block text-sm text-soft">{row.how}</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A further place: what is done there, how everything is set, and what changes on the way over. */
export function PlacePart({ place }: { place: Schemas["PaperPlace"] }) {
  return (
    <section aria-label={place.name}>
      <h4 className="mt-5 border-t border-ink pt-3 text-base font-semibold">
        {place.name}: {place.use.toLowerCase()}
      </h4>
      <Lacks lacks={place.shortfalls} />
      <Lines lines={[...place.actions, ...place.desk, ...place.moves]} />
      <Settings table={place.table} />
    </section>
  );
}

export function Rhythm({ rhythm }: { rhythm: Schemas["PaperRhythm"] }) {
  return (
    <p>
      <b>{rhythm.label}.</b> {rhythm.says} Over {rhythm.hours} h: {Math.round(rhythm.sit)} min
      sitting, {Math.round(rhythm.stand)} min standing, {Math.round(rhythm.move)} min{" "}
      {rhythm.walks === false ? "of weight shifts" : "moving"}.
    </p>
  );
}

export function Replaces({ lines }: { lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <div className="mt-4 border-l-2 border-ink pl-2">
      <p className="font-semibold">{lines[0]}</p>
      {lines.length > 1 && <Lines lines={lines.slice(1)} />}
    </div>
  );
}

export function Cautions({ head, cautions }: { head: Head; cautions: readonly string[] }) {
  return (
    <Part name="Please note">
      <Lines lines={[...cautions, head.local_wording].filter(Boolean)} />
    </Part>
  );
}

/** What hurts more than at the visit before: first of all. */
export function GotWorse({ since }: { since: Schemas["PaperSince"] | null | undefined }) {
  if (!since?.worse?.length) return null;
  return (
    <p className="mt-2 border border-ink p-2">
      <b>Worse than on {since.on}.</b> {since.worse.join("; ")}.
    </p>
  );
}

/** What has become of the client since the visit before. */
export function SinceThen({ since }: { since: Schemas["PaperSince"] | null | undefined }) {
  if (!since) return null;
  const named = (name: string, titles: readonly string[]) =>
    titles.length > 0 ? `${name}: ${titles.join("; ")}.` : "";
  return (
    <Part name={`Since ${since.on}`}>
      <Lines
        lines={[
          ...since.discomfort,
          named("Gone", since.resolved),
          named("Still there", since.unchanged),
          named("New", since.new),
          named("Not looked at again", since.not_assessed),
          ...since.drift,
          ...since.temporary.map((text) => `For a time only: ${text}`),
        ].filter(Boolean)}
      />
    </Part>
  );
}
