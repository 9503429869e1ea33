import { createStore, type StoreApi } from "zustand/vanilla";
import type { Problem, Schemas, Unit } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";
import { answersHere, BY_DEVICE } from "@/shared/device/answers";
import { forgetWords, keepWords, recallWords } from "@/shared/device/words";
import {
  EMPTY,
  type FieldState,
  fieldTakenHere,
  fieldTakenIn,
  isKept,
  type Kept,
  type Pending,
  type Snapshot,
  settled,
  takenUp,
} from "./field-state";
import { FailingChange, failed, put, WAITS } from "./put";
import { UndoSteps } from "./undo-steps";

type Entry = Schemas["Entry"];
type Answer = Schemas["ChangeAnswer"];

type Typing = {
  /** Not taken back by undo. */
  undo?: boolean;
  /** Keystrokes of one edit, or changes made by one press, are taken back together. */
  step?: number;
};

const CONSENT = "ask.consent.";
const RETRY_MS = [500, 1000, 2000, 4000, 8000];

/**
 * Keeps everything typed into one visit: a stream of small changes, each with an id made here
 * and the version it builds on, sent one after the other and sent again until answered.
 * What the server has not got, refused or contests outlives tab and browser with its unit and version,
 * sealed, for the member who typed it. Without network the device takes changes in; they stay queued.
 */
export class ChangeQueue {
  /** What is drawn now: the last change in the queue brings it back worked out anew. */
  view: View | null = null;
  private cells = new Map<string, FieldState>();
  private queue: Pending[] = [];
  private readonly steps = new UndoSteps();
  private readonly inHand = new Set<string>();
  private flushers = new Set<() => void>();
  private readonly answered = new Set<(answer: Answer) => void>();
  /** What is typed and where it is, for whoever draws it. */
  readonly store: StoreApi<Snapshot>;
  private sending = false;
  private current: Pending | null = null;
  private onDisk = true;
  private failures = 0;
  private readonly failing = new FailingChange();
  private signedOut = false;
  private keptAt: Date | null = null;
  private full = false;
  private keeps = false;
  private signed = false;
  private heldBack: { path: string; then: (change: boolean) => void }[] = [];

  constructor(
    readonly visitId: string,
    entries: Record<string, Entry>,
    private readonly onKept: (answer: Answer, view: View | null) => void,
  ) {
    for (const entry of Object.values(entries)) this.take(entry);
    this.restore();
    this.store = createStore(() => this.look());
    void this.pump();
  }

  read = (): Snapshot => this.store.getState();

  cell(path: string): FieldState {
    return this.cells.get(path) ?? EMPTY;
  }

  /** A number that ties changes together which undo takes back as one. */
  newStep(): number {
    return this.steps.next();
  }

  /** Something was typed. The latest text of a path replaces one that has not left yet. */
  type(path: string, typed: string, unit: Unit, options: Typing = {}): void {
    this.holds(path, false);
    const cell = this.cell(path);
    // the same again says nothing new, unless it makes the client's own word the practitioner's
    const confirms = cell.state === "kept" && cell.held?.self_reported === true;
    if (cell.typed === typed && cell.state !== "refused" && !confirms) return;
    if (this.signed) {
      this.heldBack = this.heldBack.filter((one) => one.path !== path);
      const then = (change: boolean) => change && this.type(path, typed, unit, options);
      this.heldBack.push({ path, then });
      this.tell();
      return;
    }
    if (options.undo !== true) this.steps.note(path, settled(cell), options.step ?? this.newStep());
    this.cells.set(path, { ...cell, typed, unit, state: "waiting", problem: null });
    const waiting = this.queue.find(
      (change) => change.path === path && !change.here && change !== this.current,
    );
    if (waiting) Object.assign(waiting, { typed, unit, id: crypto.randomUUID() });
    else {
      this.queue.push({ id: crypto.randomUUID(), path, typed, unit, expected: -1 });
    }
    this.tell();
    void this.pump();
  }

  /** A field has text that it has not handed over yet, from the first key to the pause that hands it over. */
  holds(path: string, held: boolean): void {
    if (this.inHand.has(path) === held) return;
    this.inHand[held ? "add" : "delete"](path);
    this.store.setState({ typing: this.inHand.size });
  }

  /** Several fields by one press: taken back together. */
  typeAll(changes: readonly (readonly [path: string, typed: string])[], unit: Unit): void {
    const step = this.newStep();
    for (const [path, typed] of changes) this.type(path, typed, unit, { step });
  }

  /** Take the last step back: changes of their own that put the old texts there again. */
  undo(unit: Unit): string | null {
    const mine = this.steps.back((path) => this.cell(path).typed);
    for (const one of mine) this.type(one.path, one.typed, unit, { undo: true });
    return mine[0]?.path ?? null;
  }

