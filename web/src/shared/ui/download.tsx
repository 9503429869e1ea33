import { t } from "@lingui/core/macro";
import { Download as Arrow } from "lucide-react";
import { type ReactNode, useState } from "react";
import { Button } from "./button";
import { toast } from "./toasts";

/** How much of a file has come, per cent; null where nobody said how long it is. */
async function read(answer: Response, tell: (share: number | null) => void): Promise<Blob> {
  const whole = Number(answer.headers.get("Content-Length")) || 0;
  const parts: BlobPart[] = [];
  let come = 0;
  const stream = answer.body?.getReader();
  while (stream) {
    const { done, value } = await stream.read();
    if (done) break;
    parts.push(value);
    come += value.length;
    tell(whole ? Math.min(99, Math.floor((100 * come) / whole)) : null);
  }
  return new Blob(parts, { type: answer.headers.get("Content-Type") ?? "" });
}

/** Save something as a file. */
export function saveAs(what: Blob, file: string): void {
  const address = URL.createObjectURL(what);
  const link = document.createElement("a");
  link.href = address;
  link.download = file;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 10_000);
}

/** Fetches a file and saves it: what comes is told, and what fails is said here and can be tried again. */
export function Download({
  href = "",
  ask,
  file,
  look,
  className,
  children,
}: {
  href?: string;
  /** Asks for it otherwise than by its address. */
  ask?: () => Promise<Response>;
  file: string;
  look?: "quiet";
  className?: string;
  children: ReactNode;
}) {
  const [coming, setComing] = useState<number | null | undefined>(undefined);
  const fetchIt = async () => {
    setComing(null);
    try {
      const answer = await (ask ? ask() : fetch(href, { credentials: "same-origin" }));
      if (!answer.ok) {
        const problem = (await answer.json().catch(() => null)) as { detail?: string } | null;
        throw new Error(problem?.detail ?? t`Server error ${answer.status}.`);
      }
      saveAs(await read(answer, setComing), file);
    } catch (error) {
      void toast(t`Not downloaded: ${error instanceof Error ? error.message : String(error)}`);
    } finally {
      setComing(undefined);
    }
  };
  const busy = coming !== undefined;
  return (
    <Button
      {...(className ? { className } : {})}
      {...(look ? { look } : {})}
      disabled={busy}
      aria-busy={busy}
      onClick={() => void fetchIt()}
    >
      <Arrow size={16} aria-hidden="true" />
      <span className="flex-1 text-start">{children}</span>
      {busy && (
        <span role="status" className="figures text-sm text-soft">
          {coming === null || coming === undefined ? t`Preparing…` : `${coming}%`}
        </span>
      )}
    </Button>
  );
}
