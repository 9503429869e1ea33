import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo } from "react";
import type { Schemas } from "@/shared/api/client";
import { putAnswer } from "@/shared/api/queries";
import { ChangeQueue } from "./change-queue";

/** Keepers whose page is open, or was left before everything was sent: never two for one visit. */
const changeQueues = new Map<string, ChangeQueue>();

function stillSending(name: string): ChangeQueue | undefined {
  const queue = changeQueues.get(name);
  return queue?.read().signedOut ? undefined : queue;
}

/** The queue of a visit; every kept change refreshes what is worked out. */
export function useChangeQueue(visit: Schemas["VisitOut"], member: string): ChangeQueue {
  const queries = useQueryClient();
  const name = `${member} ${visit.id}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: one queue a visit and member; later entries come through it
  const queue = useMemo(
    () =>
      stillSending(name) ??
      new ChangeQueue(
        visit.id,
        visit.entries,
        (answer, view) => putAnswer(queries, visit.id, view, answer),
        member,
      ),
    [visit.id, member],
  );
  useEffect(() => {
    changeQueues.set(name, queue);
    return () => {
      if (queue.open.length === 0) changeQueues.delete(name);
    };
  }, [queue, name]);
  useEffect(() => queue.adopt(visit.entries), [queue, visit.entries]);
  const signed = visit.reports.at(-1)?.current ?? false;
  useEffect(() => queue.setSigned(signed), [queue, signed]);
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      queue.flush();
      if (queue.open.length > 0 || queue.read().full) event.preventDefault();
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
  return queue;
}
