import type { DeviceDb } from "./device-db";

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
