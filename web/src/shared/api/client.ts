import createClient from "openapi-fetch";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Problem = Schemas["Problem"];
export type Unit = "cm" | "mm" | "in";

let csrf = "";

/** The token every change carries; given by the server when one is signed in. */
export function setCsrf(token: string): void {
  csrf = token;
}

export const api = createClient<paths>({
  baseUrl: `${location.origin}/`,
  credentials: "same-origin",
  fetch: (request) => globalThis.fetch(request),
});

let whenEnded: () => void = () => undefined;

/** What to do once the server says that nobody is signed in any more. */
export function onSessionEnd(listener: () => void): void {
  whenEnded = listener;
}

/** Where 401 is an answer and not the end of a session: wrong words, or nobody yet. */
const ASKS_WHO = new Set(["/api/session", "/api/me"]);

api.use({
  onRequest({ request }) {
    if (request.method !== "GET" && csrf) request.headers.set("X-Plumb-Csrf", csrf);
    return request;
  },
  onResponse({ request, response }) {
    if (response.status === 401 && !ASKS_WHO.has(new URL(request.url).pathname)) whenEnded();
  },
});

/** A refusal by the server, with its problem. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer, or the refusal thrown. */
export function unwrap<T>({ data, error, response }: Answer<T>): T {
  if (response.ok) return data as T;
  const known = error && typeof error === "object" && "detail" in error;
  const detail = `The server answered ${response.status}.`;
  throw new Refused(
    known
      ? (error as Problem)
      : { type: "http", title: detail, status: response.status, detail: detail },
  );
}
