import { plural, t } from "@lingui/core/macro";
import { useId } from "react";
import { fileBody, server } from "@/shared/api/client";
import { Notice } from "@/shared/ui/notice";
import { useVisitFacts } from "../../state/facts";
import { useQueue } from "../../state/recording";

/** A form of the request that came back filled in: its answers are entered here, and can be undone like any entry. */
export function FormBack({ reportId }: { reportId: string }) {
  const { unit } = useVisitFacts();
  const queue = useQueue();
  const id = useId();
  const read = server.useMutation("post", "/api/reports/{report_id}/request-answers", {
    onSuccess: (answers) => queue.typeAll(Object.entries(answers), unit),
  });
  const entered = read.data && Object.keys(read.data).length;
  return (
    <div className="text-sm">
      <label
        htmlFor={id}
        className="flex min-h-9 cursor-pointer items-center underline-offset-2 focus-within:outline-2 hover:underline"
      >
        {read.isPending ? t`Reading…` : t`Import a completed form…`}
        <input
          id={id}
          type="file"
          accept=".pdf,application/pdf"
          className="sr-only"
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file)
              read.mutate({
                params: { path: { report_id: reportId } },
                ...fileBody(file, "application/octet-stream"),
              });
          }}
        />
      </label>
      {read.error && <Notice role="alert">{read.error.message}</Notice>}
      {entered !== undefined && (
        <Notice role="status">
          {entered === 0
            ? t`This form is empty.`
            : plural(entered, {
                one: "One answer entered under “Requested from the workplace”.",
                other: "# answers entered under “Requested from the workplace”.",
              })}
        </Notice>
      )}
    </div>
  );
}
