import Dexie, { type EntityTable, type Table } from "dexie";
import type { Kept, Lock } from "./store";

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
