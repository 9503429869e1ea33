import { beforeEach, expect, test } from "vitest";
import { INES, wipeDevice } from "@/test/device";
import { fromHex, keyOfPassword, newKey, seal, sealJson, unseal, unsealJson } from "./seal";
import { deviceDb } from "./store";
import {
  closeVault,
  drop,
  forgetLeavers,
  idsHere,
  keepSealed,
  kept,
  keptBytes,
  keptNames,
  leaveNothing,
  openAside,
  openByPassword,
  openForSession,
  passwordTyped,
  setAsideOf,
  vault,
  whenSomebodyElse,
  whoIsHere,
} from "./vault";

const SESSION = "ab".repeat(32);
const ANOTHER_SESSION = "cd".repeat(32);

const ines = (device_key = SESSION, device_days = 30) => ({
  email: INES,
  id: "member-1",
  name: "Ines Calloway",
  device_key,
  device_days,
});

beforeEach(wipeDevice);

test("what is sealed opens with its key alone, and not once a bit of it is changed", () => {
  const key = newKey();
  const plain = new TextEncoder().encode("Seat 44.0 cm");
  const sealed = seal(key, plain);
  expect(new TextDecoder().decode(unseal(key, sealed))).toBe("Seat 44.0 cm");
  expect(new TextDecoder().decode(sealed)).not.toContain("Seat");
  expect(seal(key, plain)).not.toEqual(sealed); // a fresh nonce each time
  expect(() => unseal(newKey(), sealed)).toThrow();
  const changed = sealed.slice();
  changed[20] = (changed[20] ?? 0) ^ 1;
  expect(() => unseal(key, changed)).toThrow();
});

test("JSON comes back as it was, letters of every alphabet with it", () => {
  const key = newKey();
  const value = { note: "Élodie sits 44,0 cm high — “quite well”", list: [1, null, true] };
  expect(unsealJson(key, sealJson(key, value))).toEqual(value);
});

test("a password makes the same key upon the same salt, however its letters are composed", async () => {
  const salt = new Uint8Array(16);
  const key = await keyOfPassword("caf\u00e9 au lait", salt, 1000);
  expect(await keyOfPassword("cafe\u0301 au lait", salt, 1000)).toEqual(key);
  expect(await keyOfPassword("cafe au lait", salt, 1000)).not.toEqual(key);
  expect(await keyOfPassword("caf\u00e9 au lait", new Uint8Array(16).fill(1), 1000)).not.toEqual(
    key,
  );
  expect(key.length).toBe(32);
  expect(fromHex("00ff10")).toEqual(new Uint8Array([0, 255, 16]));
});

test("what is kept is sealed on the disk, and read again in the next session", async () => {
  await openForSession(ines());
  expect(await keepSealed("visit:1", { client: "Odile Marrick" }, "7")).toBe(true);
  const rows = await (await deviceDb()).kept.toArray();
  expect(rows.map(({ member, name, stamp }) => ({ member, name, stamp }))).toEqual([
    { member: INES, name: "visit:1", stamp: "7" },
  ]);
  expect(new TextDecoder().decode(rows[0]?.sealed)).not.toContain("Marrick");
  closeVault();
  expect(await kept("visit:1")).toBeNull();
  await openForSession(ines());
  expect(await kept("visit:1")).toEqual({ client: "Odile Marrick" });
});

test("bytes are kept as they are, found by how their names begin, and dropped by name", async () => {
  await openForSession(ines());
  await keepSealed("photo:b", new Uint8Array([1, 2, 3]), "visit-1");
  await keepSealed("photo:a", new Uint8Array([4]), "visit-2");
  await keepSealed("queue:a", []);
  expect(await keptBytes("photo:b")).toEqual(new Uint8Array([1, 2, 3]));
  expect(await keptNames("photo:")).toEqual([
    { name: "photo:a", stamp: "visit-2" },
    { name: "photo:b", stamp: "visit-1" },
  ]);
  await drop("photo:a", "photo:none");
  expect((await keptNames("photo:")).map(({ name }) => name)).toEqual(["photo:b"]);
});

test("nothing is kept or found while nobody is here", async () => {
  expect(await keepSealed("visit:1", {})).toBe(false);
  expect(await keptNames("visit:")).toEqual([]);
  expect(await keptBytes("visit:1")).toBeNull();
  await drop("visit:1");
  expect(await (await deviceDb()).kept.count()).toBe(0);
});