  /** Put back what was taken back last. */
  redo(unit: Unit): void {
    this.typeAll(this.steps.forth(), unit);
  }

  /** Whether the visit is signed as it stands: the next change asks first, none before is undone. */
  setSigned(signed: boolean): void {
    if (this.signed === signed) return;
    this.signed = signed;
    if (signed) this.steps.forget();
    this.tell();
  }

  /** Whether something may be done that changes the visit: a signed one asks first, as for a change. */
  async mayChange(): Promise<boolean> {
    if (!this.signed) return true;
    return new Promise((then) => {
      this.heldBack.push({ path: "", then });
      this.tell();
    });
  }

  /** What waited for a yes is made, or dropped. */
  answer(change: boolean): void {
    const waiting = this.heldBack;
    this.heldBack = [];
    if (change) this.signed = false;
    for (const { then } of waiting) then(change);
    this.tell();
  }

  /** Two versions stand against each other: keep theirs, put mine on top, or one after the other. */
  settle(path: string, keep: "mine" | "theirs" | "both", unit: Unit): void {
    const cell = this.cell(path);
    const theirs = cell.held?.typed ?? "";
    const typed = keep === "mine" ? cell.typed : `${theirs}\n${cell.typed}`;
    this.cells.set(path, { ...cell, typed: theirs, state: "kept", problem: null });
    if (keep !== "theirs") this.type(path, typed, cell.unit ?? unit);
    this.tell();
  }

  /** The entries as they are now: where nothing of ours waits, they are taken over. */
  adopt(entries: Record<string, Entry>, byDevice = false): void {
    for (const entry of Object.values(entries)) {
      const cell = this.cell(entry.path);
      if (byDevice) this.adoptHere(cell, entry);
      if (cell.version >= entry.version) continue;
      if (cell.state === "stale" && !byDevice)
        this.cells.set(entry.path, { ...cell, version: entry.version, held: entry });
      if (cell.state !== "kept") continue;
      this.take(entry);
      this.steps.forget(entry.path);
    }
    this.tell();
  }

  /** What a consent took with it on this device is not sent any more. */
  private adoptHere(cell: FieldState, entry: Entry): void {
    if (cell.state !== "here" || entry.typed !== "" || cell.typed === "") return;
    this.queue = this.queue.filter((change) => change.path !== entry.path);
    this.cells.set(entry.path, { ...cell, typed: "", held: entry, state: "kept", problem: null });
  }

  /** The server is there again: what this device took in is sent now. */
  goOn(): void {
    this.signedOut = false;
    this.sendHere();
    this.failures = 0;
    this.tell();
    void this.pump();
  }

  private sendHere(): void {
    for (const change of this.queue.filter((pending) => pending.here)) {
      change.here = false;
      const cell = this.cell(change.path);
      if (cell.state === "here") this.cells.set(change.path, { ...cell, state: "waiting" });
    }
  }

  /** A consent was given: what was refused for want of it is sent again. */
  private sendWhatWaitedFor(consent: string): void {
    for (const [path, cell] of this.cells) {
      if (cell.state !== "refused" || cell.problem?.consent !== consent) continue;
      this.cells.set(path, { ...cell, state: "waiting", problem: null });
      this.queue.push({
        id: crypto.randomUUID(),
        path,
        typed: cell.typed,
        unit: cell.unit ?? "cm",
        expected: -1,
      });
    }
  }

  /** A field that is being typed into hands its words over when it is asked to. */
  onFlush(flusher: () => void): () => void {
    this.flushers.add(flusher);
    return () => this.flushers.delete(flusher);
  }

  /** Somebody wants to know of each change that was taken, once everything else knows it. */
  onAnswer(listener: (answer: Answer) => void): () => void {
    this.answered.add(listener);
    return () => this.answered.delete(listener);
  }

  /** Take over what is being typed, now: before the page goes. */
  flush(): void {
    for (const flusher of this.flushers) flusher();
  }

  /** Whether anything typed is not on the server. */
  get unsent(): boolean {
    return this.queue.length > 0;
  }

  /** Whether this device has taken in all that waits: nothing of it is lost with the page. */
  get allHere(): boolean {
    return this.queue.every((change) => change.here);
  }

  /** Fields whose words are only here: on their way, refused, or contested. */
  get open(): string[] {
    return [...this.cells].filter(([, cell]) => cell.state !== "kept").map(([path]) => path);
  }

  private take(entry: Entry): void {
    this.cells.set(entry.path, {
      typed: entry.typed,
      version: entry.version,
      held: entry,
      state: "kept",
      problem: null,
    });
  }

