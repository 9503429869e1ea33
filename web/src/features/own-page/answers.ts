import { useEffect, useMemo, useRef, useSyncExternalStore } from "react";
import { api, type Problem } from "@/shared/api/client";
import type { Round } from "./api";
import { waitingIn } from "./keep-files";

/** An answer leaves once the hand has rested for so long, ms: a word is one change, not one for each letter. House value. */
const PAUSE_MS = 400;
const WAITS_MS = [500, 1000, 2000, 4000, 8000];

/** What another device has put in place of an answer, which nobody has chosen from yet. */
export type Contested = { theirs: string; version: number };
type Waiting = { id: string; typed: string; expected: number };

export type Answers = {
  typed: ReadonlyMap<string, string>;
  contested: ReadonlyMap<string, Contested>;
  problems: ReadonlyMap<string, Problem>;
  /** Not on the server yet. */
  waiting: number;
  /** The server does not answer. */
  away: boolean;
};

/**
 * Keeps what a client answers in one round, from the first letter on: each answer is sent upon the version that was
 * seen when it was begun, and again until the server has it. Where another device has answered meanwhile, it is asked which one stays. What is not
 * sent yet outlives a reload on this device.
 */
export class AnswerKeeper {
  private now: Answers;
  private readonly waiting: Map<string, Waiting>;
  private readonly versions = new Map<string, number>();
  private listeners = new Set<() => void>();
  private pause: ReturnType<typeof setTimeout> | undefined;
  private sending = false;
  private ended = false;

  constructor(
    private readonly round: Round,
    private readonly place: string,
    held: readonly Held[],
    private readonly unit: () => "cm" | "in",
  ) {
    this.waiting = new Map(recall(place));
    for (const { id, version } of held) this.versions.set(id, version);
    const here = [...this.waiting].map(([id, { typed }]) => [id, typed] as const);
    this.now = {
      typed: new Map([...held.map(({ id, typed }) => [id, typed] as const), ...here]),
      contested: new Map(),
      problems: new Map(),
      waiting: this.waiting.size,
      away: false,
    };
    void this.pump();
  }

  read = (): Answers => this.now;

  listen = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  answer(question: string, typed: string): void {
    if ((this.now.typed.get(question) ?? "") === typed && !this.now.problems.has(question)) return;
    const problems = new Map(this.now.problems);
    problems.delete(question);
    const contested = new Map(this.now.contested);
    contested.delete(question);
    // what waits rests on what was seen when it was first typed
    const expected = this.waiting.get(question)?.expected ?? this.versions.get(question) ?? 0;
    this.waiting.set(question, { id: crypto.randomUUID(), typed, expected });
    this.tell({ typed: new Map(this.now.typed).set(question, typed), problems, contested });
    clearTimeout(this.pause);
    this.pause = setTimeout(() => void this.pump(), PAUSE_MS);
  }

  /** Send what waits for the hand to rest: the page goes. */
  flush(): void {
    clearTimeout(this.pause);
    void this.pump();
  }

  /** Choose between this device's answer and the other one's; what is typed anew stands over both. */
  settle(question: string, typed: string): void {
    const against = this.now.contested.get(question);
    if (!against) return;
    this.versions.set(question, against.version);
    const contested = new Map(this.now.contested);
    contested.delete(question);
    this.tell({
      typed: new Map(this.now.typed).set(question, against.theirs),
      contested,
    });
    this.answer(question, typed);
  }

  /** Answers as the server has them now: what nobody is in the middle of here is taken over. */
  adopt(held: readonly Held[]): void {
    const typed = new Map(this.now.typed);
    for (const one of held) {
      const { waiting, versions, now } = this;
      if (waiting.has(one.id) || now.contested.has(one.id) || now.problems.has(one.id)) continue;
      if ((versions.get(one.id) ?? 0) >= one.version) continue;
      versions.set(one.id, one.version);
      typed.set(one.id, one.typed);
    }
    this.tell({ typed });
  }

