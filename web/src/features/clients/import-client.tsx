import { t } from "@lingui/core/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "@tanstack/react-router";
import { useEffect, useId, useState } from "react";
import { fileBody, server } from "@/shared/api/client";
import { useImportClient } from "@/shared/api/queries";
import { stale } from "@/shared/api/stale";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";
import { useBulkJobs } from "./bulk-papers";

/** Larger archives are imported by a worker: 100 MB take a minute. House value. */
const LARGE_BYTES = 5_000_000;

/** A client with their visits from another practice's archive; asked for the client's word first. */
export function ImportClient({ onDone }: { onDone: () => void }) {
  const take = useImportClient();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [file, setFile] = useState<File | null>(null);
  const [agreed, setAgreed] = useState(false);
  const id = useId();
  const large = !!file && file.size > LARGE_BYTES;
  const later = server.useMutation("post", "/api/bulk/import", {
    onSuccess: () => stale(queries, "/api/bulk"),
  });
  const jobs = useBulkJobs();
  const mine = jobs.data?.find((one) => one.id === later.data?.id);
  const done = mine?.state === "done";
  useEffect(() => {
    if (done) void stale(queries, "/api/clients", "/api/visits");
  }, [done, queries]);
  const submit = () => {
    if (!file) return;
    const given = {
      params: { query: { agreed } },
      ...fileBody(file, "application/octet-stream"),
    };
    if (large) later.mutate(given);
    else takeNow(given);
  };
  const takeNow = (fetchOptions: Parameters<typeof take.mutate>[0]) =>
    take.mutate(fetchOptions, {
      onSuccess: (client) => {
        onDone();
        void navigate({ to: "/clients/$clientId", params: { clientId: client.id } });
      },
    });
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={t`Import a client`}
      says={t`An archive created with Export. Visits, measurements and photos are imported as a new client; reports signed elsewhere stay in the archive.`}
    >
      <label htmlFor={id} className="block font-semibold">
        {t`Archive (ZIP)`}
      </label>
      <input
        id={id}
        type="file"
        accept=".zip,application/zip"
        className="mt-1 min-h-11 w-full"
        onChange={(event) => setFile(event.target.files?.[0] ?? null)}
      />
      <div className="mt-3">
        <CheckBox checked={agreed} onChange={setAgreed}>
          {t`The client agrees to these records being stored here`}
        </CheckBox>
      </div>
      {(take.error ?? later.error) && (
        <Notice role="alert" className="mt-3">
          {(take.error ?? later.error)?.message}
        </Notice>
      )}
      {later.data && (
        <Notice role={mine?.state === "failed" ? "alert" : "status"} className="mt-3">
          {mine?.says ||
            t`This file is large and is being imported in the background. You can close this window; the client appears in the list when it has finished.`}
        </Notice>
      )}
      <div className="mt-4 flex gap-2">
        <Button
          look="next"
          disabled={!file || !agreed || take.isPending || later.isPending || later.isSuccess}
          onClick={submit}
        >
          {take.isPending || later.isPending ? t`Importing…` : t`Import`}
        </Button>
        <Button look="quiet" onClick={onDone}>
          {later.isSuccess ? t`Close` : t`Cancel`}
        </Button>
      </div>
    </Modal>
  );
}
