import { t } from "@lingui/core/macro";
import { createStore } from "zustand/vanilla";
import type { Asked, Said } from "./program";
import { photoName } from "./taken";
import { drop, keepSealed, kept, keptBytes, keptNames } from "./vault";

/** What was done without network beside typing, in its order: clients and visits begun, pictures taken. */
export type Out = Asked & {
  kind: "client" | "visit" | "photo" | "drop";
  /** The visit it belongs to, if it does. */
  of: string;
  photo?: string;
  type?: string;
};
/** What the server refused of it: nothing is thrown away unseen. */
export type Refused = { name: string; what: Out; says: string };

const PREFIX = "out:";
/** How many things wait to be sent, and what of them was refused. */
export const outbox = createStore<{ count: number; refused: readonly Refused[] }>(() => ({
  count: 0,
  refused: [],
}));
let number = 0;

async function count(): Promise<void> {
  outbox.setState({ count: (await keptNames(PREFIX)).length });
}

export async function putOut(out: Out): Promise<void> {
  number += 1;
  const order = `${Date.now()}`.padStart(15, "0");
  await keepSealed(`${PREFIX}${order}-${`${number}`.padStart(6, "0")}`, out, out.of);
  await count();
}

async function every(): Promise<readonly { name: string; out: Out }[]> {
  const names = (await keptNames(PREFIX)).map(({ name }) => name);
  const each = await Promise.all(names.map((name) => kept<Out>(name)));
  return names.flatMap((name, value) => (each[value] ? [{ name, out: each[value] }] : []));
}

/** Do again on the device what was done for a visit; whether there was any of it. */
export async function replayed(
  visitId: string,
  kind: "visit" | "photo",
  ask: (asked: Asked) => Promise<Said>,
): Promise<boolean> {
  const mine = (await every()).filter(({ out }) => out.of === visitId && out.kind === kind);
  for (const { out } of mine) {
    const { method, path, body, client } = out;
    await ask({ method, path, body, client });
  }
  return mine.length > 0;
}

/** Send what waits, of one kind of step: what visits rest on first, pictures after what was typed. */
export async function sendOut(
  first: boolean,
  send: (request: Request) => Promise<Response>,
): Promise<void> {
  const refused: Refused[] = [];
  for (const { name, out } of await every()) {
    const early = out.kind === "client" || out.kind === "visit";
    if (early !== first) continue;
    const answer = await send(await requestOf(out));
    if (answer.status >= 500 || answer.status === 401 || answer.status === 429) break;
    if (answer.ok || answer.status === 404) await drop(name);
    else {
      const said = (await answer.json().catch(() => ({}))) as { detail?: string };
      refused.push({
        name,
        what: out,
        says: said.detail ?? t`Server error ${answer.status}.`,
      });
    }
  }
  outbox.setState((held) => ({
    refused: [
      ...held.refused.filter((one) => !refused.some(({ name }) => name === one.name)),
      ...refused,
    ],
  }));
  await count();
}

async function requestOf(out: Out): Promise<Request> {
  const url = new URL(`/api/${out.path}`, location.origin);
  if (out.photo) {
    const picture = (await keptBytes(photoName(out.photo))) ?? new Uint8Array();
    const headers = { "Content-Type": out.type ?? "image/jpeg" };
    return new Request(url, { method: out.method, headers, body: picture as BodyInit });
  }
  const headers = { "Content-Type": "application/json" };
  const body = out.body === undefined ? null : JSON.stringify(out.body);
  return new Request(url, { method: out.method, headers, body });
}

/** What was refused is let go, once somebody has seen it. */
export async function letGoRefused(name: string): Promise<void> {
  await drop(name);
  outbox.setState((held) => ({ refused: held.refused.filter((refused) => refused.name !== name) }));
  await count();
}

export const countOut = count;
