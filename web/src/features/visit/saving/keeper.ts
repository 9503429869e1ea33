import { api, type Problem, type Schemas, setCsrf, type Unit } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";

type Entry = Schemas["Entry"];
type Answer = Schemas["ChangeOut"];

/** One field on the page: what is typed, what the server holds, and what stands between them. */
export type Cell = {
  typed: string;
  version: number;
  held: Entry | null;
  state: "kept" | "waiting" | "refused" | "stale";
  problem: Problem | null;
  /** Unit of what is typed, while it is not kept. */
  unit?: Unit;
};

export type Snapshot = {
  cells: ReadonlyMap<string, Cell>;
  pending: number;
  offline: boolean;
  signedOut: boolean;
  keptAt: Date | null;
};

type Pending = { id: string; path: string; typed: string; unit: Unit; expected: number };

const EMPTY: Cell = { typed: "", version: 0, held: null, state: "kept", problem: null };
const RETRY_MS = [500, 1000, 2000, 4000, 8000];

/**
 * Keeps everything typed into one visit: a stream of small changes, each with an id made here
 * and the version it builds on, sent one after the other and sent again until answered.
 * What the server has not got yet outlives a reload in the tab's session store.
 */
export class Keeper {
  /** What is drawn now: the last change in the queue brings it back worked out anew. */
  view: View | null = null;
  private cells = new Map<string, Cell>();
  private queue: Pending[] = [];
  private undoable: { path: string; typed: string }[] = [];
  private listeners = new Set<() => void>();
  private snapshot: Snapshot;
  private sending = false;
  private failures = 0;
  private signedOut = false;
  private keptAt: Date | null = null;

  constructor(
    readonly visitId: string,
    entries: Record<string, Entry>,
    private readonly onKept: (answer: Answer, view: View | null) => void,
  ) {
    for (const entry of Object.values(entries)) this.take(entry);
    this.restore();
    this.snapshot = this.look();
    void this.pump();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  read = (): Snapshot => this.snapshot;

  cell(path: string): Cell {
    return this.cells.get(path) ?? EMPTY;
  }

  /** Something was typed. The latest text of a path replaces one that has not left yet. */
  type(path: string, typed: string, unit: Unit, options: { undo?: boolean } = {}): void {
    const cell = this.cell(path);
    if (cell.typed === typed && cell.state !== "refused") return;
    if (options.undo !== true) this.undoable.push({ path, typed: cell.held?.typed ?? "" });
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

  /** Take the last change back: a change of its own that puts the old text there again. */
  undo(unit: Unit): string | null {
    const last = this.undoable.pop();
    if (!last) return null;
    this.type(last.path, last.typed, unit, { undo: true });
    return last.path;
  }

  /** Two versions stand against each other: keep theirs, put mine on top, or one after the other. */
  settle(path: string, keep: "mine" | "theirs" | "both", unit: Unit): void {
    const cell = this.cell(path);
    const theirs = cell.held?.typed ?? "";
    const typed = keep === "mine" ? cell.typed : `${theirs}\n${cell.typed}`;
    this.cells.set(path, { ...cell, typed: theirs, state: "kept", problem: null });
    if (keep !== "theirs") this.type(path, typed, unit);
    this.tell();
  }

  /** The server's entries as they are now: where nothing of ours waits, they are taken over. */
  adopt(entries: Record<string, Entry>): void {
    for (const entry of Object.values(entries)) {
      const cell = this.cell(entry.path);
      if (cell.state !== "kept" || cell.version >= entry.version) continue;
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

  /** Whether anything typed is not on the server. */
  get unsent(): boolean {
    return this.queue.length > 0;
  }

  /** Signed in again, in another tab: take the new session's token and go on sending. */
  async resume(): Promise<void> {
    const { data } = await api.GET("/api/me");
    if (!data) return;
    setCsrf(data.csrf);
    this.signedOut = false;
    void this.pump();
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
        typed: typedOn ? now.typed : data.entry.typed,
        version: data.entry.version,
        held: data.entry,
        state: newer ? "waiting" : "kept",
        problem: null,
      });
      this.keptAt = new Date();
      if (data.entry.value === "yes") this.sendWhatWaitedFor(path);
      this.onKept(data as Answer, view);
      return true;
    }
    if (response.status >= 500 || response.status === 429) return false;
    if (response.status === 401) {
      this.signedOut = true;
      return false;
    }
    const problem = error as Problem;
    if (response.status === 409 && problem.type === "stale" && problem.current) {
      const held = problem.current as unknown as Entry;
      this.cells.set(path, { ...now, version: held.version, held, state: "stale", problem });
    } else if (!newer) {
      this.cells.set(path, { ...now, state: "refused", problem });
    }
    return true;
  }

  private look(): Snapshot {
    return {
      cells: new Map(this.cells),
      pending: this.queue.length,
      offline: this.failures > 0,
      signedOut: this.signedOut,
      keptAt: this.keptAt,
    };
  }

  private tell(): void {
    this.snapshot = this.look();
    this.store();
    for (const listener of this.listeners) listener();
  }

  private get key(): string {
    return `plumb:${this.visitId}`;
  }

  private store(): void {
    const open = [...this.cells].filter(([, cell]) => cell.state !== "kept");
    if (open.length === 0) sessionStorage.removeItem(this.key);
    else {
      const kept = { queue: this.queue, open: open.map(([path, cell]) => [path, cell.typed]) };
      sessionStorage.setItem(this.key, JSON.stringify(kept));
    }
  }

  private restore(): void {
    const kept = sessionStorage.getItem(this.key);
    if (!kept) return;
    const { queue, open } = JSON.parse(kept) as { queue: Pending[]; open: [string, string][] };
    this.queue = queue;
    for (const [path, typed] of open) {
      this.cells.set(path, { ...this.cell(path), typed, state: "waiting" });
      if (!queue.some((change) => change.path === path))
        this.queue.push({ id: crypto.randomUUID(), path, typed, unit: "cm", expected: -1 });
    }
  }
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
