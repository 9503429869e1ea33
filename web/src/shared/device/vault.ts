import { createStore } from "zustand/vanilla";
import type { components } from "../api/schema";
import type { Lock } from "./device-db";
import {
  fromHex,
  type Key,
  keyOfPassword,
  newKey,
  ROUNDS,
  seal,
  sealJson,
  unseal,
  unsealJson,
} from "./seal";
import { deviceDb, forgetMember, hasStore } from "./store";

const DAY_MS = 86_400_000;

type Opened = { member: string; key: Key };
type Member = Pick<
  components["schemas"]["Me"],
  "email" | "id" | "name" | "device_key" | "device_days"
>;

/** Whose things are open in this page. The key is nowhere but here. */
export const vault = createStore<{ opened: Opened | null; byPassword: boolean }>(() => ({
  opened: null,
  byPassword: false,
}));

/** What to do once somebody else's things are open, or nobody's: nothing of the last one's stays in the page. */
export function whenSomebodyElse(listener: () => void): void {
  vault.subscribe(({ opened }, before) => {
    if (before.opened && opened?.member !== before.opened.member) listener();
  });
}

/** The password just typed at a sign-in, until the vault is opened with it. */
let typed = "";

export function passwordTyped(password: string): void {
  typed = password;
}

const passwordWorks = typeof crypto !== "undefined" && crypto.subtle !== undefined;

/** The key of a lock, by the session or by the password that was typed; null where neither fits. */
async function keyOf(lock: Lock, session: Key): Promise<Key | null> {
  try {
    return unseal(session, lock.bySession);
  } catch {
    if (!typed || !lock.byPassword || !passwordWorks) return null;
  }
  try {
    return unseal(await keyOfPassword(typed, lock.salt, lock.rounds), lock.byPassword);
  } catch {
    return null;
  }
}

/**
 * Somebody is signed in, by the server's word: what they keep here is opened, or a new place made for them.
 * What an earlier password closed stays where it is, under a name of its own.
 */
export async function openForSession(me: Member): Promise<void> {
  if (!hasStore) return;
  const { email: member, id, name } = me;
  const db = await deviceDb();
  const session = fromHex(me.device_key);
  const held = await db.locks.get(member);
  const { opened } = vault.getState();
  const mine = opened?.member === member ? opened.key : null;
  let key = mine ?? (held ? await keyOf(held, session) : null);
  if (held && !key) await setAside(held);
  const lock: Lock = {
    salt: held && key ? held.salt : crypto.getRandomValues(new Uint8Array(16)),
    rounds: held && key ? held.rounds : ROUNDS,
    byPassword: held && key ? held.byPassword : null,
    member,
    id,
    name,
    bySession: new Uint8Array(),
    expires: Date.now() + me.device_days * DAY_MS,
  };
  key ??= newKey();
  lock.bySession = seal(session, key);
  if (typed && passwordWorks) {
    lock.salt = crypto.getRandomValues(new Uint8Array(16));
    lock.rounds = ROUNDS;
    lock.byPassword = seal(await keyOfPassword(typed, lock.salt, lock.rounds), key);
  }
  typed = "";
  await db.locks.put(lock);
  vault.setState({ opened: { member, key }, byPassword: lock.byPassword !== null });
}

/** What can't be opened is kept for who knows the earlier password. */
async function setAside(lock: Lock): Promise<void> {
  const db = await deviceDb();
  const aside = `${lock.member}#${lock.expires}`;
  await db.transaction("rw", db.locks, db.kept, async () => {
    const mine = await db.kept.where("member").equals(lock.member).toArray();
    await db.kept.where("member").equals(lock.member).delete();
    const words = mine.filter((kept) => /^(queue|out|photo):/.test(kept.name));
    await db.kept.bulkPut(words.map((word) => ({ ...word, member: aside })));
    if (words.length > 0) await db.locks.put({ ...lock, member: aside });
  });
}

/** Who has things here that a password opens, by name; what has run out is gone. */
export async function whoIsHere(): Promise<readonly Lock[]> {
  if (!hasStore || !passwordWorks) return [];
  const db = await deviceDb();
  const every = await db.locks.toArray();
  for (const lock of every) if (lock.expires < Date.now()) await forgetMember(lock.member);
  return every.filter(
    (lock) => lock.expires >= Date.now() && lock.byPassword && !lock.member.includes("#"),
  );
}

