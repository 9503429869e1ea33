import { vi } from "vitest";

type Answer = Response | { status?: number; body?: unknown };
export type Answers = Record<string, Answer | ((request: Request) => Answer | Promise<Answer>)>;
export type Call = { key: string; query: Record<string, string>; body: unknown };

/** A server in the place of `fetch`: its answers, which may be changed, and what was asked of it. */
export class ServerStandIn {
  readonly calls: Call[] = [];

  constructor(readonly answers: Answers = {}) {
    vi.stubGlobal("fetch", (input: RequestInfo | URL, init?: RequestInit) =>
      this.answer(input, init),
    );
  }

  /** What was asked, as method and path, in order. */
  get asked(): string[] {
    return this.calls.map(({ key }) => key);
  }

  /** What was sent last with a method to a path. */
  sent(key: string): unknown {
    return this.calls.findLast((call) => call.key === key)?.body;
  }

  private async answer(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
    const request =
      input instanceof Request ? input : new Request(new URL(`${input}`, location.origin), init);
    const { pathname, searchParams } = new URL(request.url);
    const key = `${request.method} ${pathname}`;
    const query = Object.fromEntries(searchParams);
    this.calls.push({ key, query, body: await bodyOf(request.clone()) });
    const said = this.answers[key];
    if (said === undefined) throw new TypeError(`nobody answers ${key}`);
    const answer = typeof said === "function" ? await said(request) : said;
    if (answer instanceof Response) return answer.clone();
    const { status = 200, body } = answer;
    const headers = { "content-type": "application/json" };
    const text = body === undefined ? null : JSON.stringify(body);
    return new Response(status === 204 ? null : text, { status, headers });
  }
}

async function bodyOf(request: Request): Promise<unknown> {
  if (request.method === "GET") return undefined;
  const text = await request.text();
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

/** A refusal in the server's words. */
export function refused(status: number, detail: string, more: object = {}): Answer {
  return { status, body: { type: "refused", title: detail, status, detail, ...more } };
}
