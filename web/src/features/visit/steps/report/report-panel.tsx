import { msg, plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Check, FileText } from "lucide-react";
import { useState } from "react";
import { useStore } from "zustand";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { isSigned, useDraft } from "@/shared/api/queries";
import { longDate } from "@/shared/dates";
import { network } from "@/shared/device/network";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { said } from "@/shared/words/said";
import { FieldRow, Trouble } from "../../field-row";
import { StepHead } from "../../panel-parts";
import { StagePortal } from "../../stage-portal";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells, useQueue } from "../../state/recording";
import { Editing } from "./editing";
import { FormBack } from "./form-back";
import { PaperSheet } from "./paper-sheet";
import { Signing } from "./sign-page";

type Copy = "client" | "workplace" | "record";
const COPIES: readonly { value: Copy; label: string }[] = said([
  { value: "client", label: msg`Client` },
  { value: "workplace", label: msg`Workplace` },
  { value: "record", label: msg`Record` },
]);
const NAMES: Record<string, string> = said({
  client: msg`Client’s report`,
  workplace: msg`Workplace copy`,
  record: msg`Record for colleagues`,
});
const SHEETS: Record<Copy, string> = said({
  client: msg`Client’s report`,
  workplace: msg`Workplace copy`,
  record: msg`Record`,
});

/** Sections of the step that are not in its form: what the workplace reads, and what it answered. */
const APART: ReadonlySet<string> = new Set(["share", "requests"]);

