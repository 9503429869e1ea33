import { t } from "@lingui/core/macro";
import { Link } from "@tanstack/react-router";
import { clsx } from "clsx";
import { useState } from "react";
import { useBeginVisit } from "@/features/clients/use-begin-visit";
import { useMe } from "@/shared/api/account";
import type { Appointment } from "@/shared/api/agenda";
import { api, unwrap } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Whose } from "@/shared/ui/whose";
import { fromTo, KIND_WORDS, whereOf, whoOf } from "./words";

/** The day in order: when, with whom, where; its visit is started or opened from here. */
export function DayList({
  lines,
  onOpen,
}: {
  lines: readonly Appointment[];
  onOpen: (line: Appointment) => void;
}) {
  if (lines.length === 0) return <p className="py-3 text-soft">{t`No appointments.`}</p>;
  return (
    <ol className="border-b border-hair">
      {lines.map((line) => (
        <Row key={line.id} line={line} onOpen={() => onOpen(line)} />
      ))}
    </ol>
  );
}

function Row({ line, onOpen }: { line: Appointment; onOpen: () => void }) {
  const me = useMe().data;
  const about = [KIND_WORDS[line.kind], whereOf(line), line.member].filter(Boolean).join(" · ");
  return (
    <li className="grid grid-cols-[92px_minmax(0,1fr)_auto] items-start gap-x-3 border-t border-hair py-2">
      <span className="figures pt-0.5 text-sm">{fromTo(line.at, line.minutes)}</span>
      <div className="min-w-0">
        {line.private || !me?.office ? (
          <span className={clsx("font-semibold", line.private && "text-soft")}>{whoOf(line)}</span>
        ) : (
          <button
            type="button"
            className="text-start font-semibold hover:underline"
            onClick={onOpen}
            dir="auto"
          >
            {line.client}
          </button>
        )}
        <p className="text-sm text-soft">{line.private ? line.member : about}</p>
        {line.clashes.length > 0 && (
          <p className="text-sm font-semibold">{line.clashes.join("; ")}</p>
        )}
      </div>
      {!line.private && <Begin line={line} />}
    </li>
  );
}

/** Start the visit of an appointment, or open it. */
function Begin({ line }: { line: Appointment }) {
  const me = useMe().data;
  const { begin, busy } = useBeginVisit();
  const [error, setError] = useState("");
  if (line.begun)
    return (
      <Link
        to="/visits/$visitId/$step"
        params={{ visitId: line.id, step: "ask" }}
        className="button button-quiet"
      >
        {t`Open visit`}
        <Whose>{line.client}</Whose>
      </Link>
    );
  if (!me?.writes || line.kind === "call_back") return null;
  const start = async () => {
    setError("");
    try {
      await begin(line.client_id, await lastSigned(line), line.id);
    } catch (trouble) {
      setError(trouble instanceof Error ? trouble.message : String(trouble));
    }
  };
  return (
    <div>
      <Button disabled={busy} onClick={() => void start()}>
        {t`Start visit`}
        <Whose>{line.client}</Whose>
      </Button>
      {error && <Notice role="alert">{error}</Notice>}
    </div>
  );
}

/** The visit that a follow-up or a check begins with: the client's last one that is signed. */
async function lastSigned(line: Appointment): Promise<string | null> {
  if (line.kind === "visit") return null;
  const query = { client_id: line.client_id };
  const visits = unwrap(await api.GET("/api/visits", { params: { query } }));
  return visits?.find(({ state }) => state === "signed" || state === "changed")?.id ?? null;
}