/** Open without network, by the password; false where it is another one. */
export async function openByPassword(member: string, password: string): Promise<boolean> {
  const lock = await (await deviceDb()).locks.get(member);
  if (!lock?.byPassword || lock.expires < Date.now()) return false;
  try {
    const key = unseal(await keyOfPassword(password, lock.salt, lock.rounds), lock.byPassword);
    vault.setState({ opened: { member, key }, byPassword: true });
    return true;
  } catch {
    return false;
  }
}

/** Take over what an earlier password closed; false where it is another one. */
export async function openAside(aside: string, password: string): Promise<boolean> {
  const mine = vault.getState().opened;
  const db = await deviceDb();
  const lock = await db.locks.get(aside);
  if (!mine || !lock?.byPassword) return false;
  try {
    const key = unseal(await keyOfPassword(password, lock.salt, lock.rounds), lock.byPassword);
    const words = await db.kept.where("member").equals(aside).toArray();
    const again = words.map((word) => ({
      ...word,
      member: mine.member,
      sealed: seal(mine.key, unseal(key, word.sealed)),
    }));
    await db.transaction("rw", db.locks, db.kept, async () => {
      await db.kept.bulkPut(again);
      await db.locks.delete(aside);
      await db.kept.where("member").equals(aside).delete();
    });
    return true;
  } catch {
    return false;
  }
}

/** What earlier passwords closed of a member's. */
export async function setAsideOf(member: string): Promise<readonly string[]> {
  if (!hasStore) return [];
  const every = await (await deviceDb()).locks.toArray();
  return every.map((lock) => lock.member).filter((text) => text.startsWith(`${member}#`));
}

/** Signed out: nothing of theirs is left here, nor what would open it. */
export async function leaveNothing(member: string): Promise<void> {
  closeVault();
  if (hasStore) await forgetMember(member);
}

/** Closed, and sealed as it is: whoever it belongs to opens it again by signing in. */
export function closeVault(): void {
  vault.setState({ opened: null, byPassword: false });
  typed = "";
}

/** Whose things are here, by the ids that the server knows them by. */
export async function idsHere(): Promise<readonly string[]> {
  if (!hasStore) return [];
  const every = await (await deviceDb()).locks.toArray();
  return [...new Set(every.map((lock) => lock.id).filter(Boolean))];
}

/** They have left the practice: nothing of theirs stays here. Their names. */
export async function forgetLeavers(ids: readonly string[]): Promise<readonly string[]> {
  const every = await (await deviceDb()).locks.toArray();
  const left = every.filter((lock) => ids.includes(lock.id));
  for (const { member } of left) {
    if (vault.getState().opened?.member === member) closeVault();
    await forgetMember(member);
  }
  return [...new Set(left.map(({ name }) => name))];
}

/** Keep something of whoever is here; false where nobody is, or there is no room. */
export async function keepSealed(name: string, value: unknown, stamp = ""): Promise<boolean> {
  const { opened } = vault.getState();
  if (!opened) return false;
  const sealed =
    value instanceof Uint8Array ? seal(opened.key, value) : sealJson(opened.key, value);
  try {
    await (await deviceDb()).kept.put({ member: opened.member, name, stamp, sealed });
    return true;
  } catch {
    return false;
  }
}

/** What is kept under a name; null for nothing, or for what can't be opened any more. */
export async function kept<T>(name: string): Promise<T | null> {
  const { opened } = vault.getState();
  if (!opened) return null;
  const row = await (await deviceDb()).kept.get([opened.member, name]);
  try {
    return row ? (unsealJson(opened.key, row.sealed) as T) : null;
  } catch {
    return null;
  }
}

export async function keptBytes(name: string): Promise<Uint8Array | null> {
  const { opened } = vault.getState();
  if (!opened) return null;
  const row = await (await deviceDb()).kept.get([opened.member, name]);
  return row ? unseal(opened.key, row.sealed) : null;
}

/** Names that begin so, with their stamps, in order. */
export async function keptNames(
  start: string,
): Promise<readonly { name: string; stamp: string }[]> {
  const { opened } = vault.getState();
  if (!opened) return [];
  const rows = await (await deviceDb()).kept
    .where("[member+name]")
    .between([opened.member, start], [opened.member, `${start}\uffff`])
    .toArray();
  return rows.map(({ name, stamp }) => ({ name, stamp }));
}

export async function drop(...names: string[]): Promise<void> {
  const { opened } = vault.getState();
  if (!opened) return;
  await (await deviceDb()).kept.bulkDelete(names.map((name) => [opened.member, name]));
}
