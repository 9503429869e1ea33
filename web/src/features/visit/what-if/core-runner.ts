import { api, type Schemas, unwrap } from "@/shared/api/client";
import { MAIN, type PlaceId } from "../at-place";
import type { WorkerRequest, WorkerResponse } from "./worker-messages";

export type WhatIf = Omit<Schemas["TrialIn"], "place">;
export type WhatIfResult = Schemas["WhatIfResult"];

const MOST_TROUBLES = 3;

type Ask = { kind: "open"; given: string } | { kind: "try"; request: string };
type Waiting = { resolve: (answer: string) => void; reject: (error: Error) => void };

/** A try the core has no answer to after this long is taken to the server; opening may load it first. */
const PATIENCE_MS = { try: 4000, open: 90_000 };

/** What a worker said of one try, as against a worker that does not answer. */
class Troubled extends Error {}

/** Asks a worker and pairs its answers with what was asked. */
class Line {
  private readonly waiting = new Map<number, Waiting>();
  private count = 0;

  constructor(private readonly worker: Worker) {
    worker.onmessage = ({ data }: MessageEvent<WorkerResponse>) => {
      const one = this.waiting.get(data.id);
      this.waiting.delete(data.id);
      if ("trouble" in data) one?.reject(new Troubled(data.trouble));
      else one?.resolve(data.answer);
    };
    worker.onerror = (event) => this.fail(new Error(event.message));
    worker.onmessageerror = () => this.fail(new Error("unreadable"));
  }

  close(): void {
    this.fail(new Error("closed"));
    this.worker.terminate();
  }

  ask(what: Ask): Promise<string> {
    return new Promise((resolve, reject) => {
      const id = this.count++;
      const late = setTimeout(() => {
        this.waiting.delete(id);
        reject(new Error("no answer"));
      }, PATIENCE_MS[what.kind]);
      const once =
        <T>(done: (answer: T) => void) =>
        (answer: T) => {
          clearTimeout(late);
          done(answer);
        };
      this.waiting.set(id, { resolve: once(resolve), reject: once(reject) });
      this.worker.postMessage({ id, ...what } as WorkerRequest);
    });
  }

  private fail(error: Error): void {
    for (const one of this.waiting.values()) one.reject(error);
    this.waiting.clear();
  }
}

/**
 * Works tries out: over the API until the page's own core is ready, then in the worker. A worker
 * that fails or dies is given up for this page, and the API answers, the failed try first.
 */
export class CoreRunner {
  private line: Line | null = null;
  private opened: { key: string; ready: boolean } | null = null;
  private broken = false;
  private troubles = 0;

  /** Where the last answer came from. */
  by: "page" | "server" = "server";

  constructor(private readonly makeWorker: () => Worker) {}

  /** Begin to load the core, and open a visit as it is at a revision. */
  async open(visitId: string, revision: number): Promise<void> {
    const key = `${visitId}@${revision}`;
    if (this.broken || this.opened?.key === key) return;
    const mine = { key, ready: false };
    this.opened = mine;
    let given: unknown;
    try {
      given = unwrap(
        await api.GET("/api/visits/{visit_id}/given", {
          params: { path: { visit_id: idOf(visitId) }, query: { place: placeOf(visitId) } },
        }),
      );
    } catch {
      if (this.opened === mine) this.opened = null; // the network's fault: tried again next time
      return;
    }
    try {
      this.line ??= new Line(this.makeWorker());
      await this.line.ask({ kind: "open", given: JSON.stringify(given) });
      if (this.opened === mine) mine.ready = true;
    } catch {
      this.giveUp();
    }
  }

  private giveUp(): void {
    this.broken = true;
    this.opened = null;
    this.line?.close();
    this.line = null;
  }

  /** Whether the page's own core holds this visit at this revision. */
  ready(visitId: string, revision: number): boolean {
    return this.opened?.ready === true && this.opened.key === `${visitId}@${revision}`;
  }

  async tryOut(visitId: string, revision: number, trial: WhatIf): Promise<WhatIfResult> {
    if (this.line && this.ready(visitId, revision)) {
      const request = { ...trial, scene: { ...trial.scene } };
      try {
        const answer = await this.line.ask({ kind: "try", request: JSON.stringify(request) });
        this.by = "page";
        this.troubles = 0;
        return JSON.parse(answer) as WhatIfResult;
      } catch (error) {
        this.troubles += 1;
        if (!(error instanceof Troubled) || this.troubles >= MOST_TROUBLES) this.giveUp();
      }
    }
    this.by = "server";
    return unwrap(
      await api.POST("/api/visits/{visit_id}/try", {
        params: { path: { visit_id: idOf(visitId) } },
        body: { ...trial, place: placeOf(visitId) },
      }),
    );
  }
}

/** The visit and the place of it that a bench is held at: `visit#place`, the main one without. */
const idOf = (visit: string) => visit.split("#", 1)[0] ?? visit;
const placeOf = (visit: string) => (visit.split("#")[1] ?? MAIN) as PlaceId;

let runner: CoreRunner | null = null;

/** The one bench of this page. */
export function coreRunner(): CoreRunner {
  runner ??= new CoreRunner(
    () => new Worker(new URL("./core-worker.ts", import.meta.url), { type: "module" }),
  );
  return runner;
}
