import { Check, FileText } from "lucide-react";
import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { useDraft, useSign } from "@/shared/api/queries";
import { longDate } from "@/shared/dates";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { Skeleton } from "@/shared/ui/skeleton";
import { FieldRow, Trouble } from "../field-row";
import { StagePortal } from "../stage-portal";
import { useVisitFacts } from "../state/facts";
import { useNavigation } from "../state/navigation";
import { useCells, useQueue } from "../state/recording";
import { StepHead } from "../step-head";
import { ReportPaper } from "./report-paper";

/** Report: the paper as it would be signed, and the signature. */
export function ReportPanel() {
  const { visit, fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const { seek } = useNavigation();
  const draft = useDraft(visit.id, unit);
  const [signing, setSigning] = useState(false);
  const latest = visit.reports.at(-1);
  const current = latest?.current ?? false;
  const missing = draft.data?.missing ?? [];
  const workplace = cells.get(fieldId("ask.consent.workplace"))?.held?.typed === "yes";
  return (
    <div className="flex min-h-full flex-col pb-5">
      <StepHead
        says={
          current
            ? `Version ${latest?.number} is signed and locked. Any change starts the next version.`
            : latest
              ? `Changed since version ${latest.number}, which stays as signed. Sign to make version ${latest.number + 1}.`
              : "Signing locks the report. Later changes start a new version."
        }
      >
        Report
      </StepHead>
      <div className="space-y-3">
        {fields
          .filter((field) => field.step === "report" && field.section !== "share")
          .map((field) => (
            <FieldRow key={field.id} field={field} />
          ))}
      </div>
      {visit.reports.length > 0 && (
        <ul className="mt-4 border-t border-hair" aria-label="Signed versions">
          {visit.reports.map((report) => (
            <li key={report.id} className="border-b border-hair">
              <a
                href={`/api/reports/${report.id}.pdf`}
                target="_blank"
                rel="noreferrer"
                className="flex min-h-11 items-center gap-2 underline-offset-2 hover:underline"
              >
                <Check size={16} aria-hidden="true" />
                Version {report.number}, signed {longDate(report.signed_at)} by {report.signed_by}{" "}
                (PDF)
              </a>
              {workplace && (
                <a
                  href={`/api/reports/${report.id}.pdf?copy=workplace`}
                  target="_blank"
                  rel="noreferrer"
                  className="flex min-h-11 items-center pl-6 underline-offset-2 hover:underline"
                >
                  Workplace copy, version {report.number} (PDF)
                </a>
              )}
            </li>
          ))}
        </ul>
      )}
      {workplace && <Shared />}
      {visit.reports.length > 0 && !workplace && (
        <p className="mt-2 text-sm text-soft">
          No workplace copy: the client has not consented.{" "}
          <button
            type="button"
            className="min-h-11 underline"
            onClick={() => seek(fieldId("ask.consent.workplace"))}
          >
            Consent
          </button>
        </p>
      )}
      {!current && !readOnly && (
        <div className="mt-4">
          {missing.length > 0 && (
            <ul
              className="mb-2 border-l-4 border-ink bg-deep px-3 py-2 text-sm"
              aria-label="Before signing"
            >
              {missing.map((one) => (
                <li key={`${one.field} ${one.detail}`}>
                  <button
                    type="button"
                    className="min-h-11 w-full text-left underline-offset-2 hover:underline"
                    onClick={() => seek(one.field ?? "")}
                  >
                    Before signing: {one.detail}.
                  </button>
                </li>
              ))}
            </ul>
          )}
          <Button
            look="next"
            className="w-full"
            data-next=""
            disabled={missing.length > 0 || !draft.data || queue.open.length > 0}
            onClick={() => setSigning(true)}
          >
            Sign version {(latest?.number ?? 0) + 1} …
          </Button>
          {queue.open.length > 0 && (
            <p className="mt-1 text-sm text-soft">
              First all that was typed has to be on the server, and nothing left to settle.
            </p>
          )}
          {signing && draft.data && (
            <Signing
              draft={draft.data}
              version={(latest?.number ?? 0) + 1}
              onDone={() => setSigning(false)}
            />
          )}
          <a
            href={`/api/visits/${visit.id}/report.pdf?unit=${unit}`}
            target="_blank"
            rel="noreferrer"
            className="mt-1 flex min-h-11 items-center justify-center gap-2 text-sm underline"
          >
            <FileText size={16} aria-hidden="true" /> Preview PDF
          </a>
        </div>
      )}
      <StagePortal label="The report as it would be signed">
        {draft.data ? (
          <ReportPaper content={draft.data.content} />
        ) : (
          <div className="p-10">
            <Skeleton lines={14} label="Putting the report together" />
          </div>
        )}
      </StagePortal>
    </div>
  );
}

/** Asked once, with what is signed; the report and its id are those shown here. */
function Signing({
  draft,
  version,
  onDone,
}: {
  draft: Schemas["Draft"];
  version: number;
  onDone: () => void;
}) {
  const { visit, unit } = useVisitFacts();
  const sign = useSign(visit.id, unit);
  const [id] = useNewId();
  const submit = () => sign.sign(id, draft.revision, onDone);
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={`Sign version ${version}?`}
      says="You put your name to it as it stands. It can't be changed or taken back; a later change makes the next version."
    >
      <ul className="mb-4 list-disc pl-5" aria-label="What is signed">
        {draft.summary.map((line) => (
          <li key={line} className="figures">
            {line}
          </li>
        ))}
      </ul>
      {sign.isError && (
        <Notice role="alert" className="mb-3">
          {sign.error.message}
        </Notice>
      )}
      <div className="flex gap-2">
        <Button look="next" disabled={sign.isPending} onClick={submit}>
          {sign.isPending ? "Signing …" : `Sign version ${version}`}
        </Button>
        <Button look="quiet" onClick={onDone}>
          Not yet
        </Button>
      </div>
    </Modal>
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
      <legend className="font-semibold">The workplace's copy says, besides</legend>
      <p className="text-sm text-soft">
        Furniture, room, rhythm and what work is left out are on it, never why. Own findings and
        wordings are ticked in Work out, Findings, each by itself.
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
