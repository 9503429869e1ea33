import { t } from "@lingui/core/macro";
import { replaceEqualDeep } from "@tanstack/react-query";
import { createStore, type StoreApi } from "zustand/vanilla";
import type { Unit } from "@/shared/api/client";
import type { CoreRunner, WhatIf, WhatIfResult } from "./core-runner";

export type WhatIfOverrides = Readonly<Record<string, string>>;
export type Base = { label: string; tries: WhatIfOverrides; found: boolean };

/** What is tried upon: a visit at a revision, drawn at a size; whether the bench is open at all. */
export type Place = {
  /** The visit, with `#` and its identifier where it is a further place of it. */
  visitId: string;
  revision: number;
  scene: WhatIf["scene"] | null;
  unit: Unit;
  working: boolean;
  /** Whether a field holds a length, which is read in the unit that is set. */
  isLength: (path: string) => boolean;
};

export type WhatIfState = {
  /** What is tried, by field; nothing is kept until somebody says so. */
  tries: WhatIfOverrides;
  /** Everything else as it was found. */
  found: boolean;
  /** Whether anything is tried at all. */
  on: boolean;
  tried: WhatIfResult | undefined;
  /** Where the last answer came from. */
  by: "page" | "server";
  ready: boolean;
  trouble: string | null;
  /** What it is compared with, drawn behind; null for what is kept. */
  snapshot: Base | null;
  /** A name for what is tried, where it has one. */
  label: string | null;
};

const PLANS_AFTER_MS = 600;
const NOTHING = { tries: {}, found: false, snapshot: null, label: null };
const AT_FIRST: WhatIfState = {
  ...NOTHING,
  on: false,
  tried: undefined,
  by: "server",
  ready: false,
  trouble: null,
};

/**
 * The bench of "what if": tries are worked out as fast as they come, the latest one wins. It lives
 * outside of what draws it, so that a hand that moves has only what moves drawn again.
 */
export class WhatIfStore {
  /** What is tried and what it comes to, for whoever draws it. */
  readonly store: StoreApi<WhatIfState> = createStore(() => AT_FIRST);
  private place: Place | null = null;
  private present: WhatIf | null = null;
  private latest: WhatIf | null = null;
  private busy = false;
  private plansTimer: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly runner: CoreRunner) {}

  /** What is tried, with what was put there quietly. */
  private state: WhatIfState = AT_FIRST;
  read = (): WhatIfState => this.state;

  /** Where the trial takes place from now on. */
  settle(place: Place): void {
    const before = this.place;
    this.place = place;
    const moved = before?.visitId !== place.visitId || before.revision !== place.revision;
    if (place.working && (moved || !before?.working))
      void this.runner
        .open(place.visitId, place.revision)
        .then(() => this.tell({ ready: this.ready() }));
    const { tries, snapshot } = this.state;
    const kept = (some: WhatIfOverrides) =>
      before && before.unit !== place.unit ? withUnit(some, before.unit, place.isLength) : some;
    this.change({
      ready: this.ready(),
      tries: kept(tries),
      snapshot: snapshot && { ...snapshot, tries: kept(snapshot.tries) },
    });
  }

  put = (path: string, typed: string): void => {
    const tries: Record<string, string> = { ...this.state.tries, [path]: typed };
    if (!typed) delete tries[path];
    // what was typed stands in its field already: the rest is drawn once, with the answer
    this.change({ tries, label: null }, this.state.tried !== undefined);
  };
  toBest = (): void => this.change(NOTHING);
  toFound = (): void => this.change({ tries: {}, found: true, label: null });
  takeSnapshot = (): void => {
    const { tries, found } = this.state;
    this.change({ snapshot: { label: t`the snapshot`, tries, found } });
  };
  dropSnapshot = (): void => this.change({ snapshot: null });

  /** Lay one bundle over another. */
  compare(first: Base, second: Base): void {
    this.change({ found: false, snapshot: first, tries: second.tries, label: second.label });
  }

  /** What something else would come to, without trying it here. */
  async ask(tries: WhatIfOverrides): Promise<WhatIfResult> {
    const { visitId, revision, unit } = this.open();
    return this.runner.tryOut(visitId, revision, {
      overrides: tries,
      unit,
      scene: { width: 400, height: 400, mode: "seated", show: "target", unit, grips: false },
      against: null,
      behind: false,
      plans: false,
      found: false,
      brief: true,
    });
  }

  private ready(): boolean {
    return this.place !== null && this.runner.ready(this.place.visitId, this.place.revision);
  }

  private open(): Place {
    if (!this.place) throw new Error("nothing to try on yet");
    return this.place;
  }

  private tell(some: Partial<WhatIfState>): void {
    this.state = { ...this.state, ...some };
    this.store.setState(this.state, true);
  }

  private change(some: Partial<WhatIfState>, quietly = false): void {
    const next = { ...this.state, ...some };
    const { working, scene } = this.place ?? { working: false, scene: null };
    next.on = working && (next.found || !!next.snapshot || Object.keys(next.tries).length > 0);
    if (!next.on) next.tried = undefined;
    this.present = next.on && scene ? this.request(next, scene) : null;
    this.latest = this.present;
    if (quietly && this.latest) this.state = next;
    else this.tell(next);
    clearTimeout(this.plansTimer);
    if (!this.latest) return;
    this.plansTimer = setTimeout(this.addPlans, PLANS_AFTER_MS, this.latest);
    if (!this.busy) void this.work();
  }

  private request({ tries, snapshot, found }: WhatIfState, scene: WhatIf["scene"]): WhatIf {
    return {
      overrides: tries,
      unit: this.open().unit,
      scene,
      against: snapshot ? snapshot.tries : null,
      behind: snapshot !== null,
      plans: false,
      found,
      brief: true,
    };
  }

  private async work(): Promise<void> {
    this.busy = true;
    while (this.latest) {
      const mine = this.latest;
      this.latest = null;
      try {
        const { visitId, revision } = this.open();
        const answer = await this.runner.tryOut(visitId, revision, mine);
        if (this.state.on) this.show(answer);
      } catch (error) {
        this.tell({ trouble: error instanceof Error ? error.message : String(error) });
      }
    }
    this.busy = false;
  }

  private show(answer: WhatIfResult): void {
    const last = this.state.tried;
    // what is equal stays the same object, so that it is not drawn again
    const tried = last ? replaceEqualDeep(last, { ...answer, ...atRest(last) }) : answer;
    this.tell({ tried, by: this.runner.by, trouble: null });
  }

  /** Once the hand rests: with the plans, and with what rows rest on. */
  private addPlans = (mine: WhatIf): void => {
    const { visitId, revision } = this.open();
    void this.runner
      .tryOut(visitId, revision, { ...mine, plans: true, brief: false })
      .then((tried) => {
        if (this.present === mine) this.tell({ tried });
      })
      .catch(() => undefined);
  };
}

/** What is worked out only once the hand rests. */
function atRest({
  plans,
  fixes,
  resolved: gone,
  new: come,
  unchanged: stays,
}: WhatIfResult): Partial<WhatIfResult> {
  return { plans, fixes, resolved: gone, new: come, unchanged: stays };
}

/** Bare numbers keep the unit they were typed in when another one is set. */
function withUnit(
  tries: WhatIfOverrides,
  unit: Unit,
  isLength: (path: string) => boolean,
): WhatIfOverrides {
  return Object.fromEntries(
    Object.entries(tries).map(([path, typed]) => [
      path,
      isLength(path) && /^[\d.,\s]+$/.test(typed) ? `${typed} ${unit}` : typed,
    ]),
  );
}
