import { useEffect, useMemo } from "react";
import { useStore } from "zustand";
import { createStore, type StoreApi } from "zustand/vanilla";
import type { Schemas } from "@/shared/api/client";
import { MAIN, type PlaceId, pathWithin } from "../at-place";
import type { ChangeQueue } from "../saving/change-queue";
import { useRecording } from "../state/recording";
import type { Workup } from "../state/workup";
import { type AheadRequest, type CoreRunner, coreRunner } from "./core-runner";

/** How long a visit has been open before the core is loaded into the page, ms, so that the visit itself loads first. House value. */
const LOADED_AFTER_MS = 2500;
/** How soon the visit is reopened in the page's core if it has changed meanwhile, ms. House value. */
const AGAIN_AFTER_MS = 100;
/** How long a pause in typing lasts before the core prepares the next drawing, ms. House value. */
const RESTED_MS = 1200;
const CONSENT = "ask.consent.";

type Changes = AheadRequest["changes"];
type AheadState = {
  drawn: Schemas["Scene"] | null;
  /** The visit's revision that it was drawn over. */
  over: number;
  /** Whether something typed is still on its way to the server. */
  waiting: boolean;
};

/**
 * Draws what has just been typed with the core in the page, until the server has answered. The latest text
 * wins. If the core is not loaded, or fails, the drawing waits for the server.
 */
export class AheadStore {
  readonly store: StoreApi<AheadState> = createStore<AheadState>(() => ({
    drawn: null,
    over: -1,
    waiting: false,
  }));
  private readonly visit: string;
  private revision = -1;
  private asked = "[]";
  private next: Changes | null = null;
  private busy = false;
  private follows = false;
  private opening: ReturnType<typeof setTimeout> | undefined;
  private settling: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly runner: CoreRunner,
    private readonly queue: ChangeQueue,
    private readonly place: PlaceId,
  ) {
    this.visit = place === MAIN ? queue.visitId : `${queue.visitId}#${place}`;
  }

  /** Start following what is typed; call the returned function to stop. */
  follow(): () => void {
    const ends = [
      this.queue.store.subscribe(() => this.typed()),
      this.queue.onAnswer((answer) => this.kept(answer)),
      () => clearTimeout(this.settling),
    ];
    this.follows = true;
    this.openSoon(LOADED_AFTER_MS);
    return () => {
      for (const end of ends) end();
      this.follows = false;
      clearTimeout(this.opening);
      this.opening = undefined;
    };
  }

  /** The visit is now shown at this revision. */
  shown(revision: number): void {
    if (revision === this.revision) return;
    this.revision = revision;
    if (this.follows) this.openSoon(LOADED_AFTER_MS);
  }

  private typed(): void {
    const changes: Changes = [...this.queue.read().cells].flatMap(([path, cell]) => {
      const own = cell.state === "waiting" ? pathWithin(path, this.place) : null;
      return own === null ? [] : [{ path: own, typed: cell.typed, unit: cell.unit ?? "cm" }];
    });
    const asked = JSON.stringify(changes);
    if (asked === this.asked) return;
    this.asked = asked;
    if (changes.length === 0) {
      this.store.setState(this.refused() ? { drawn: null, waiting: false } : { waiting: false });
      this.settleSoon();
      return;
    }
    clearTimeout(this.settling);
    this.store.setState({ waiting: true });
    this.next = changes;
    void this.work();
  }

  /** Whether a change was refused: a drawing that includes it would be wrong. */
  private refused(): boolean {
    return [...this.queue.read().cells.values()].some(
      ({ state }) => state === "refused" || state === "stale",
    );
  }

  private async work(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    while (this.next) {
      const [changes, over] = [this.next, this.revision];
      this.next = null;
      const request = this.request(changes);
      const drawn = request && (await this.runner.drawAhead(this.visit, over, request));
      // once the server has answered, its drawing is shown
      if (drawn && this.store.getState().waiting) this.store.setState({ drawn, over });
    }
    this.busy = false;
  }

  private kept({ entry, revision }: Schemas["ChangeAnswer"]): void {
    const own = pathWithin(entry.path, this.place);
    if (entry.path.startsWith(CONSENT)) this.runner.forget();
    else this.runner.keep(this.visit, revision, own === null ? {} : { [own]: entry.value });
    this.revision = Math.max(this.revision, revision);
    this.openSoon(AGAIN_AFTER_MS);
    this.settleSoon();
  }

  /** Open the visit in the page's core at its current revision, even while somebody is typing. */
  private openSoon(after: number): void {
    if (this.opening !== undefined || this.runner.ready(this.visit, this.revision)) return;
    this.opening = setTimeout(async () => {
      const { revision } = this;
      if (revision >= 0 && this.queue.view) {
        await this.runner.open(this.visit, revision);
        if (this.runner.ready(this.visit, revision)) this.settleSoon();
      }
      this.opening = undefined;
      if (this.follows && revision !== this.revision) this.openSoon(AGAIN_AFTER_MS);
    }, after);
  }

  /** Prepare the next drawing once nobody has typed for a while. */
  private settleSoon(): void {
    clearTimeout(this.settling);
    this.settling = setTimeout(() => {
      const request = this.request([]);
      if (request) void this.runner.settle(this.visit, this.revision, request);
    }, RESTED_MS);
  }

  private request(changes: Changes): AheadRequest | null {
    const { view } = this.queue;
    if (!view) return null;
    const { place: _place, body: _body, plans: _plans, ...scene } = view;
    return { changes, unit: view.unit, scene };
  }
}

/** The drawing to show: from the core in the page while a change is being saved, otherwise the server's. */
export function useAhead(
  drawnVisit: Workup | undefined,
  away: boolean,
): { drawn: Schemas["Scene"] | null; shown: boolean } {
  const { kept, place } = useRecording();
  const ahead = useMemo(() => new AheadStore(coreRunner(), kept, place), [kept, place]);
  const revision = drawnVisit?.revision ?? -1;
  useEffect(() => (away ? undefined : ahead.follow()), [ahead, away]);
  useEffect(() => ahead.shown(revision), [ahead, revision]);
  const { drawn, over, waiting } = useStore(ahead.store);
  return { drawn, shown: drawn !== null && (waiting || over >= revision) };
}
