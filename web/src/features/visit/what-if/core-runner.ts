import { api, type Schemas, unwrap } from "@/shared/api/client";
import { Line, pythonWorker, Troubled } from "@/shared/python/line";
import { MAIN, type PlaceId } from "../at-place";

export type WhatIf = Omit<Schemas["WhatIf"], "place">;
export type WhatIfResult = Schemas["WhatIfResult"];

const MOST_TROUBLES = 3;

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
        await api.GET("/api/visits/{visit_id}/input", {
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
      await api.POST("/api/visits/{visit_id}/what-if", {
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
  runner ??= new CoreRunner(pythonWorker);
  return runner;
}
