import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { useStore } from "zustand";
import type { Schemas } from "@/shared/api/client";
import { isByDevice, isSigned } from "@/shared/api/queries";
import { installed } from "@/shared/device/installed";
import { isTaken, keepAsItStands, noteVisit, takeAlong } from "@/shared/device/taken";
import { loadWords } from "@/shared/device/words";
import type { ChangeQueue } from "./change-queue";
import { leave, queueOf } from "./queues";

/** Whether what this device holds of a visit's words has been fetched. */
export function useWordsThere(visitId: string): boolean {
  const [there, setThere] = useState<string | null>(null);
  useEffect(() => {
    let gone = false;
    void loadWords(visitId)
      .catch(() => undefined)
      .then(() => gone || setThere(visitId));
    return () => {
      gone = true;
    };
  }, [visitId]);
  return there === visitId;
}

/** The queue of a visit, told of what comes from the server, and asked before the page goes. */
export function useChangeQueue(visit: Schemas["OpenVisit"]): ChangeQueue {
  const queries = useQueryClient();
  // biome-ignore lint/correctness/useExhaustiveDependencies: one queue a visit; later entries come through it
  const queue = useMemo(() => queueOf(visit, queries), [visit.id]);
  useEffect(() => () => leave(queue), [queue]);
  useEffect(() => queue.adopt(visit.entries, isByDevice(visit)), [queue, visit]);
  const signed = isSigned(visit);
  useEffect(() => queue.setSigned(signed), [queue, signed]);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      queue.flush();
      const { onDisk, full } = queue.read();
      const onItsWay = queue.open.length > 0 && !(onDisk && queue.allHere);
      if (onItsWay || full) event.preventDefault();
    };
    const flush = () => queue.flush();
    addEventListener("beforeunload", warn);
    addEventListener("pagehide", flush);
    document.addEventListener("visibilitychange", flush);
    return () => {
      removeEventListener("beforeunload", warn);
      removeEventListener("pagehide", flush);
      document.removeEventListener("visibilitychange", flush);
    };
  }, [queue]);
  useTakenAlong(visit);
  return queue;
}

/** How long nothing comes before the visit is written down as it stands, ms. House value. */
const RESTED_MS = 1500;

/** An open visit goes along: it can be gone on with when the network is lost, and after the browser was closed. */
function useTakenAlong(visit: Schemas["OpenVisit"]): void {
  const ready = useStore(installed, (state) => state.ready);
  const photos = visit.photos.length;
  // biome-ignore lint/correctness/useExhaustiveDependencies: anew with another visit, and with its photographs
  useEffect(() => {
    if (isByDevice(visit) || !ready) return;
    let soon: ReturnType<typeof setTimeout> | undefined;
    const take = () => void takeAlong(visit.id, "").catch(() => undefined);
    let gone = false;
    void isTaken(visit.id).then((there) => {
      if (gone) return;
      soon = setTimeout(take, there ? RESTED_MS : 0);
    });
    return () => {
      gone = true;
      clearTimeout(soon);
    };
  }, [visit.id, photos, ready]);
  useEffect(() => {
    if (isByDevice(visit)) return;
    noteVisit(visit);
    if (!ready) return;
    const rested = setTimeout(
      () => void keepAsItStands(visit.id).catch(() => undefined),
      RESTED_MS,
    );
    return () => clearTimeout(rested);
  }, [visit, ready]);
}
