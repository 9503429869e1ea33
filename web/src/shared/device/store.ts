import type { DeviceDb } from "./device-db";

/** Whose things are here, and how they are opened: the key itself, sealed twice over. */
export type Lock = {
  member: string;
  /** Their name, to choose by where there is no network. */
  name: string;
  salt: Uint8Array;
  rounds: number;
  /** The key under the password; null for who came in without typing one. */
  byPassword: Uint8Array | null;
  /** The key under what the server tells for as long as the session lasts. */
  bySession: Uint8Array;
  /** After this day nothing of it is opened any more, and all of it goes. */
  expires: number;
};

/** Something of a member's, sealed; `stamp` tells how new it is without opening it. */
export type Kept = { member: string; name: string; stamp: string; sealed: Uint8Array };

let opening: Promise<DeviceDb> | null = null;

/** What this browser keeps of this address; what opens it comes once it is wanted. */
export function deviceDb(): Promise<DeviceDb> {
  opening ??= import("./device-db").then(({ DeviceDb }) => new DeviceDb());
  opening.catch(() => {
    opening = null; // asked again
  });
  return opening;
}

/** Whether this browser has a place for it at all. */
export const hasStore = typeof indexedDB !== "undefined";

/** Everything of a member's, with what opens it. */
export async function forgetMember(member: string): Promise<void> {
  const db = await deviceDb();
  await db.transaction("rw", db.locks, db.kept, async () => {
    await db.locks.delete(member);
    await db.kept.where("member").equals(member).delete();
  });
}
