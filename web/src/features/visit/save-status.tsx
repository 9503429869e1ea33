import { plural, t } from "@lingui/core/macro";
import { clsx } from "clsx";
import { useEffect } from "react";
import { useStore } from "zustand";
import { usePhotosOnTheWay } from "@/shared/api/queries";
import { clockTime } from "@/shared/dates";
import { network } from "@/shared/device/network";
import type { ChangeQueue } from "./saving/change-queue";
import type { Snapshot } from "./saving/field-state";
import { useNavigation } from "./state/navigation";
import { useSnapshot } from "./state/recording";

/** Where what was typed is: on the server, or still on this device; what is refused is one press away. */
export function SaveStatus({ queue, brief }: { queue: ChangeQueue; brief: boolean }) {
  const snapshot = useSnapshot(queue);
  const { seek } = useNavigation();
  const pictures = usePhotosOnTheWay(queue.visitId);
  useEffect(() => {
    if (pictures === 0) return;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [pictures]);
  const inState = (state: string) =>
    [...snapshot.cells].filter(([, cell]) => cell.state === state).map(([path]) => path);
  const [refused, contested] = [inState("refused"), inState("stale")];
  const first = contested[0] ?? refused[0];
  const away = useStore(network, (state) => state.away);
  const here = snapshot.pending + pictures;
  return (
    <div className="flex shrink-0 items-center gap-3">
      {first && (
        <button
          type="button"
          onClick={() => seek(first)}
          className="figures min-h-11 border-b-2 border-ink font-semibold whitespace-nowrap"
        >
          {[
            refused.length > 0 && t`${refused.length} not saved`,
            contested.length > 0 && t`${contested.length} to resolve`,
          ]
            .filter(Boolean)
            .join(", ")}
          {!brief && ": show"}
        </button>
      )}
      <span
        role="status"
        className={clsx(
          "figures flex items-center gap-2 text-sm whitespace-nowrap text-soft",
          !brief && "w-[164px] justify-end",
        )}
      >
        <span
          aria-hidden="true"
          className={clsx(
            "size-2 rounded-full border border-ink",
            here === 0 && snapshot.typing === 0 && "bg-ink",
          )}
        />
        {wordsFor(snapshot, pictures, away, brief)}
      </span>
      {snapshot.full && (
        <span role="alert" className="border-s-4 border-ink ps-2 text-sm leading-tight">
          {t`This device is full. Keep this page open until everything has been sent.`}
        </span>
      )}
    </div>
  );
}

function wordsFor(snapshot: Snapshot, pictures: number, away: boolean, brief: boolean): string {
  const { pending, here, typing } = snapshot;
  if (typing > 0) return t`Saving…`;
  if (pending > 0 && pending === here)
    return snapshot.onDisk
      ? brief
        ? t`${pending} kept here`
        : t`${pending} kept on this device`
      : t`Saving on this device…`;
  if (pending > 0)
    return snapshot.offline
      ? brief
        ? t`${pending} here`
        : t`${pending} on this device`
      : t`Saving…`;
  if (away) return t`Offline`;
  if (pictures) return plural(pictures, { one: "Sending # photo", other: "Sending # photos" });
  const states = new Set([...snapshot.cells.values()].map((cell) => cell.state));
  // a conflict that waits is never shown beside "Saved"
  if (states.has("stale")) return t`Not all of it is kept`;
  const saved = states.has("refused") ? t`Everything else saved` : t`Saved`;
  return snapshot.keptAt && !brief ? `${saved} ${clockTime(snapshot.keptAt)}` : saved;
}
