import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { CoreRunner, WhatIf, WhatIfResult } from "./core-runner";
import { WhatIfStore } from "./what-if-store";

const scene = {
  width: 790,
  height: 690,
  mode: "both",
  show: "target",
  unit: "cm",
  grips: false,
} as const;
const place = {
  visitId: "v",
  revision: 1,
  scene,
  unit: "cm" as const,
  working: true,
  isLength: (path: string) => path.endsWith("seat"),
};

/** A runner whose answers come when the test says so. */
class SlowRunner {
  asked: WhatIf[] = [];
  private waiting: ((how: (tell: (tried: WhatIfResult) => void) => void) => void)[] = [];
  by = "page" as const;
  open = async () => undefined;
  ready = () => true;
  tryOut = (_id: string, _revision: number, trial: WhatIf): Promise<WhatIfResult> => {
    this.asked.push(trial);
    return new Promise((resolve, reject) => {
      this.waiting.push((how) => {
        try {
          how(resolve);
        } catch (error) {
          reject(error);
        }
      });
    });
  };
  async answer(some: object): Promise<void> {
    this.waiting.shift()?.((tell) => tell({ rows: [], plans: [], fixes: [], ...some } as never));
    await vi.advanceTimersByTimeAsync(0);
  }
  async fail(words: string): Promise<void> {
    this.waiting.shift()?.(() => {
      throw new Error(words);
    });
    await vi.advanceTimersByTimeAsync(0);
  }
}

describe("the bench of what if", () => {
  let runner: SlowRunner;
  let store: WhatIfStore;
  beforeEach(() => {
    vi.useFakeTimers();
    runner = new SlowRunner();
    store = new WhatIfStore(runner as unknown as CoreRunner);
    store.settle(place);
  });
  afterEach(() => {
    vi.useRealTimers();
  });

  it("works out the latest of what came while it was busy, and nothing between", async () => {
    for (const typed of ["70", "71", "72"]) store.put("work.seated.surface", typed);
    await runner.answer({ excess_deg: 1 });
    await runner.answer({ excess_deg: 2 });
    expect(runner.asked.map((whatIf) => whatIf.overrides["work.seated.surface"])).toEqual([
      "70",
      "72",
    ]);
    expect(store.read().tried?.excess_deg).toBe(2);
  });

  it("draws once an answer while a hand moves, and keeps what is equal", async () => {
    store.put("work.seated.surface", "70");
    await runner.answer({ excess_deg: 1, rows: [{ key: "seat", setting: "46.0" }] });
    const [seat] = store.read().tried?.rows ?? [];
    const mock = vi.fn();
    store.store.subscribe(mock);
    store.put("work.seated.surface", "71");
    expect(mock).not.toHaveBeenCalled();
    await runner.answer({ excess_deg: 2, rows: [{ key: "seat", setting: "46.0" }] });
    expect(mock).toHaveBeenCalledTimes(1);
    expect(store.read().tried?.rows[0]).toBe(seat);
  });

  it("says what went wrong, goes on with the next, and forgets it then", async () => {
    store.put("work.seated.surface", "70");
    await runner.fail("no answer");
    expect(store.read().trouble).toBe("no answer");
    store.put("work.seated.surface", "71");
    await runner.answer({ excess_deg: 3 });
    expect(store.read()).toMatchObject({ trouble: null, by: "page" });
    expect(store.read().tried?.excess_deg).toBe(3);
  });

  it("adds the plans once the hand rests, unless it has moved on", async () => {
    store.put("work.seated.surface", "70");
    await runner.answer({ excess_deg: 1 });
    await vi.advanceTimersByTimeAsync(700);
    expect(runner.asked.at(-1)).toMatchObject({ plans: true, brief: false });
    store.put("work.seated.surface", "71");
    await runner.answer({ excess_deg: 1, plans: [{ tier: "room" }] });
    expect(store.read().tried?.plans).toEqual([]);
    await runner.answer({ excess_deg: 2 });
    await vi.advanceTimersByTimeAsync(700);
    await runner.answer({ excess_deg: 2, plans: [{ tier: "room" }] });
    expect(store.read().tried?.plans).toHaveLength(1);
  });

  it("keeps the unit a number was typed in when another one is set", () => {
    store.put("work.seated.seat", "48");
    store.put("work.number.recline", "12");
    store.settle({ ...place, unit: "in" });
    expect(store.read().tries).toEqual({
      "work.seated.seat": "48 cm",
      "work.number.recline": "12",
    });
  });

  it("compares with a snapshot, and is off again at the best or away from the step", async () => {
    store.put("work.seated.seat", "50");
    store.takeSnapshot();
    await runner.answer({ excess_deg: 1 });
    expect(runner.asked.at(-1)).toMatchObject({
      against: { "work.seated.seat": "50" },
      behind: true,
    });
    store.settle({ ...place, working: false });
    expect(store.read()).toMatchObject({ on: false, tried: undefined });
    store.settle(place);
    expect(store.read().on).toBe(true);
    store.toBest();
    expect(store.read()).toMatchObject({ on: false, tries: {}, snapshot: null });
    await runner.answer({ excess_deg: 9 });
    expect(store.read().tried).toBeUndefined();
  });
});
