import { useIsMutating } from "@tanstack/react-query";
import { useEffect } from "react";
import { clockTime } from "@/shared/dates";
import type { ChangeQueue, Snapshot } from "./saving/change-queue";

/** Where what was typed is: on the server, or still on this device; what is refused is one press away. */
export function SaveStatus({
  snapshot,
  queue,
  onSeek,
}: {
  snapshot: Snapshot;
  queue: ChangeQueue;
  onSeek: (path: string) => void;
}) {
  const pictures = useIsMutating({ mutationKey: ["photo", queue.visitId] });
  useEffect(() => {
    if (pictures === 0) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [pictures]);
  const time = snapshot.keptAt && clockTime(snapshot.keptAt);
  const inState = (state: string) =>
    [...snapshot.cells].filter(([, cell]) => cell.state === state).map(([path]) => path);
  const [refused, contested] = [inState("refused"), inState("stale")];
  const first = contested[0] ?? refused[0];
  let words = time ? `kept on the server ${time}` : "kept on the server";
  if (snapshot.pending > 0)
    words = snapshot.offline ? `${snapshot.pending} on this device, sent again soon` : "sending …";
  else if (pictures)
    words = `${pictures} picture${pictures > 1 ? "s" : ""} on this device, being sent`;
  else if (first) words = "the rest is on the server";
  return (
    <div className="flex items-center gap-3">
      {first && (
        <button
          type="button"
          onClick={() => onSeek(first)}
          className="figures min-h-11 border-b-2 border-ink font-semibold whitespace-nowrap"
        >
          {[
            refused.length > 0 && `${refused.length} not kept`,
            contested.length > 0 && `${contested.length} to settle`,
          ]
            .filter(Boolean)
            .join(", ")}
          : show
        </button>
      )}
      <span role="status" className="figures whitespace-nowrap text-soft">
        {words}
      </span>
      {snapshot.full && (
        <span role="alert" className="border-l-4 border-ink pl-2 text-sm leading-tight">
          This device is full: leave the page open until all is sent.
        </span>
      )}
    </div>
  );
}
