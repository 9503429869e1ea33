import { webcrypto } from "node:crypto";
import { vi } from "vitest";
import { newKey } from "@/shared/device/seal";
import { deviceDb } from "@/shared/device/store";
import { vault } from "@/shared/device/vault";

// the test's window knows random numbers, and nothing of keys
Object.defineProperty(globalThis, "crypto", { value: webcrypto, configurable: true });

export const INES = "ines@example.org";
export const VISIT = "0f3cf1a6-6c1f-4e0a-9f54-2f7f1f0f9a11";
export const OTHER = "7d0b8a52-9f0e-4a57-8f3c-6a1f0c9b2e44";

/** Somebody's things are open, with a key that nobody else has; nothing is on the device yet. */
export async function openDevice(member = INES): Promise<void> {
  await wipeDevice();
  vault.setState({ opened: { member, key: newKey() }, byPassword: true });
}

/** Nothing of anybody's is on the device. */
export async function wipeDevice(): Promise<void> {
  const db = await deviceDb();
  await Promise.all([db.locks.clear(), db.kept.clear()]);
  vault.setState({ opened: null, byPassword: false });
}

type Answer = Response | { status?: number; body?: unknown };
type Answers = Record<string, Answer | ((request: Request) => Answer | Promise<Answer>)>;

/** A server with these answers, by method and path; what was asked of it, in order. */
export function serve(answers: Answers): string[] {
  const asked: string[] = [];
  vi.stubGlobal("fetch", async (input: RequestInfo | URL, init?: RequestInit) => {
    const request =
      input instanceof Request ? input : new Request(new URL(`${input}`, location.origin), init);
    const key = `${request.method} ${new URL(request.url).pathname}`;
    asked.push(key);
    const said = answers[key];
    if (said === undefined) throw new TypeError(`nobody answers ${key}`);
    const answer = typeof said === "function" ? await said(request) : said;
    if (answer instanceof Response) return answer;
    const { status = 200, body } = answer;
    return body === undefined
      ? new Response(null, { status })
      : new Response(JSON.stringify(body), {
          status,
          headers: { "content-type": "application/json" },
        });
  });
  return asked;
}
