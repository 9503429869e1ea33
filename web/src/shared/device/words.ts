import { createStore } from "zustand/vanilla";
import { sealJson, unsealJson } from "./seal";
import { deviceDb, hasStore } from "./store";
import { kept, keptNames, vault, whenSomebodyElse } from "./vault";

/**
 * What was typed in a visit and the server has not got: sealed, in the tab so that it is there at once, and in
 * the browser's store so that it outlives tab and browser. Each tab has its own; what a closed tab left is
 * taken up by the next that opens the visit.
 */

const PREFIX = "plumb:words:";
const OF_TAB = "plumb:tab";

/** What waits in each visit: so many changes to be sent, so many to be answered by somebody. */
export type Waiting = { unsent: number; open: number };
export const waiting = createStore<ReadonlyMap<string, Waiting>>(() => new Map());

/** What the queue keeps; `at` tells which of two copies is the later one. */
export type Words = { at: number; queue: readonly unknown[]; cells: readonly unknown[] };

let mine = "";

/** This tab's own name; held for as long as it lives, so that others can tell. */
function tab(): string {
  if (mine) return mine;
  try {
    mine = sessionStorage.getItem(OF_TAB) ?? crypto.randomUUID();
    sessionStorage.setItem(OF_TAB, mine);
  } catch {
    mine = crypto.randomUUID();
  }
  void navigator.locks?.request(`${OF_TAB}:${mine}`, () => new Promise(() => undefined));
  return mine;
}

async function living(): Promise<ReadonlySet<string>> {
  const held = (await navigator.locks?.query())?.held ?? [];
  return new Set(held.map((lockInfo) => (lockInfo.name ?? "").slice(OF_TAB.length + 1)));
}

const nameOf = (visitId: string) => `queue:${visitId}:${tab()}`;
const keyOf = (visitId: string) => `${PREFIX}${visitId}`;

const found = new Map<string, Words>();
const writing = new Map<string, Promise<void>>();
whenSomebodyElse(() => {
  found.clear();
  waiting.setState(new Map(), true);
});

/** Bring what this visit has of words where they can be taken up: this tab's, and what closed tabs left. */
export async function loadWords(visitId: string): Promise<void> {
  if (!vault.getState().opened || !hasStore) return;
  const [names, live] = await Promise.all([keptNames(`queue:${visitId}:`), living()]);
  const left = names
    .map(({ name }) => name)
    .filter((name) => {
      const of = name.split(":")[2] ?? "";
      return of === tab() || !live.has(of);
    });
  const each = await Promise.all(left.map((name) => kept<Words>(name)));
  const whole = each.filter((words) => words !== null).sort((a, b) => a.at - b.at);
  const joined = join(whole);
  if (joined) found.set(visitId, joined);
  else found.delete(visitId);
  const others = left.filter((name) => name !== nameOf(visitId));
  if (joined && others.length > 0) {
    const { opened } = vault.getState();
    if (!opened) return;
    const db = await deviceDb();
    await db.transaction("rw", db.kept, async () => {
      await db.kept.put(row(opened.member, opened.key, visitId, joined));
      await db.kept.bulkDelete(others.map((name) => [opened.member, name]));
    });
  }
}

type Change = { path: string; expected: number };
/** Consents are not joined: each takes things with it, one after the other. */
const CONSENT = "ask.consent.";

/** What several tabs left, as one: a later text of a field stands over an earlier one, upon its version. */
export function join(whole: readonly Words[]): Words | null {
  const last = whole.at(-1);
  if (!last) return null;
  const cells = new Map<unknown, unknown>();
  for (const words of whole)
    for (const cell of words.cells) cells.set((cell as [string, unknown])[0], cell);
  const queue = new Map<string, Change>();
  for (const change of whole.flatMap((words) => words.queue as readonly Change[])) {
    const { path } = change;
    const before = queue.get(path);
    if (path.startsWith(CONSENT)) queue.set(`${path} ${queue.size}`, change);
    else queue.set(path, before ? { ...change, expected: before.expected } : change);
  }
  return { at: last.at, queue: [...queue.values()], cells: [...cells.values()] };
}

function row(member: string, key: Uint8Array, visitId: string, words: Words) {
  const unsent = words.queue.length;
  const open = words.cells.length;
  return {
    member,
    name: nameOf(visitId),
    stamp: `${unsent}:${open}`,
    sealed: sealJson(key, words),
  };
}

/** Keep them; `onDisk` tells whether they outlive the browser. False where there is no room at all. */
export function keepWords(
  visitId: string,
  words: Words,
  onDisk: (there: boolean) => void,
): boolean {
  const { opened } = vault.getState();
  if (!opened) return false;
  count(visitId, { unsent: words.queue.length, open: words.cells.length });
  found.set(visitId, words);
  const made = row(opened.member, opened.key, visitId, words);
  let inTab = true;
  try {
    sessionStorage.setItem(keyOf(visitId), base64(made.sealed));
  } catch {
    inTab = false;
  }
  if (!hasStore) return inTab;
  const after = writing.get(visitId) ?? Promise.resolve();
  const write = after.then(async () => {
    if (found.get(visitId) !== words) return; // something later is on its way
    await (await deviceDb()).kept.put(made);
    if (found.get(visitId) === words) onDisk(true); // else it is said of what came after
  });
  writing.set(
    visitId,
    write.catch(() => onDisk(false)),
  );
  return true;
}

export function forgetWords(visitId: string): void {
  found.delete(visitId);
  count(visitId, null);
  try {
    sessionStorage.removeItem(keyOf(visitId));
  } catch {
    // a store that can't be written to holds nothing of ours either
  }
  const { opened } = vault.getState();
  if (!opened || !hasStore) return;
  const after = writing.get(visitId) ?? Promise.resolve();
  writing.set(
    visitId,
    after
      .then(async () => {
        if (!found.has(visitId))
          await (await deviceDb()).kept.delete([opened.member, nameOf(visitId)]);
      })
      .catch(() => undefined),
  );
}

/** The later of what the tab and the store have; null for nothing, or for what can't be opened. */
export function recallWords(visitId: string): unknown {
  const stored = found.get(visitId) ?? null;
  const { opened } = vault.getState();
  try {
    const here = sessionStorage.getItem(keyOf(visitId));
    if (!here || !opened) return stored;
    const words = unsealJson(opened.key, fromBase64(here)) as Words;
    return stored && stored.at > words.at ? stored : words;
  } catch {
    return stored;
  }
}

/** See what waits on this device, of whoever is here. */
export async function countWaiting(): Promise<void> {
  const each = new Map<string, Waiting>();
  for (const { name, stamp } of await keptNames("queue:")) {
    const visit = name.split(":")[1] ?? "";
    const [unsent = 0, open = 0] = stamp.split(":").map(Number);
    const before = each.get(visit) ?? { unsent: 0, open: 0 };
    each.set(visit, { unsent: before.unsent + unsent, open: before.open + open });
  }
  waiting.setState(each, true);
}

function count(visitId: string, now: Waiting | null): void {
  const each = new Map(waiting.getState());
  if (now) each.set(visitId, now);
  else each.delete(visitId);
  waiting.setState(each, true);
}

const base64 = (bytes: Uint8Array) => {
  let text = "";
  for (let value = 0; value < bytes.length; value += 0x8000)
    text += String.fromCharCode(...bytes.subarray(value, value + 0x8000));
  return btoa(text);
};
const fromBase64 = (text: string) => Uint8Array.from(atob(text), (text) => text.charCodeAt(0));
