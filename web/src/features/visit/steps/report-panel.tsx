import { Check, FileText } from "lucide-react";
import { useDraft, useSign } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { FieldRow } from "../field-row";
import { useVisitState } from "../visit-context";
import { ReportPaper } from "./report-paper";

/** Report: the paper as it would be signed, and the signature. */
export function ReportPanel() {
  const { visit, fields, unit, readOnly, keeper, cells, go } = useVisitState();
  const draft = useDraft(visit.id, unit);
  const sign = useSign(visit.id, unit);
  const latest = visit.reports.at(-1);
  const current = latest?.current ?? false;
  const missing = draft.data?.missing ?? [];
  const workplace = cells.get("ask.consent.workplace")?.held?.typed === "yes";
  return (
    <div className="flex min-h-full flex-col pb-5">
      <h2 className="text-xl">Report</h2>
      <p className="mb-3 text-soft">
        {current
          ? `Version ${latest?.number} is signed and frozen. Any change makes the next version.`
          : latest
            ? `Changed since version ${latest.number}, which stays as signed. Sign to make version ${latest.number + 1}.`
            : "Signing freezes it; later changes make a new version."}
      </p>
      <div className="space-y-3">
        {fields
          .filter((field) => field.step === "report")
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
                Version {report.number}, signed {report.signed_at.slice(0, 10)} by{" "}
                {report.signed_by} (PDF)
              </a>
              {workplace && (
                <a
                  href={`/api/reports/${report.id}.pdf?copy=workplace`}
                  target="_blank"
                  rel="noreferrer"
                  className="flex min-h-11 items-center pl-6 underline-offset-2 hover:underline"
                >
                  The workplace's copy of version {report.number} (PDF)
                </a>
              )}
            </li>
          ))}
        </ul>
      )}
      {visit.reports.length > 0 && !workplace && (
        <p className="mt-2 text-sm text-soft">
          No copy for the workplace: the client's consent to it is not there.{" "}
          <button type="button" className="min-h-11 underline" onClick={() => go("ask", "Consent")}>
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
                <li key={one.field}>Before signing: {one.detail}.</li>
              ))}
            </ul>
          )}
          <Button
            look="next"
            className="w-full"
            data-next=""
            disabled={sign.isPending || missing.length > 0 || draft.isPending || keeper.unsent}
            onClick={() => sign.mutate()}
          >
            {sign.isPending ? "Signing …" : `Sign version ${(latest?.number ?? 0) + 1}`}
          </Button>
          {sign.isError && (
            <Notice role="alert" className="mt-2 text-sm">
              {sign.error.message}
            </Notice>
          )}
          <a
            href={`/api/visits/${visit.id}/report.pdf?unit=${unit}`}
            target="_blank"
            rel="noreferrer"
            className="mt-1 flex min-h-11 items-center justify-center gap-2 text-sm underline"
          >
            <FileText size={16} aria-hidden="true" /> Look at the draft as PDF
          </a>
        </div>
      )}
      {draft.data && <ReportPaper content={draft.data.content} />}
    </div>
  );
}
