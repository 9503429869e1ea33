import { answerHere, canAnswer, isWanted, noteAnswer } from "./answers";
import { drawnHere, noteCrowd } from "./crowd";
import { lost, network, reaches } from "./network";

/** So long an answer may take before it is asked whether the server is there at all, ms. House value. */
const PATIENCE_MS = 12_000;

/** Send a request to the server; without network, to what this device can answer. */
export async function send(request: Request): Promise<Response> {
  if (!canAnswer()) return noted(request, await globalThis.fetch(request));
  const again = request.clone();
  if (!network.getState().away) {
    const drawn = await drawnHere(request);
    if (drawn) return drawn;
    const answer = await tried(request);
    if (answer) return noted(again, answer);
  }
  const answer = await answerHere(again);
  if (answer) return answer;
  throw new TypeError("Can’t reach the server.");
}

/** An answer of the server's, kept where it will be wanted without it. */
function noted(request: Request, answer: Response): Response {
  noteCrowd(request, answer);
  if (isWanted(request, answer)) void noteAnswer(request, answer.clone()).catch(() => undefined);
  return answer;
}

/** The server's answer; null once it is out of reach and this device goes on. */
async function tried(request: Request): Promise<Response | null> {
  const quick = request.method === "GET" || request.url.includes("/changes/");
  const patience = quick ? AbortSignal.timeout(PATIENCE_MS) : null; // signing and files take their time
  const signal = patience ? AbortSignal.any([request.signal, patience]) : request.signal;
  try {
    return await globalThis.fetch(request, { signal });
  } catch (error) {
    if (request.signal.aborted || (await reaches())) throw error;
    lost();
    return null;
  }
}
