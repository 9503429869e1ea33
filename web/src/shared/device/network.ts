import { createStore } from "zustand/vanilla";

/** Whether the server can be reached, as far as anybody has tried. */
export const network = createStore<{ away: boolean }>(() => ({ away: false }));

const ASK_AGAIN_MS = 2000;
const ANSWERS_WITHIN_MS = 4000;
type Listener = () => void | Promise<void>;
const onReturn = new Set<Listener>();
let asking: ReturnType<typeof setTimeout> | undefined;

/** What to do once the server is there again. */
export function whenBack(listener: Listener): () => void {
  onReturn.add(listener);
  return () => onReturn.delete(listener);
}

/** Whether the server answers now. */
export async function reaches(): Promise<boolean> {
  try {
    const signal = AbortSignal.timeout(ANSWERS_WITHIN_MS);
    const answer = await globalThis.fetch("/api/health", { cache: "no-store", signal });
    return answer.ok;
  } catch {
    return false;
  }
}

/** Nobody answered: ask again now and then, and at once when the browser says so. */
export function lost(): void {
  if (network.getState().away) return;
  network.setState({ away: true });
  clearTimeout(asking);
  asking = setTimeout(() => void askAgain(), ASK_AGAIN_MS);
}

async function askAgain(): Promise<void> {
  clearTimeout(asking);
  if (!network.getState().away) return;
  if (await reaches()) {
    network.setState({ away: false });
    for (const listener of onReturn) await listener();
  } else asking = setTimeout(() => void askAgain(), ASK_AGAIN_MS);
}

if (typeof addEventListener === "function") addEventListener("online", () => void askAgain());
