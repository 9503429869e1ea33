import type { Round } from "./api";

/** Keep this page's own files on the device, so that it opens again without network; nothing of the client. */
export async function keepFiles(): Promise<void> {
  if (!import.meta.env.PROD || !("serviceWorker" in navigator)) return;
  await navigator.serviceWorker.register("/own-worker.js", { scope: "/own" });
  const worker = (await navigator.serviceWorker.ready).active;
  const come = performance.getEntriesByType("resource").map(({ name }) => name);
  worker?.postMessage({ files: come });
}

/** The round in which something written here has not reached the server yet. */
export function roundThatWaits(): Round | null {
  return ROUNDS.find((round) => sessionStorage.getItem(waitingIn(round)) !== null) ?? null;
}

/** Where what a round has not sent yet is kept. */
export const waitingIn = (round: Round) => `plumb:own:${round}`;

const ROUNDS: readonly Round[] = ["before", "week_1", "week_3", "week_6"];
