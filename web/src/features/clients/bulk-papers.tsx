import { msg, t } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useState } from "react";
import { type Schemas, server } from "@/shared/api/client";
import { stale } from "@/shared/api/stale";
import { dayOf, daysLater, longDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Download } from "@/shared/ui/download";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { Segments } from "@/shared/ui/segments";
import { said } from "@/shared/words/said";

type Job = Schemas["BulkJobView"];
type Copy = NonNullable<Schemas["PapersRequest"]["which"]>;

const COPIES: readonly { value: Copy; label: string }[] = said([
  { value: "client", label: msg`Client’s` },
  { value: "workplace", label: msg`Workplace’s` },
  { value: "record", label: msg`Record` },
]);
const LOOK_MS = 2000;
const PERIOD_DAYS = 90;

const isOpen = (job: Job) => job.state === "waiting" || job.state === "working";

/** What workers do for one: asked again while anything is open. */
export function useBulkJobs() {
  return server.useQuery("get", "/api/bulk", undefined, {
    refetchInterval: ({ state }) =>
      (state.data as readonly Job[] | undefined)?.some(isOpen) ? LOOK_MS : false,
  });
}

/** The papers of a period as one file, made in the background. */
export function BulkPapers({ onDone }: { onDone: () => void }) {
  const queries = useQueryClient();
  const jobs = useBulkJobs();
  const ask = server.useMutation("post", "/api/bulk/papers", {
    onSuccess: () => stale(queries, "/api/bulk"),
  });
  const today = dayOf(new Date());
  const [since, setSince] = useState(daysLater(today, -PERIOD_DAYS));
  const [until, setUntil] = useState(today);
  const [which, setWhich] = useState<Copy>("client");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    ask.mutate({ body: { since, until, which } });
  };
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`Export reports by date`}
      says={t`All reports signed in this period, as one ZIP file. It is created in the background and kept for one day. Workplace copies are included only with the client’s current consent.`}
    >
      <form onSubmit={submit} className="space-y-4" aria-label={t`Export reports by date`}>
        <div className="grid grid-cols-2 gap-4">
          <LabelledInput
            label={t`Signed from`}
            type="date"
            required
            max={until}
            value={since}
            onChange={(event) => setSince(event.target.value)}
          />
          <LabelledInput
            label="until"
            type="date"
            required
            min={since}
            value={until}
            onChange={(event) => setUntil(event.target.value)}
          />
        </div>
        <Segments
          label={t`Copy`}
          value={which}
          onChange={(value) => setWhich(value as Copy)}
          choices={COPIES}
        />
        <Failure of={ask} />
        <Button type="submit" look="next" disabled={ask.isPending}>
          {t`Create ZIP`}
        </Button>
      </form>
      <ul className="mt-5 border-b border-hair empty:hidden" aria-label={t`Requested`}>
        {(jobs.data ?? []).map((job) => (
          <OneJob key={job.id} job={job} />
        ))}
      </ul>
    </Modal>
  );
}

const STATES: Record<Job["state"], string> = said({
  waiting: "waits",
  working: msg`is being made`,
  done: "",
  failed: "failed",
});

function OneJob({ job }: { job: Job }) {
  const queries = useQueryClient();
  const drop = server.useMutation("delete", "/api/bulk/{job_id}", {
    onSettled: () => stale(queries, "/api/bulk"),
  });
  const what =
    job.kind === "papers"
      ? t`${COPIES.find((copy) => copy.value === job.copy)?.label ?? ""} reports, ${longDate(job.since ?? "")} to ${longDate(job.until ?? "")}`
      : t`Archive import`;
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-t border-hair py-2">
      <p>
        {what}:{" "}
        <span role="status" className="figures">
          {job.state === "done" || job.state === "failed" ? job.says : STATES[job.state]}
        </span>
      </p>
      <span className="flex gap-2">
        {job.kind === "papers" && job.state === "done" && (
          <Download href={`/api/bulk/${job.id}.zip`} file="papers.zip">
            {t`Download`}
          </Download>
        )}
        {!isOpen(job) && (
          <Button
            look="quiet"
            aria-label={t`Remove: ${what}`}
            disabled={drop.isPending}
            onClick={() => drop.mutate({ params: { path: { job_id: job.id } } })}
          >
            {t`Remove`}
          </Button>
        )}
      </span>
    </li>
  );
}
