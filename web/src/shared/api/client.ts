import { i18n } from "@lingui/core";
import { t } from "@lingui/core/macro";
import createClient, { type Middleware } from "openapi-fetch";
import createHooks from "openapi-react-query";
import { send } from "../device/send";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Problem = Schemas["Problem"];
export type Unit = "cm" | "mm" | "in";

let csrf = "";

/** The token every change carries; given by the server when one is signed in. */
export function setCsrf(token: string): void {
  csrf = token;
}

/** Send what was done without network, as the page's own calls are sent. */
export function sendLater(request: Request): Promise<Response> {
  request.headers.set("X-Plumb-Csrf", csrf);
  return globalThis.fetch(request, { credentials: "same-origin" });
}

const TO_THE_SERVER = {
  baseUrl: `${location.origin}/`,
  credentials: "same-origin",
  fetch: send,
} as const;

/** The server's answers as they are, refusals included: for what reads them itself. */
export const api = createClient<paths>(TO_THE_SERVER);

/** Whether this page has its CSRF token; one that was reloaded at the lock has none. */
export function hasCsrf(): boolean {
  return csrf !== "";
}

let whenEnded: () => void = () => undefined;
let whenLocked: () => void = () => undefined;

/** What to do once the server says that nobody is signed in any more. */
export function onSessionEnd(listener: () => void): void {
  whenEnded = listener;
}

/** What to do once the server says that the session is locked. */
export function onSessionLock(listener: () => void): void {
  whenLocked = listener;
}

/** What to do with a call that was not let in: the session has ended, or is locked. */
export async function noteNotSignedIn(response: Response): Promise<void> {
  const said = (await response
    .clone()
    .json()
    .catch(() => null)) as { type?: string } | null;
  if (said?.type === "locked") whenLocked();
  else whenEnded();
}

/** Where 401 is an answer and not the end of a session: wrong words, or nobody yet. */
const ASKS_WHO = new Set(["/api/session", "/api/me"]);

const signedIn: Middleware = {
  onRequest({ request }) {
    request.headers.set("Accept-Language", i18n.locale || "en");
    if (request.method !== "GET" && csrf) request.headers.set("X-Plumb-Csrf", csrf);
    return request;
  },
  async onResponse({ request, response }) {
    const { pathname } = new URL(request.url);
    const others = pathname.startsWith("/api/own/"); // a client's own page has a session of its own
    if (response.status === 401 && !others && !ASKS_WHO.has(pathname))
      await noteNotSignedIn(response);
  },
};

/** A refusal by the server, with its problem. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** What a refusing answer says, as the error to throw. */
function refusal(status: number, said: unknown): Refused {
  if (said && typeof said === "object" && "detail" in said) return new Refused(said as Problem);
  const detail = t`Server error ${status}.`;
  return new Refused({ type: "http", title: detail, status, detail });
}

type Answer<T> = { data?: T; error?: unknown; response: Response };

/** The data of an answer, or the refusal thrown. */
export function unwrap<T>({ data, error, response }: Answer<T>): T {
  if (response.ok) return data as T;
  throw refusal(response.status, error);
}

const throwing: Middleware = {
  async onResponse({ response }) {
    if (response.ok) return;
    throw refusal(response.status, await response.json().catch(() => null));
  },
};

/** An operation whose every failure is thrown: a refusal, or a connection that is gone. */
type Thrown<Operation> = Operation extends { responses: infer Responses }
  ? Omit<Operation, "responses"> & {
      responses: Pick<Responses, keyof Responses & (200 | 201 | 202 | 204)> & {
        default: { content: { "application/json": Error } };
      };
    }
  : Operation;
type ThrownPaths = {
  [Path in keyof paths]: { [Method in keyof paths[Path]]: Thrown<paths[Path][Method]> };
};

const answering = createClient<ThrownPaths>(TO_THE_SERVER);

api.use(signedIn);
/** Answers pass the last in first: the end of a session is seen before its refusal is thrown. */
answering.use(throwing, signedIn);

/** Queries and mutations of the schema's own paths; what fails is an Error, mostly a Refused. */
export const server = createHooks(answering);

/** A file sent as it is. */
export function fileBody(file: File, type: string) {
  return {
    body: file as unknown as string,
    bodySerializer: (body: unknown) => body as File,
    headers: { "Content-Type": type },
  };
}
