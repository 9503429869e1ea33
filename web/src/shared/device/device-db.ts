import Dexie, { type EntityTable, type Table } from "dexie";

/** Whose things are here, and how they are opened: the key itself, sealed twice over. */
export type Lock = {
  member: string;
  /** By which the server tells whether they have left. */
  id: string;
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

/** The browser's store: whose things are here, and what is kept of theirs. */
export class DeviceDb extends Dexie {
  locks!: EntityTable<Lock, "member">;
  kept!: Table<Kept, [string, string]>;

  constructor() {
    // what is said to be kept has reached the disk
    super("gentle-plumb", { chromeTransactionDurability: "strict" });
    this.version(1).stores({ locks: "member", kept: "[member+name], member" });
  }
}
