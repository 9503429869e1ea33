import { plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Plus } from "lucide-react";
import { type KeyboardEvent, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { ByKeys } from "@/shared/ui/by-keys";
import { Picture } from "@/shared/ui/picture";
import { Skeleton } from "@/shared/ui/skeleton";
import { FieldRow, Trouble } from "../../field-row";
import { Lines } from "../../lines";
import { PanelFoot } from "../../panel-parts";
import { useDrawingStore } from "../../state/drawing-store";
import { memberField, useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";

type Found = Schemas["Finding"];

const WAYS: Record<string, number> = { ArrowDown: 1, ArrowUp: -1 };
const VERDICTS: Record<string, string> = { a: "accepted", d: "dismissed" };
const verdictOf = (id: string) => `work.finding.${id.replaceAll(".", "-")}.verdict`;

/** What is off, the gravest first; accepted, reworded or dismissed; what holds and what can't be told. */
export function Findings() {
  const { readOnly, unit } = useVisitFacts();
  const queue = useQueue();
  const drawnVisit = useWorkup();
  const { go } = useNavigation();
  const { setActive } = useDrawingStore();
  const [open, setOpen] = useState<string | null>(null);
  const [adding, setAdding] = useState<string | null>(null);
  if (!drawnVisit) return <Skeleton lines={8} label={t`Loading`} />;
  const off = drawnVisit.findings;
  const kept = off.filter((finding) => finding.verdict !== "dismissed");
  const dismissed = off.filter((finding) => finding.verdict === "dismissed");
  const causes = drawnVisit.causes;
  const programs = off.filter((finding) => !finding.own);
  const unseen = programs.filter((program) => !program.verdict);
  const acceptAll = () =>
    queue.typeAll(
      unseen.map((finding) => [verdictOf(finding.id), "accepted"] as const),
      unit,
    );
  /** On a finding: a accepts, d dismisses and goes on to the next; arrows go from one to the next. */
  const keys = (event: KeyboardEvent<HTMLElement>) => {
    const here = (event.target as HTMLElement).closest<HTMLElement>("[data-finding]");
    const way = WAYS[event.key];
    const verdict = VERDICTS[event.key];
    if (!here || event.metaKey || event.ctrlKey || event.altKey || (!way && !verdict)) return;
    event.preventDefault();
    event.stopPropagation();
    const id = here.dataset.finding ?? "";
    if (verdict && programs.some((program) => program.id === id))
      queue.type(verdictOf(id), verdict, unit);
    const all = [...event.currentTarget.querySelectorAll<HTMLElement>("[data-finding]")];
    all[all.indexOf(here) + (way ?? 1)]?.focus();
  };
  const one = (finding: Found) => (
    <One
      key={finding.id}
      finding={finding}
      open={open === finding.id}
      onToggle={() => {
        setOpen(open === finding.id ? null : finding.id);
        setActive(finding.key || null);
      }}
    />
  );
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys for the buttons of the findings within it
    <div className="flex flex-1 flex-col" onKeyDown={readOnly ? undefined : keys}>
      <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
        {causes.length
          ? t`${plural(causes.length, { one: "# cause", other: "# causes" })}, ${plural(kept.length, { one: "# finding", other: "# findings" })}`
          : kept.length
            ? t`${kept.length} found`
            : t`Nothing out of range`}
      </h2>
      <p className="mb-2 text-sm text-soft">
        {t`Suggestions to accept, edit or dismiss. Dismissed findings are left out of the report.`}
        <ByKeys> {t`Keys: arrows move, a accepts, d dismisses.`}</ByKeys>
      </p>
      {!readOnly && unseen.length > 0 && (
        <Button className="mb-3 w-full text-sm" onClick={acceptAll}>
          <Trans>
            Accept {unseen.length === programs.length ? "all" : t`the other`} {unseen.length}
          </Trans>
        </Button>
      )}
      {causes.map((cause) => (
        <section key={cause.id} aria-label={cause.title} className="mb-3">
          <h3 className="flex items-start gap-2 border-b border-ink pb-1 font-semibold">
            <Strokes severity={cause.severity} />
            <span className="flex-1">{cause.title}</span>
            {cause.minutes !== null && (
              <span className="figures text-sm font-normal">
                <Trans>{cause.minutes}&nbsp;min a day</Trans>
              </span>
            )}
          </h3>
          {cause.explains.length > 0 && (
            <p className="pt-1 ps-7 text-sm">
              <Trans>May explain: {cause.explains.join("; ")}</Trans>
            </p>
          )}
          <ul>
            {cause.findings.map((id) => {
              const finding = kept.find((each) => each.id === id);
              return finding && one(finding);
            })}
          </ul>
        </section>
      ))}
      {drawnVisit.unexplained.length > 0 && (
        <p className="mb-2 border-s-4 border-ink ps-3 text-sm">
          <Trans>
            Not explained by any cause found: {drawnVisit.unexplained.join("; ")}. Look again, or
            refer.
          </Trans>
        </p>
      )}
      {adding && <Own id={adding} />}
      {!readOnly && (
        <Button
          look="quiet"
          className="mt-1 -ms-4 self-start"
          onClick={() => setAdding(crypto.randomUUID().slice(0, 8))}
        >
          <Plus size={16} aria-hidden="true" /> {t`Add your own finding`}
        </Button>
      )}
      {dismissed.length > 0 && (
        <details className="mt-2" open>
          <summary className="flex min-h-11 items-center font-semibold">
            <Trans>Dismissed: {dismissed.length}</Trans>
          </summary>
          <ul>{dismissed.map(one)}</ul>
        </details>
      )}
      <Rest state="not assessable" title={t`Not enough information`} />
      <Rest state="holds" title={t`In range`} />
      <PanelFoot>
        <Button className="w-full" data-next="" onClick={() => go("set")}>
          {t`Continue to Set`}
        </Button>
      </PanelFoot>
    </div>
  );
}

const BARS: Record<string, number> = { slight: 1, marked: 2, strong: 3 };

/** Severity by strokes, so that no colour has to say it. */
function Strokes({ severity }: { severity: string | null | undefined }) {
  const many = BARS[severity ?? ""] ?? 0;
  return (
    <svg
      width="20"
      height="20"
      viewBox="0 0 20 20"
      role="img"
      aria-label={severity ?? t`not graded`}
    >
      {[0, 1, 2].map((index) => (
        <path
          key={index}
          d={`M${4 + 6 * index} 15V5`}
          stroke={index < many ? "var(--ink)" : "var(--soft)"}
          strokeWidth={index < many ? 3.4 : 1}
        />
      ))}
    </svg>
  );
}

function One({ finding, open, onToggle }: { finding: Found; open: boolean; onToggle: () => void }) {
  const dismissed = finding.verdict === "dismissed";
  return (
    <li className="border-b border-hair">
      <button
        type="button"
        data-finding={finding.id}
        aria-expanded={open}
        onClick={onToggle}
        className="grid min-h-12 w-full grid-cols-[20px_1fr_auto] items-start gap-x-2 py-2 text-start"
      >
        <Strokes severity={finding.severity} />
        <span className={dismissed ? "text-soft line-through" : ""}>
          <b>{finding.title}</b>
          {finding.posture === "standing" && <span className="text-soft"> {t`standing`}</span>}
          {!open && (
            <span className="block text-sm text-soft">{finding.words || finding.instruction}</span>
          )}
        </span>
        <span className="figures text-end text-sm">
          {finding.joint && finding.minutes != null && (
            <b>
              <Trans>{Math.round(finding.minutes)}&nbsp;min</Trans>
            </b>
          )}
          {finding.verdict === "accepted" && <span className="block text-soft">{t`accepted`}</span>}
        </span>
      </button>
      {open && <Detail finding={finding} />}
    </li>
  );
}

function Detail({ finding }: { finding: Found }) {
  const { catalogue } = useVisitFacts();
  const { go } = useNavigation();
  const lines: [string, string | null | undefined][] = [
    [t`Finding`, finding.cause],
    [t`Why it matters`, finding.own ? finding.why : null],
    [t`What to do`, finding.instruction],
    [t`Limit`, finding.left],
    [t`Evidence`, finding.evidence.join("; ")],
    [t`Discomfort there`, finding.discomfort.join("; ")],
    [
      t`Severity`,
      finding.severity &&
        `${finding.severity}${finding.safety ? t`: unsafe even for short periods` : finding.sum ? `: ${finding.sum}` : ""}`,
    ],
    [t`Threshold`, catalogue.sources[finding.source] ?? finding.source],
  ];
  return (
    <div className="pb-3 ps-7 text-sm">
      <Lines of={lines} />
      {finding.photo && (
        <button
          type="button"
          onClick={() => go("look", "photos")}
          className="mt-2 block border border-ink/40"
        >
          <Picture
            id={finding.photo}
            alt={t`Photo of this reading; opens Photos`}
            className="h-28"
          />
        </button>
      )}
      {finding.own ? <Own id={finding.id.replace(/^own-/, "")} /> : <Decide finding={finding} />}
    </div>
  );
}

/** Accept, say it in one's own words, or dismiss with a reason. */
function Decide({ finding }: { finding: Found }) {
  const { catalogue, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const start = `work.finding.${finding.id.replaceAll(".", "-")}`;
  const typed = (what: string) => cells.get(`${start}.${what}`)?.typed ?? "";
  const [wording, setWording] = useState(typed("words") !== "");
  const field = (what: string) =>
    memberField(catalogue, `work.finding.*.${what}`, finding.id.replaceAll(".", "-"));
  const verdict = typed("verdict");
  const set = (to: string) => queue.type(`${start}.verdict`, verdict === to ? "" : to, unit);
  const words = field("words");
  const reason = field("reason");
  const share = field("workplace");
  if (readOnly)
    return (
      <p className="mt-2">
        {finding.verdict ?? t`Not reviewed`}
        {finding.dismissed_for && `: ${finding.dismissed_for}`}
      </p>
    );
  return (
    <div className="mt-2 space-y-2">
      <div className="flex flex-wrap gap-1.5">
        <Button
          aria-pressed={verdict === "accepted"}
          className="aria-pressed:bg-ink aria-pressed:text-ground"
          onClick={() => set("accepted")}
        >
          {t`Accept`}
        </Button>
        <Button
          aria-pressed={verdict === "dismissed"}
          className="aria-pressed:bg-ink aria-pressed:text-ground"
          onClick={() => set("dismissed")}
        >
          {t`Dismiss`}
        </Button>
        {!wording && (
          <Button look="quiet" onClick={() => setWording(true)}>
            {t`Edit wording`}
          </Button>
        )}
      </div>
      <Trouble path={`${start}.verdict`} id={`${start}.verdict`} />
      {verdict === "dismissed" && reason && <FieldRow field={reason} />}
      {wording && words && <FieldRow field={words} />}
      {typed("words") && share && verdict !== "dismissed" && <FieldRow field={share} />}
    </div>
  );
}

/** A finding of the practitioner's own. */
function Own({ id }: { id: string }) {
  const { catalogue } = useVisitFacts();
  return (
    <div className="mt-2 space-y-3 border-s-4 border-ink ps-3">
      {["title", "why", "do", "severity", "workplace"].map((what) => {
        const field = memberField(catalogue, `work.own.*.${what}`, id);
        return field && <FieldRow key={field.id} field={field} />;
      })}
    </div>
  );
}

function Rest({ state, title }: { state: Schemas["RestView"]["state"]; title: string }) {
  const drawnVisit = useWorkup();
  const list = drawnVisit?.rest.filter((rest) => rest.state === state) ?? [];
  const subjects = [...new Set(list.map((rest) => rest.subject))];
  if (list.length === 0) return null;
  return (
    <details className="mt-1">
      <summary className="flex min-h-11 items-center font-semibold">
        {title}: {list.length}
      </summary>
      {subjects.map((subject) => (
        <section key={subject} className="mb-2 text-sm">
          <h3 className="text-soft">{subject}</h3>
          <ul>
            {list
              .filter((rest) => rest.subject === subject)
              .map((rest) => (
                <li key={rest.id} className="border-b border-hair py-1">
                  {rest.text}
                </li>
              ))}
          </ul>
        </section>
      ))}
    </details>
  );
}
