import type { QueryClient } from "@tanstack/react-query";
import { api, sendLater, unwrap } from "@/shared/api/client";
import { settleOnServer } from "@/shared/api/queries";
import { endSitting } from "@/shared/device/answers";
import { network } from "@/shared/device/network";
import { countOut, outbox, sendOut } from "@/shared/device/outbox";
import { countWaiting, loadWords, waiting } from "@/shared/device/words";
import type { ChangeQueue } from "./change-queue";
import type { Snapshot } from "./field-state";
import { liveQueues, queueOf } from "./queues";

let merging: Promise<void> | null = null;
let again = false;

/**
 * The server is there again, and somebody is signed in: what was done without it is sent, what visits rest
 * on first. Nothing is asked here: what two people changed waits for its answer in its visit, and on Today.
 */
export function merge(queries: QueryClient, { wasAway }: { wasAway: boolean }): Promise<void> {
  if (merging) {
    again = true;
    return merging;
  }
  merging = mergeOnce(queries, wasAway).finally(() => {
    merging = null;
    if (!again) return;
    again = false;
    return merge(queries, { wasAway: true });
  });
  return merging;
}

async function mergeOnce(queries: QueryClient, wasAway: boolean): Promise<void> {
  await countWaiting();
  await countOut();
  const nothing = waiting.getState().size === 0 && outbox.getState().count === 0;
  if (nothing && !wasAway) return;
  const touched = new Set([
    ...waiting.getState().keys(),
    ...liveQueues().map((liveQueue) => liveQueue.visitId),
  ]);
  await sendOut(true, sendLater);
  for (const visitId of touched) {
    if (network.getState().away) return;
    try {
      await sendWordsOf(visitId, queries);
    } catch {
      // a visit that is gone, or a server that is in trouble: its words stay where they are
    }
  }
  await sendOut(false, sendLater);
  endSitting();
  settleOnServer(queries);
}

async function sendWordsOf(visitId: string, queries: QueryClient): Promise<void> {
  const open = liveQueues().find((liveQueue) => liveQueue.visitId === visitId);
  if (open) {
    open.goOn();
    await whenSent(open);
    return;
  }
  await loadWords(visitId);
  const visit = unwrap(
    await api.GET("/api/visits/{visit_id}", { params: { path: { visit_id: visitId } } }),
  );
  const queue = queueOf(visit, queries);
  queue.goOn();
  await whenSent(queue);
}

/** Done once nothing is on its way any more, or nothing can be. */
function whenSent({ store }: ChangeQueue): Promise<void> {
  return new Promise((resolve) => {
    const look = ({ pending, here, signedOut }: Snapshot) => {
      if (pending > here && !signedOut) return;
      stop();
      resolve();
    };
    const stop = store.subscribe(look);
    look(store.getState());
  });
}
