import { api, type Schemas, unwrap } from "@/shared/api/client";
import type { Asked, Told } from "./bench-messages";

export type Trial = Schemas["TrialIn"];
export type Tried = Schemas["Tried"];

type Ask = { kind: "open"; given: string } | { kind: "try"; request: string };
type Waiting = { resolve: (answer: string) => void; reject: (error: Error) => void };

/** Asks a worker and pairs its answers with what was asked. */
class Line {
  private readonly waiting = new Map<number, Waiting>();
  private count = 0;

  constructor(private readonly worker: Worker) {
    worker.onmessage = ({ data }: MessageEvent<Told>) => {
      const one = this.waiting.get(data.id);
      this.waiting.delete(data.id);
      if ("trouble" in data) one?.reject(new Error(data.trouble));
      else one?.resolve(data.answer);
    };
    worker.onerror = (event) => this.fail(new Error(event.message));
  }

  ask(what: Ask): Promise<string> {
    return new Promise((resolve, reject) => {
      const id = this.count++;
      this.waiting.set(id, { resolve, reject });
      this.worker.postMessage({ id, ...what } as Asked);
    });
  }

  private fail(error: Error): void {
    for (const one of this.waiting.values()) one.reject(error);
    this.waiting.clear();
  }
}

/**
 * Works tries out: over the API until the page's own core is ready, then in the worker. Where the
 * worker fails, the API goes on answering.
 */
export class CoreRunner {
  private line: Line | null = null;
  private opened: { key: string; ready: boolean } | null = null;
  private broken = false;

  /** Where the last answer came from. */
  by: "page" | "server" = "server";

  constructor(private readonly makeWorker: () => Worker) {}

  /** Begin to load the core, and open a visit as it is at a revision. */
  async open(visitId: string, revision: number): Promise<void> {
    const key = `${visitId}@${revision}`;
    if (this.broken || this.opened?.key === key) return;
    const mine = { key, ready: false };
    this.opened = mine;
    try {
      this.line ??= new Line(this.makeWorker());
      const given = unwrap(
        await api.GET("/api/visits/{visit_id}/given", { params: { path: { visit_id: visitId } } }),
      );
      await this.line.ask({ kind: "open", given: JSON.stringify(given) });
      if (this.opened === mine) mine.ready = true;
    } catch {
      if (this.opened === mine) this.opened = null;
      this.broken = true;
    }
  }

  /** Whether the page's own core holds this visit at this revision. */
  ready(visitId: string, revision: number): boolean {
    return this.opened?.ready === true && this.opened.key === `${visitId}@${revision}`;
  }

  async tryOut(visitId: string, revision: number, trial: Trial): Promise<Tried> {
    if (this.line && this.ready(visitId, revision)) {
      const request = { ...trial, scene: { ...trial.scene } };
      const answer = await this.line.ask({ kind: "try", request: JSON.stringify(request) });
      this.by = "page";
      return JSON.parse(answer) as Tried;
    }
    this.by = "server";
    return unwrap(
      await api.POST("/api/visits/{visit_id}/try", {
        params: { path: { visit_id: visitId } },
        body: trial,
      }),
    );
  }
}

let runner: CoreRunner | null = null;

/** The one bench of this page. */
export function coreRunner(): CoreRunner {
  runner ??= new CoreRunner(
    () => new Worker(new URL("./bench-worker.ts", import.meta.url), { type: "module" }),
  );
  return runner;
}