test("one member sees nothing of another’s", async () => {
  await openForSession(ines());
  await keepSealed("visit:1", "mine");
  await openForSession({ ...ines(ANOTHER_SESSION), email: "tom@example.org", id: "member-2" });
  expect(await kept("visit:1")).toBeNull();
  expect(await keptNames("")).toEqual([]);
  expect(new Set(await idsHere())).toEqual(new Set(["member-1", "member-2"]));
});

test("without network the password opens what was kept, and another one does not", async () => {
  passwordTyped("a quiet plumb line");
  await openForSession(ines());
  await keepSealed("visit:1", "mine");
  expect(vault.getState().byPassword).toBe(true);
  closeVault();
  expect((await whoIsHere()).map(({ name }) => name)).toEqual(["Ines Calloway"]);
  expect(await openByPassword(INES, "a quiet plumb lime")).toBe(false);
  expect(vault.getState().opened).toBeNull();
  expect(await openByPassword(INES, "a quiet plumb line")).toBe(true);
  expect(await kept("visit:1")).toBe("mine");
  expect(await openByPassword("nobody@example.org", "a quiet plumb line")).toBe(false);
});

test("who came in without typing a password is not offered without network", async () => {
  await openForSession(ines());
  closeVault();
  expect(await whoIsHere()).toEqual([]);
  expect(await openByPassword(INES, "")).toBe(false);
});

test("a new session opens the same things by the password typed at its sign-in", async () => {
  passwordTyped("a quiet plumb line");
  await openForSession(ines());
  await keepSealed("visit:1", "mine");
  closeVault();
  passwordTyped("a quiet plumb line");
  await openForSession(ines(ANOTHER_SESSION));
  expect(await kept("visit:1")).toBe("mine");
  closeVault();
  await openForSession(ines(ANOTHER_SESSION)); // and from now on by that session
  expect(await kept("visit:1")).toBe("mine");
});

test("what an earlier password closed is set aside, and taken over with it", async () => {
  passwordTyped("the earlier one");
  await openForSession(ines());
  await keepSealed("queue:visit-1:tab", ["unsent"]);
  await keepSealed("answer:/api/fields", "can be fetched again");
  closeVault();
  passwordTyped("the new one");
  await openForSession(ines(ANOTHER_SESSION));
  expect(await kept("queue:visit-1:tab")).toBeNull();
  const [aside = ""] = await setAsideOf(INES);
  expect(aside).toMatch(/^ines@example\.org#\d+$/);
  expect(await openAside(aside, "neither of them")).toBe(false);
  expect(await openAside(aside, "the earlier one")).toBe(true);
  expect(await kept("queue:visit-1:tab")).toEqual(["unsent"]);
  expect(await kept("answer:/api/fields")).toBeNull();
  expect(await setAsideOf(INES)).toEqual([]);
});

test("after its last day nothing is opened any more, and all of it goes", async () => {
  passwordTyped("a quiet plumb line");
  await openForSession(ines(SESSION, -1));
  await keepSealed("visit:1", "mine");
  closeVault();
  expect(await openByPassword(INES, "a quiet plumb line")).toBe(false);
  expect(await whoIsHere()).toEqual([]);
  expect(await (await deviceDb()).kept.count()).toBe(0);
});

test("signing out leaves nothing of a member’s", async () => {
  await openForSession(ines());
  await keepSealed("visit:1", "mine");
  await leaveNothing(INES);
  const db = await deviceDb();
  expect([await db.kept.count(), await db.locks.count()]).toEqual([0, 0]);
  expect(vault.getState().opened).toBeNull();
});

test("of somebody who left the practice nothing stays, and their name is told once", async () => {
  await openForSession(ines());
  await keepSealed("visit:1", "mine");
  expect(await forgetLeavers(["member-9"])).toEqual([]);
  expect(vault.getState().opened).not.toBeNull();
  expect(await forgetLeavers(["member-1"])).toEqual(["Ines Calloway"]);
  expect(vault.getState().opened).toBeNull();
  expect(await idsHere()).toEqual([]);
});

test("the page hears when somebody else’s things are opened, and not when the same are opened again", async () => {
  let heard = 0;
  whenSomebodyElse(() => {
    heard += 1;
  });
  await openForSession(ines());
  await openForSession(ines());
  expect(heard).toBe(0);
  await openForSession({ ...ines(ANOTHER_SESSION), email: "tom@example.org" });
  expect(heard).toBe(1);
  closeVault();
  expect(heard).toBe(2);
});
