import { i18n } from "@lingui/core";
import { api, type Schemas, type Unit, unwrap } from "@/shared/api/client";
import type { View } from "@/shared/api/queries";
import { Line, pythonWorker, Troubled } from "@/shared/python/line";
import { MAIN, type PlaceId } from "../at-place";

export type WhatIf = Omit<Schemas["WhatIf"], "place">;
export type WhatIfResult = Schemas["WhatIfResult"];

/** What has been typed but not saved, and how to draw the visit with it. */
export type AheadRequest = {
  changes: readonly { path: string; typed: string; unit: Unit }[];
  unit: Unit;
  scene: Omit<View, "place" | "body" | "plans">;
};
type Scene = Schemas["Scene"];

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
    const key = held(visitId, revision);
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
      await this.line.ask({
        kind: "open",
        given: JSON.stringify(given),
        language: i18n.locale || "en",
      });
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
    return this.opened?.ready === true && this.opened.key === held(visitId, revision);
  }

  /** The visit drawn with what has just been typed; null if the page's core does not hold that revision. */
  async drawAhead(visitId: string, revision: number, request: AheadRequest): Promise<Scene | null> {
    if (!this.line || !this.ready(visitId, revision)) return null;
    try {
      const answer = await this.line.ask({ kind: "ahead", request: JSON.stringify(request) });
      return JSON.parse(answer) as Scene;
    } catch (error) {
      if (!(error instanceof Troubled)) this.giveUp();
      return null;
    }
  }

  /** Apply a change that the server has saved, so that the visit need not be reopened. */
  keep(visitId: string, revision: number, values: Record<string, unknown>): void {
    if (!this.line || !this.ready(visitId, revision - 1)) return;
    this.opened = { key: held(visitId, revision), ready: true };
    void this.line.ask({ kind: "keep", values: JSON.stringify(values) }).catch(() => this.giveUp());
  }

  /** Prepare the next drawing in a pause when nobody is typing. */
  async settle(visitId: string, revision: number, request: AheadRequest): Promise<void> {
    if (!this.line || !this.ready(visitId, revision)) return;
    await this.line
      .ask({ kind: "settle", request: JSON.stringify(request) })
      .catch((error) => error instanceof Troubled || this.giveUp());
  }

  /** Close the visit, since more than one value has changed; it is reopened before its next use. */
  forget(): void {
    this.opened = null;
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

/** What a visit is held under: in another language it is opened anew. */
const held = (visitId: string, revision: number) => `${visitId}@${revision}@${i18n.locale}`;

/** The visit and the place of it that a bench is held at: `visit#place`, the main one without. */
const idOf = (visit: string) => visit.split("#", 1)[0] ?? visit;
const placeOf = (visit: string) => (visit.split("#")[1] ?? MAIN) as PlaceId;

let runner: CoreRunner | null = null;

/** The one bench of this page. */
export function coreRunner(): CoreRunner {
  runner ??= new CoreRunner(pythonWorker);
  return runner;
}
