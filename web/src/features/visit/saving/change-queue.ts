import { createStore, type StoreApi } from "zustand/vanilla";
import { api, type Problem, type Schemas, type Unit } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";
import { forget, keep, recall } from "./tab-store";

type Entry = Schemas["Entry"];
type Answer = Schemas["ChangeOut"];

/** One field on the page: what is typed, what the server holds, and what stands between them. */
export type FieldState = {
  typed: string;
  /** The version of the entry that what is typed builds on. */
  version: number;
  held: Entry | null;
  state: "kept" | "waiting" | "refused" | "stale";
  problem: Problem | null;
  /** Unit of what is typed, while it is not kept. */
  unit?: Unit;
  /** The visit's revision since which the server holds it; what is worked out before does not know it. */
  since?: number;
};

export type Snapshot = {
  cells: ReadonlyMap<string, FieldState>;
  pending: number;
  offline: boolean;
  signedOut: boolean;
  keptAt: Date | null;
  /** This device has no room: what is typed would not outlive a reload. */
  full: boolean;
  /** Waits for a yes, since the visit is signed. */
  asking: boolean;
};

type Pending = { id: string; path: string; typed: string; unit: Unit; expected: number };
type Undoable = { path: string; typed: string; step: number };
type Kept = { cells: [string, FieldState][]; queue: Pending[] };
type Typing = {
  /** Not taken back by undo. */
  undo?: boolean;
  /** Keystrokes of one edit, or changes made by one press, are taken back together. */
  step?: number;
};

const EMPTY: FieldState = { typed: "", version: 0, held: null, state: "kept", problem: null };
const RETRY_MS = [500, 1000, 2000, 4000, 8000];
/** So often a change that makes the server fail is sent; then the others go on without it. */
const MOST_FAILURES = 4;

/**
 * Keeps everything typed into one visit: a stream of small changes, each with an id made here
 * and the version it builds on, sent one after the other and sent again until answered.
 * What the server has not got yet, and what it refused or contests, outlives a reload in the
 * tab's session store with its unit and version, for the member who typed it.
 */
export class ChangeQueue {
  /** What is drawn now: the last change in the queue brings it back worked out anew. */
  view: View | null = null;
  private cells = new Map<string, FieldState>();
  private queue: Pending[] = [];
  private undoable: Undoable[] = [];
  private redoable: [path: string, typed: string][] = [];
  private steps = 0;
  private flushers = new Set<() => void>();
  /** What is typed and where it is, for whoever draws it. */
  readonly store: StoreApi<Snapshot>;
  private sending = false;
  private failures = 0;
  private broke = { id: "", times: 0 };
  private signedOut = false;
  private keptAt: Date | null = null;
  private full = false;
  private signed = false;
  private heldBack: { path: string; typed: string; unit: Unit; options: Typing }[] = [];

  constructor(
    readonly visitId: string,
    entries: Record<string, Entry>,
    private readonly onKept: (answer: Answer, view: View | null) => void,
    private readonly member = "",
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
    this.steps += 1;
    return this.steps;
  }

  /** Something was typed. The latest text of a path replaces one that has not left yet. */
  type(path: string, typed: string, unit: Unit, options: Typing = {}): void {
    const cell = this.cell(path);
    // the same again says nothing new, unless it makes the client's own word the practitioner's
    const confirms = cell.state === "kept" && cell.held?.self_reported === true;
    if (cell.typed === typed && cell.state !== "refused" && !confirms) return;
    if (this.signed) {
      this.heldBack = this.heldBack.filter((one) => one.path !== path);
      this.heldBack.push({ path, typed, unit, options });
      this.tell();
      return;
    }
    if (options.undo !== true) this.note(path, cell, options.step ?? this.newStep());
    this.cells.set(path, { ...cell, typed, unit, state: "waiting", problem: null });
    const waiting = this.queue.find(
      (change, at) => change.path === path && !(at === 0 && this.sending),
    );
    if (waiting) {
      waiting.typed = typed;
      waiting.unit = unit;
      waiting.id = crypto.randomUUID();
    } else {
      this.queue.push({ id: crypto.randomUUID(), path, typed, unit, expected: -1 });
    }
    this.tell();
    void this.pump();
  }

  /** Several fields by one press: taken back together. */
  typeAll(changes: readonly (readonly [path: string, typed: string])[], unit: Unit): void {
    const step = this.newStep();
    for (const [path, typed] of changes) this.type(path, typed, unit, { step });
  }

  private note(path: string, cell: FieldState, step: number): void {
    if (this.undoable.some((one) => one.path === path && one.step === step)) return;
    const open = cell.state === "refused" || cell.state === "stale";
    this.undoable.push({ path, typed: open ? (cell.held?.typed ?? "") : cell.typed, step });
  }

  /** Take the last step back: changes of their own that put the old texts there again. */
  undo(unit: Unit): string | null {
    const last = this.undoable.at(-1);
    if (!last) return null;
    const mine = this.undoable.filter((one) => one.step === last.step);
    this.undoable = this.undoable.filter((one) => one.step !== last.step);
    this.redoable = mine.map(({ path }) => [path, this.cell(path).typed]);
    for (const one of mine.reverse()) this.type(one.path, one.typed, unit, { undo: true });
    return last.path;
  }

