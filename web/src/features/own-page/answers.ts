import { useEffect, useMemo, useRef, useSyncExternalStore } from "react";
import { api, type Problem } from "@/shared/api/client";
import type { Round } from "./api";

const WAITS_MS = [500, 1000, 2000, 4000, 8000];

export type Answers = {
  typed: ReadonlyMap<string, string>;
  problems: ReadonlyMap<string, Problem>;
  /** Not on the server yet. */
  waiting: number;
  /** The server does not answer. */
  away: boolean;
};

/**
 * Keeps what a client answers in one round: each answer is sent at once and again until it is answered, the last
 * one of a question counts. What is not sent yet outlives a reload on this device.
 */
export class AnswerKeeper {
  private now: Answers;
  private waiting: Map<string, string>;
  private listeners = new Set<() => void>();
  private sending = false;
  private ended = false;

  constructor(
    private readonly round: Round,
    private readonly place: string,
    held: Record<string, string>,
    private readonly unit: () => "cm" | "in",
  ) {
    this.waiting = new Map(recall(place));
    this.now = {
      typed: new Map([...Object.entries(held), ...this.waiting]),
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
    this.waiting.set(question, typed);
    this.tell({ typed: new Map(this.now.typed).set(question, typed), problems });
    void this.pump();
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
      const [[question, typed] = ["", ""]] = this.waiting;
      const problem = await this.send(question, typed);
      if (problem === "away") {
        this.tell({ away: true });
        const wait = WAITS_MS[Math.min(failures, WAITS_MS.length - 1)] ?? 8000;
        failures += 1;
        await new Promise((resolve) => setTimeout(resolve, wait));
        continue;
      }
      failures = 0;
      if (this.waiting.get(question) === typed) this.waiting.delete(question);
      const problems = new Map(this.now.problems);
      if (problem) problems.set(question, problem);
      this.tell({ away: false, problems });
    }
    this.sending = false;
  }

  private async send(question: string, typed: string): Promise<Problem | "away" | null> {
    try {
      const { error, response } = await api.PUT("/api/own/rounds/{round}/answer", {
        params: { path: { round: this.round } },
        body: { question, typed, unit: this.unit() },
      });
      if (response.ok) return null;
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

function recall(place: string): [string, string][] {
  try {
    const held: unknown = JSON.parse(sessionStorage.getItem(place) ?? "[]");
    return Array.isArray(held) ? (held as [string, string][]) : [];
  } catch {
    return [];
  }
}

function keep(place: string, waiting: [string, string][]): void {
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
  held: Record<string, string>,
  unit: "cm" | "in",
): [Answers, AnswerKeeper] {
  const units = useRef(unit);
  units.current = unit;
  // biome-ignore lint/correctness/useExhaustiveDependencies: one keeper a round; what is held is its beginning
  const keeper = useMemo(
    () => new AnswerKeeper(round, `plumb:own:${round}`, held, () => units.current),
    [round],
  );
  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (keeper.read().waiting > 0) event.preventDefault();
    };
    addEventListener("beforeunload", warn);
    return () => removeEventListener("beforeunload", warn);
  }, [keeper]);
  return [useSyncExternalStore(keeper.listen, keeper.read), keeper];
}