/** Report: the papers as they would be signed, and the signature. */
export function ReportPanel() {
  const { visit, fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const { seek } = useNavigation();
  const draft = useDraft(visit.id, unit);
  const [signing, setSigning] = useState(false);
  const [copy, setCopy] = useState<Copy>("client");
  const latest = visit.reports.at(-1);
  const current = isSigned(visit);
  const away = useStore(network, (state) => state.away);
  const missing = draft.data?.missing ?? [];
  const workplace = cells.get(fieldId("ask.consent.workplace"))?.held?.typed === "yes";
  return (
    <div className="flex min-h-full flex-col pb-5">
      <StepHead
        says={
          current
            ? t`Version ${latest?.number ?? 0} is signed and locked. Any change starts the next version.`
            : latest
              ? t`Changed since version ${latest.number}, which stays as signed. Sign to make version ${latest.number + 1}.`
              : t`Signing locks the report. Later changes start a new version.`
        }
      >
        {t`Report`}
      </StepHead>
      <div className="space-y-3">
        {fields
          .filter((field) => field.step === "report" && !APART.has(field.section))
          .map((field) => (
            <FieldRow key={field.id} field={field} />
          ))}
      </div>
      {draft.data && <Editing papers={draft.data.content} />}
      {visit.reports.length > 0 && (
        <ul className="mt-4 border-t border-hair" aria-label={t`Signed versions`}>
          {visit.reports.map((report) => (
            <li key={report.id} className="border-b border-hair py-1">
              <p className="flex items-center gap-2">
                <Check size={16} aria-hidden="true" />
                <span>
                  <Trans>
                    Version {report.number}, signed {longDate(report.signed_at)} by{" "}
                    {report.signed_by}
                  </Trans>
                  {report !== latest && (
                    <b>
                      {" "}
                      <Trans>· replaced by version {latest?.number}</Trans>
                    </b>
                  )}
                </span>
              </p>
              <ul className="ps-6 text-sm">
                {COPIES.filter(({ value }) =>
                  value === "workplace" ? workplace : value in report.copies,
                ).map(({ value }) => (
                  <li key={value}>
                    <a
                      href={`/api/reports/${report.id}.pdf?copy=${value}${report === latest ? "" : "&marked=true"}`}
                      target="_blank"
                      rel="noreferrer"
                      title={report.copies[value] && t`SHA-256 ${report.copies[value]}`}
                      className="flex min-h-9 items-center underline-offset-2 hover:underline"
                    >
                      <Trans>
                        {NAMES[value]}, version {report.number} (PDF
                        {report !== latest && t`, marked as replaced`})
                      </Trans>
                    </a>
                    {value === "workplace" && report === latest && (
                      <a
                        href={`/api/reports/${report.id}/request.pdf`}
                        target="_blank"
                        rel="noreferrer"
                        className="flex min-h-9 items-center underline-offset-2 hover:underline"
                      >
                        {t`Request as a fillable form (PDF)`}
                      </a>
                    )}
                    {value === "workplace" && report === latest && !readOnly && (
                      <FormBack reportId={report.id} />
                    )}
                    {report !== latest && (
                      <a
                        href={`/api/reports/${report.id}.pdf?copy=${value}`}
                        target="_blank"
                        rel="noreferrer"
                        className="flex min-h-9 items-center text-soft underline-offset-2 hover:underline"
                      >
                        {t`original signed file`}
                      </a>
                    )}
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
      )}
      {workplace && <Shared />}
      {visit.reports.length > 0 && !workplace && (
        <p className="mt-2 text-sm text-soft">
          <Trans>No workplace copy: the client has not consented. </Trans>
          <button
            type="button"
            className="min-h-11 underline"
            onClick={() => seek(fieldId("ask.consent.workplace"))}
          >
            {t`Consent`}
          </button>
        </p>
      )}
      {!current && !readOnly && (
        <div className="mt-4">
          <Button
            look="next"
            className="w-full"
            data-next=""
            disabled={!draft.data || away || queue.open.length > 0}
            onClick={() => setSigning(true)}
          >
            {missing.length > 0
              ? t`Before signing: ${plural(missing.length, { one: "# thing", other: "# things" })} open…`
              : t`Sign version ${(latest?.number ?? 0) + 1}…`}
          </Button>
          {away && (
            <p className="mt-1 text-sm text-soft">
              {t`Offline: signing and printing need the server. The draft is complete and saved here.`}
            </p>
          )}
          {!away && queue.open.length > 0 && (
            <p className="mt-1 text-sm text-soft">
              {t`Wait until everything is saved and conflicts are resolved.`}
            </p>
          )}
          {signing && draft.data && (
            <Signing
              draft={draft.data}
              version={(latest?.number ?? 0) + 1}
              onDone={() => setSigning(false)}
            />
          )}
        </div>
      )}
      <StagePortal label={t`Reports as they would be signed`}>
        {draft.data ? (
          <Papers
            draft={draft.data}
            copy={copy}
            onCopy={setCopy}
            href={away ? null : `/api/visits/${visit.id}/report.pdf?unit=${unit}&copy=${copy}`}
            withheld={copy === "workplace" && !workplace}
          />
        ) : (
          <div className="p-10">
            <Skeleton lines={14} label={t`Loading`} />
          </div>
        )}
      </StagePortal>
    </div>
  );
}

/** What goes to the workplace beside furniture, room and rhythm: only what is ticked here. */
function Shared() {
  const { fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const shares = fields.filter((field) => field.section === "share");
  return (
    <fieldset className="mt-4">
      <legend className="font-semibold">{t`Also include in the workplace copy`}</legend>
      <p className="text-sm text-soft">
        {t`It lists furniture, room, work pattern and tasks to leave out, never the reasons. Tick your own findings and wording one by one in Work out, Findings.`}
      </p>
      {shares.map((field) => (
        <div key={field.id} data-field={field.id}>
          <CheckBox
            checked={cells.get(field.id)?.typed === "yes"}
            disabled={readOnly}
            onChange={(share) => queue.type(field.id, share ? "yes" : "", unit)}
          >
            {field.label}
          </CheckBox>
          <Trouble path={field.id} id={field.id} />
        </div>
      ))}
    </fieldset>
  );
}

/** Reports as they would be signed, one at a time. */
function Papers({
  draft,
  copy,
  onCopy,
  href,
  withheld,
}: {
  draft: Schemas["DraftReport"];
  copy: Copy;
  onCopy: (copy: Copy) => void;
  /** Where it is printed; null while the server is away. */
  href: string | null;
  withheld: boolean;
}) {
  return (
    <div className="px-3">
      <div className="mx-auto mt-3 flex w-full max-w-[760px] flex-wrap items-center justify-between gap-2">
        <Segments
          label={t`Which report`}
          value={copy}
          choices={COPIES}
          onChange={(value) =>
            onCopy(COPIES.find((copy) => copy.value === value)?.value ?? "client")
          }
        />
        {withheld ? (
          <p className="text-sm text-soft">{t`A preview: the client has not consented to it.`}</p>
        ) : (
          href && (
            <a
              href={href}
              target="_blank"
              rel="noreferrer"
              className="flex min-h-11 items-center gap-2 text-sm underline"
            >
              <FileText size={16} aria-hidden="true" /> {t`Preview PDF`}
            </a>
          )
        )}
      </div>
      <PaperSheet paper={draft.content[copy]} layout={draft.layouts[copy]} label={SHEETS[copy]} />
    </div>
  );
}