  /** Put back what was taken back last. */
  redo(unit: Unit): void {
    const again = this.redoable;
    this.redoable = [];
    this.typeAll(again, unit);
  }

  /** Whether the visit is signed as it stands: the next change asks first, none before is undone. */
  setSigned(signed: boolean): void {
    if (this.signed === signed) return;
    this.signed = signed;
    if (signed) this.undoable = [];
    this.tell();
  }

  /** What waited for a yes is made, or dropped. */
  answer(change: boolean): void {
    const waiting = this.heldBack;
    this.heldBack = [];
    if (change) {
      this.signed = false;
      for (const { path, typed, unit, options } of waiting) this.type(path, typed, unit, options);
    }
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

  /** The server's entries as they are now: where nothing of ours waits, they are taken over. */
  adopt(entries: Record<string, Entry>): void {
    for (const entry of Object.values(entries)) {
      const cell = this.cell(entry.path);
      if (cell.version >= entry.version) continue;
      if (cell.state === "stale")
        this.cells.set(entry.path, { ...cell, version: entry.version, held: entry });
      if (cell.state !== "kept") continue;
      this.take(entry);
      this.undoable = this.undoable.filter((one) => one.path !== entry.path);
    }
    this.tell();
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

  /** Take over what is being typed, now: before the page goes. */
  flush(): void {
    for (const flusher of this.flushers) flusher();
  }

  /** Whether anything typed is not on the server. */
  get unsent(): boolean {
    return this.queue.length > 0;
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
    while (this.queue[0] && !this.signedOut) {
      const change = this.queue[0];
      if (change.expected < 0) change.expected = this.cell(change.path).version;
      const done = await this.send(change);
      if (done) {
        this.queue.shift();
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
    const view = this.queue.length === 1 ? this.view : null;
    let answer: Awaited<ReturnType<typeof put>>;
    try {
      answer = await put(this.visitId, id, { path, typed, unit, expected_version: expected }, view);
    } catch {
      return false;
    }
    const { data, error, response } = answer;
    const now = this.cell(path);
    const newer = this.queue.some((other) => other !== change && other.path === path);
    if (data) {
      const typedOn = newer || now.typed !== typed;
      this.cells.set(path, {
        ...(newer && now.unit ? { unit: now.unit } : {}),
        typed: typedOn ? now.typed : data.entry.typed,
        version: data.entry.version,
        held: data.entry,
        state: newer ? "waiting" : "kept",
        problem: null,
        since: data.revision,
      });
      this.keptAt = new Date();
      if (data.entry.value === "yes") this.sendWhatWaitedFor(path);
      this.onKept(data as Answer, view);
      return true;
    }
    if (response.status === 401) {
      this.signedOut = true;
      return false;
    }
    if (response.status === 429 || response.status === 503) return false;
    if (response.status >= 500 && !this.givesUp(id)) return false;
    const problem = (error as Problem | undefined) ?? failed(response.status);
    if (response.status === 409 && problem.type === "stale" && problem.current) {
      const held = problem.current as unknown as Entry;
      this.cells.set(path, { ...now, version: held.version, held, state: "stale", problem });
    } else if (!newer) {
      this.cells.set(path, { ...now, state: "refused", problem });
    }
    return true;
  }

  /** A change that makes the server fail again and again must not hold up those behind it. */
  private givesUp(id: string): boolean {
    this.broke = { id, times: this.broke.id === id ? this.broke.times + 1 : 1 };
    return this.broke.times >= MOST_FAILURES;
  }

  private look(): Snapshot {
    return {
      cells: new Map(this.cells),
      pending: this.queue.length,
      offline: this.failures > 0,
      signedOut: this.signedOut,
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
      forget(this.member, this.visitId);
      this.full = false;
    } else {
      this.full = !keep(this.member, this.visitId, { cells, queue: this.queue } satisfies Kept);
    }
  }

  /** Take up what this member had typed here and the server has not got, each as it stood. */
  private restore(): void {
    const kept = recall(this.member, this.visitId);
    if (!isKept(kept)) return;
    const waiting = new Set(kept.queue.map((change) => change.path));
    for (const [path, cell] of kept.cells) {
      const now = this.cell(path);
      if (cell.state === "stale" && now.version > cell.version)
        this.cells.set(path, { ...cell, version: now.version, held: now.held });
      else this.cells.set(path, cell);
      if (cell.state === "waiting" && !waiting.has(path))
        kept.queue.push({
          id: crypto.randomUUID(),
          path,
          typed: cell.typed,
          unit: cell.unit ?? "cm",
          expected: cell.version,
        });
    }
    this.queue = kept.queue.filter((change) => this.cell(change.path).state === "waiting");
  }
}

function isKept(value: unknown): value is Kept {
  const kept = value as Kept | null;
  return Array.isArray(kept?.cells) && Array.isArray(kept?.queue);
}

function failed(status: number): Problem {
  const detail = `The server failed on this (${status}).`;
  return { type: "failed", title: detail, status, detail };
}

function put(visitId: string, changeId: string, body: Schemas["ChangeIn"], view: View | null) {
  return api.PUT("/api/visits/{visit_id}/changes/{change_id}", {
    params: {
      path: { visit_id: visitId, change_id: changeId },
      query: view ? { ...view, draw: true } : {},
    },
    body,
  });
}
