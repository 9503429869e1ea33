import { i18n } from "@lingui/core";
import { Line, pythonWorker } from "../python/line";

/** A request as the server gets it; `client` is who a visit is begun with, where nothing of theirs is here. */
export type Asked = {
  method: string;
  path: string;
  query?: Record<string, string>;
  body?: unknown;
  client?: unknown;
};
export type Said = { status: number; body: unknown };

let line: Line | null = null;
let begun: Promise<void> | null = null;
let stands = false;

/** Whether what is asked is answered at once, without Python having to come first. */
export const isUp = () => stands;

/** Have Python come while somebody still types their password. */
export function warm(): void {
  line ??= new Line(pythonWorker());
}

/** The program's own services in a worker, begun with what a member works with. */
export function begin(belongings: unknown): Promise<void> {
  begun ??= (async () => {
    line ??= new Line(pythonWorker());
    const mine = line;
    await mine.ask({ kind: "begin", belongings: JSON.stringify(belongings) });
    stands = line === mine;
  })();
  begun.catch(() => end());
  return begun;
}

/** Somebody else is here, or everything is on the server again. */
export function end(): void {
  line?.close();
  line = null;
  begun = null;
  stands = false;
}

export async function takeIn(visit: unknown): Promise<void> {
  await begun;
  if (!line) throw new Error("nothing has begun");
  await line.ask({ kind: "take", visit: JSON.stringify(visit) });
}

export async function askProgram(asked: Asked): Promise<Said> {
  await begun;
  if (!line) throw new Error("nothing has begun");
  return JSON.parse(
    await line.ask({
      kind: "ask",
      request: JSON.stringify({ ...asked, language: i18n.locale || "en" }),
    }),
  ) as Said;
}