  private async pump(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    while (!this.signedOut) {
      const change = this.queue.find((pending) => !pending.here);
      if (!change) break;
      this.current = change;
      if (change.expected < 0) change.expected = this.cell(change.path).version;
      const done = await this.send(change);
      this.current = null;
      if (done) {
        if (!change.here) this.queue = this.queue.filter((pending) => pending !== change);
        this.failures = 0;
      } else if (!this.signedOut) {
        const wait = RETRY_MS[Math.min(this.failures, RETRY_MS.length - 1)] ?? 8000;
        this.failures += 1;
        this.tell();
        await new Promise((resolve) => setTimeout(resolve, wait));
      }
      this.tell();
    }
    this.sending = false;
  }

  /** Send one change; false if it has to be sent again. */
  private async send(change: Pending): Promise<boolean> {
    const { id, path, typed, unit, expected } = change;
    const last = this.queue.every((other) => other === change || other.here);
    const view = last ? this.view : null;
    let answer: Awaited<ReturnType<typeof put>>;
    try {
      answer = await put(this.visitId, id, { path, typed, unit, expected_version: expected }, view);
    } catch {
      return false;
    }
    const { data, error, response } = answer;
    const now = this.cell(path);
    const newer = this.queue.some(
      (other) => other !== change && other.path === path && !other.here,
    );
    if (data) {
      if (response.headers.has(BY_DEVICE)) this.takenHere(change, data as Answer, newer);
      else this.takenIn(change, data as Answer, newer);
      if (data.entry.value === "yes") this.sendWhatWaitedFor(path);
      this.onKept(data as Answer, view);
      for (const listener of this.answered) listener(data as Answer);
      return true;
    }
    if (response.status === 401) {
      this.signedOut = true;
      return false;
    }
    if (WAITS.has(response.status)) return false;
    if (response.status >= 500 && !this.failing.givesUp(id)) return false;
    const problem = (error as Problem | undefined) ?? failed(response.status);
    if (response.status === 409 && problem.type === "stale" && problem.current) {
      const held = problem.current as unknown as Entry;
      // what was typed after it rests on the same version: one question, with the last text
      this.queue = this.queue.filter((other) => other === change || other.path !== path);
      this.cells.set(path, { ...now, version: held.version, held, state: "stale", problem });
    } else if (!newer) {
      this.cells.set(path, { ...now, state: "refused", problem });
    }
    return true;
  }

  /** The server has it. */
  private takenIn(change: Pending, answer: Answer, newer: boolean): void {
    this.cells.set(change.path, fieldTakenIn(this.cell(change.path), change, answer, newer));
    this.keptAt = new Date();
  }

  /** This device has it: it takes the place of what was typed here before, upon the same version. */
  private takenHere(change: Pending, answer: Answer, newer: boolean): void {
    const before = this.queue.find((it) => it !== change && it.path === change.path && it.here);
    change.here = true;
    if (before && change.path.startsWith(CONSENT)) {
      change.expected = -1; // what a consent takes with it, it takes on the server as well: one after the other
    } else if (before) {
      change.expected = before.expected;
      this.queue = this.queue
        .filter((pending) => pending !== change)
        .map((pending) => (pending === before ? change : pending));
    }
    this.cells.set(change.path, fieldTakenHere(this.cell(change.path), change, answer, newer));
  }

  private look(): Snapshot {
    return {
      cells: new Map(this.cells),
      pending: this.queue.length,
      here: this.queue.filter((pending) => pending.here).length,
      onDisk: this.onDisk,
      offline: this.failures > 0,
      signedOut: this.signedOut,
      typing: this.inHand.size,
      keptAt: this.keptAt,
      full: this.full,
      asking: this.heldBack.length > 0,
    };
  }

  private tell(): void {
    this.remember();
    this.store.setState(this.look(), true);
  }

  private remember(): void {
    const cells = [...this.cells].filter(([, cell]) => cell.state !== "kept");
    if (cells.length === 0) {
      if (this.keeps) forgetWords(this.visitId); // never what could not be read when it was made
      [this.full, this.onDisk, this.keeps] = [false, true, false];
      return;
    }
    [this.onDisk, this.keeps] = [false, true];
    const words = { at: Date.now(), cells, queue: [...this.queue] } satisfies Kept;
    this.full = !keepWords(this.visitId, words, (there) => {
      this.onDisk = there;
      this.full ||= !there;
      this.store.setState({ onDisk: there, full: this.full });
    });
  }

  /** Take up what this member had typed here and the server has not got, each as it stood. */
  private restore(): void {
    const kept = recallWords(this.visitId);
    if (!isKept(kept)) return;
    this.keeps = true;
    this.queue = takenUp(kept, this.cells);
    if (!answersHere()) this.sendHere();
  }
}
