import { beforeEach, expect, test } from "vitest";
import { OTHER, openDevice, VISIT } from "@/test/device";
import { keepSealed, keptNames, vault } from "./vault";
import {
  countWaiting,
  forgetWords,
  join,
  keepWords,
  loadWords,
  recallWords,
  type Words,
  waiting,
} from "./words";

const change = (path: string, typed: string, expected = 0) => ({
  id: typed,
  path,
  typed,
  expected,
});
const words = (
  value: number,
  queue: readonly unknown[],
  cells: readonly unknown[] = [],
): Words => ({
  at: value,
  queue,
  cells,
});

/** Keep words, and wait until they have reached the disk. */
const keepOnDisk = (visit: string, what: Words) =>
  new Promise<boolean>((resolve) => keepWords(visit, what, resolve));

beforeEach(() => openDevice());

test("what is typed is in the tab at once and on the disk soon, sealed in both", async () => {
  const typed = words(1, [change("ask.note", "Her left wrist aches")]);
  expect(await keepOnDisk(VISIT, typed)).toBe(true);
  const inTab = sessionStorage.getItem(`plumb:words:${VISIT}`) ?? "";
  expect(inTab).not.toBe("");
  expect(atob(inTab)).not.toContain("wrist");
  expect(recallWords(VISIT)).toEqual(typed);
  expect((await keptNames(`queue:${VISIT}`)).map(({ stamp }) => stamp)).toEqual(["1:0"]);
});

test("it is found again after the tab was closed, and after the browser was", async () => {
  const typed = words(1, [change("ask.note", "aches")]);
  await keepOnDisk(VISIT, typed);
  sessionStorage.removeItem(`plumb:words:${VISIT}`);
  await loadWords(VISIT);
  expect(recallWords(VISIT)).toEqual(typed);
});

test("the later of what tab and disk hold is taken up", async () => {
  const earlier = words(1, [change("a", "1")]);
  const later = words(2, [change("a", "2")]);
  await keepOnDisk(VISIT, later);
  await keepOnDisk(OTHER, earlier);
  sessionStorage.setItem(
    `plumb:words:${VISIT}`,
    sessionStorage.getItem(`plumb:words:${OTHER}`) ?? "",
  );
  expect(recallWords(VISIT)).toEqual(later);
});

test("what can’t be opened any more counts as nothing", async () => {
  await keepOnDisk(VISIT, words(1, [change("a", "1")]));
  const opened = vault.getState().opened;
  vault.setState({ opened: { member: "tom@example.org", key: new Uint8Array(32) } });
  await loadWords(VISIT);
  expect(recallWords(VISIT)).toBeNull();
  vault.setState({ opened });
});

test("what closed tabs left is joined: a later text stands, upon the version of the earlier", async () => {
  await keepSealed(
    `queue:${VISIT}:closed-1`,
    words(1, [change("seat", "44", 3), change("desk", "70", 1)]),
  );
  await keepSealed(
    `queue:${VISIT}:closed-2`,
    words(2, [change("seat", "45", 9)], [["seat", { typed: "45" }]]),
  );
  await loadWords(VISIT);
  const joined = recallWords(VISIT) as Words;
  expect(joined.queue).toEqual([change("seat", "45", 3), change("desk", "70", 1)]);
  expect(joined.cells).toEqual([["seat", { typed: "45" }]]);
  expect((await keptNames(`queue:${VISIT}`)).length).toBe(1); // and both are one from now on
});

test("consents are not joined: each takes things with it, one after the other", () => {
  const given = change("ask.consent.photos", "yes", 1);
  const withdrawn = change("ask.consent.photos", "no", 2);
  expect(join([words(1, [given]), words(2, [withdrawn])])?.queue).toEqual([given, withdrawn]);
  expect(join([])).toBeNull();
});

test("what waits is counted for each visit, over all its tabs", async () => {
  await keepSealed(`queue:${VISIT}:one`, words(1, []), "2:1");
  await keepSealed(`queue:${VISIT}:two`, words(1, []), "1:0");
  await keepSealed(`queue:${OTHER}:one`, words(1, []), "0:3");
  await countWaiting();
  expect(waiting.getState()).toEqual(
    new Map([
      [VISIT, { unsent: 3, open: 1 }],
      [OTHER, { unsent: 0, open: 3 }],
    ]),
  );
});

test("once everything is sent nothing is left of it, neither in the tab nor on the disk", async () => {
  await keepOnDisk(VISIT, words(1, [change("a", "1")]));
  expect(waiting.getState().get(VISIT)).toEqual({ unsent: 1, open: 0 });
  forgetWords(VISIT);
  expect(recallWords(VISIT)).toBeNull();
  expect(waiting.getState().has(VISIT)).toBe(false);
  await expect.poll(() => keptNames(`queue:${VISIT}`)).toEqual([]);
});

test("without anybody here nothing is kept", () => {
  vault.setState({ opened: null });
  expect(keepWords(VISIT, words(1, []), () => undefined)).toBe(false);
});