  end(): void {
    this.ended = true;
  }

  private tell(change: Partial<Answers>): void {
    this.now = { ...this.now, ...change, waiting: this.waiting.size };
    keep(this.place, [...this.waiting]);
    for (const listener of this.listeners) listener();
  }

  private async pump(): Promise<void> {
    if (this.sending) return;
    this.sending = true;
    let failures = 0;
    while (this.waiting.size > 0 && !this.ended) {
      const [first] = this.waiting;
      if (!first) break;
      const [question, change] = first;
      const problem = await this.send(question, change);
      if (problem === "away") {
        this.tell({ away: true });
        const wait = WAITS_MS[Math.min(failures, WAITS_MS.length - 1)] ?? 8000;
        failures += 1;
        await new Promise((resolve) => setTimeout(resolve, wait));
        continue;
      }
      failures = 0;
      const newer = this.waiting.get(question);
      if (newer === change) this.waiting.delete(question);
      else if (newer && !problem) newer.expected = this.versions.get(question) ?? 0;
      const { contested, problems } = this.now;
      const other = problem && contestedBy(problem);
      if (other) this.waiting.delete(question); // one question, with the last text
      this.tell({
        away: false,
        contested: other ? new Map(contested).set(question, other) : contested,
        problems: problem && !other ? new Map(problems).set(question, problem) : problems,
      });
    }
    this.sending = false;
  }

  private async send(
    question: string,
    { id, typed, expected }: Waiting,
  ): Promise<Problem | "away" | null> {
    try {
      const { data, error, response } = await api.PUT("/api/own/rounds/{round}/answer", {
        params: { path: { round: this.round } },
        body: { id, question, typed, unit: this.unit(), expected_version: expected },
      });
      if (data) {
        this.versions.set(question, data.version);
        return null;
      }
      if (response.status >= 500 || response.status === 429) return "away";
      const detail = String(response.status);
      return (
        (error as Problem | undefined) ?? {
          type: "http",
          title: "",
          detail,
          status: response.status,
        }
      );
    } catch {
      return "away";
    }
  }
}

type Held = { id: string; typed: string; version: number };

/** Whether another device's answer stands in the way, and which. */
function contestedBy({ type, current }: Problem): Contested | null {
  if (type !== "stale" || !current) return null;
  const { typed, version } = current as { typed: string; version: number };
  return { theirs: typed, version };
}

function recall(place: string): [string, Waiting][] {
  try {
    const held: unknown = JSON.parse(sessionStorage.getItem(place) ?? "[]");
    return Array.isArray(held) ? (held as [string, Waiting][]) : [];
  } catch {
    return [];
  }
}

function keep(place: string, waiting: [string, Waiting][]): void {
  try {
    if (waiting.length) sessionStorage.setItem(place, JSON.stringify(waiting));
    else sessionStorage.removeItem(place);
  } catch {
    // no room: it is sent while the page is open
  }
}

/** The keeper of a round, for as long as its page is open. */
export function useKeeper(
  round: Round,
  held: readonly Held[],
  unit: "cm" | "in",
): [Answers, AnswerKeeper] {
  const units = useRef(unit);
  units.current = unit;
  // biome-ignore lint/correctness/useExhaustiveDependencies: one keeper a round; what is held is its beginning
  const keeper = useMemo(
    () => new AnswerKeeper(round, waitingIn(round), held, () => units.current),
    [round],
  );
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (keeper.read().waiting > 0) event.preventDefault();
    };
    const leave = () => keeper.flush();
    addEventListener("beforeunload", warn);
    addEventListener("pagehide", leave);
    return () => {
      removeEventListener("beforeunload", warn);
      removeEventListener("pagehide", leave);
    };
  }, [keeper]);
  useEffect(() => keeper.adopt(held), [keeper, held]);
  return [useSyncExternalStore(keeper.listen, keeper.read), keeper];
}
