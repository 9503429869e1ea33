import { useNavigate } from "@tanstack/react-router";
import { useId, useState } from "react";
import { fileBody } from "@/shared/api/client";
import { useImportClient } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";

/** A client with their visits from another practice's archive; asked for the client's word first. */
export function ImportClient({ onDone }: { onDone: () => void }) {
  const take = useImportClient();
  const navigate = useNavigate();
  const [file, setFile] = useState<File | null>(null);
  const [agreed, setAgreed] = useState(false);
  const id = useId();
  const submit = () =>
    file &&
    take.mutate(
      { params: { query: { agreed } }, ...fileBody(file, "application/octet-stream") },
      {
        onSuccess: (client) => {
          onDone();
          void navigate({ to: "/clients/$clientId", params: { clientId: client.id } });
        },
      },
    );
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title="Import a client"
      says="An archive as Export makes it: visits, measurements and photographs come in as a new client. Papers signed elsewhere stay in the archive."
    >
      <label htmlFor={id} className="block font-semibold">
        Archive (ZIP)
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
          The client agrees to these records being kept here
        </CheckBox>
      </div>
      {take.isError && (
        <Notice role="alert" className="mt-3">
          {take.error.message}
        </Notice>
      )}
      <div className="mt-4 flex gap-2">
        <Button look="next" disabled={!file || !agreed || take.isPending} onClick={submit}>
          {take.isPending ? "Importing …" : "Import"}
        </Button>
        <Button look="quiet" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </Modal>
  );
}
