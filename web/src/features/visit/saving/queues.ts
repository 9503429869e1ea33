import type { QueryClient } from "@tanstack/react-query";
import type { Schemas } from "@/shared/api/client";
import { putAnswer } from "@/shared/api/queries";
import { whenSomebodyElse } from "@/shared/device/vault";
import { ChangeQueue } from "./change-queue";

/** Queues whose page is open, or was left before everything was sent: never two for one visit. */
const live = new Map<string, ChangeQueue>();
whenSomebodyElse(() => live.clear());

/** The queue of a visit; every kept change refreshes what is worked out. */
export function queueOf(visit: Schemas["OpenVisit"], queries: QueryClient): ChangeQueue {
  const held = live.get(visit.id);
  if (held && !held.read().signedOut) return held;
  const queue = new ChangeQueue(visit.id, visit.entries, (answer, view) =>
    putAnswer(queries, visit.id, view, answer),
  );
  live.set(visit.id, queue);
  return queue;
}

/** Nothing of it is open any more: it goes on only while something waits in it. */
export function leave(queue: ChangeQueue): void {
  if (queue.open.length === 0 && live.get(queue.visitId) === queue) live.delete(queue.visitId);
}

export function liveQueues(): ChangeQueue[] {
  return [...live.values()];
}
