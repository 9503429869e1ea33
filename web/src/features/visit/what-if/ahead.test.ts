import { beforeEach, describe, expect, it, vi } from "vitest";
import { createStore } from "zustand/vanilla";
import type { Schemas } from "@/shared/api/client";
import type { ChangeQueue } from "../saving/change-queue";
import { AheadStore } from "./ahead";
import type { CoreRunner } from "./core-runner";

type Scene = Schemas["Scene"];

const VIEW = { unit: "cm", width: 790, height: 690, mode: "both", show: "found", place: "main" };
const drawing = (name: string) => ({ name }) as unknown as Scene;

/** A queue whose fields are put as they would stand. */
class FakeQueue {
  visitId = "v";
  view: typeof VIEW | null = VIEW;
  store = createStore(() => ({ cells: new Map<string, object>() }));
  read = () => this.store.getState();
  listeners = new Set<(answer: object) => void>();
  onAnswer(listener: (answer: object) => void) {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }
  put(path: string, typed: string, state = "waiting") {
    const cells = new Map(this.store.getState().cells).set(path, { typed, state, unit: "cm" });
    this.store.setState({ cells });
  }
  answer(path: string, value: unknown, revision: number) {
    for (const listener of this.listeners) listener({ entry: { path, value }, revision });
  }
}

const runner = {
  ready: vi.fn(),
  open: vi.fn(),
  drawAhead: vi.fn(),
  keep: vi.fn(),
  settle: vi.fn(),
  forget: vi.fn(),
};
let queue: FakeQueue;
let ahead: AheadStore;
const settled = () => vi.advanceTimersByTimeAsync(0);

function followed(place: "main" | "2" = "main") {
  queue = new FakeQueue();
  ahead = new AheadStore(runner as unknown as CoreRunner, queue as unknown as ChangeQueue, place);
  ahead.shown(5);
  return ahead.follow();
}

describe("the drawing ahead of the server", () => {
  beforeEach(() => {
    vi.useFakeTimers();
    for (const spied of Object.values(runner)) spied.mockReset();
    runner.ready.mockReturnValue(true);
    runner.open.mockResolvedValue(undefined);
    runner.settle.mockResolvedValue(undefined);
  });

  it("draws what is on its way, and nothing else", async () => {
    followed();
    runner.drawAhead.mockResolvedValue(drawing("first"));
    queue.put("ask.job", "Tailor", "kept");
    queue.put("look.found.seat", "45");
    await settled();
    expect(runner.drawAhead).toHaveBeenCalledTimes(1);
    const [visit, revision, { changes, scene }] = runner.drawAhead.mock.calls[0] ?? [];
    expect([visit, revision]).toEqual(["v", 5]);
    expect(changes).toEqual([{ path: "look.found.seat", typed: "45", unit: "cm" }]);
    expect(scene).toEqual({ unit: "cm", width: 790, height: 690, mode: "both", show: "found" });
    expect(ahead.store.getState()).toEqual({ drawn: drawing("first"), over: 5, waiting: true });
  });

  it("draws the latest text where several come while it is busy", async () => {
    followed();
    let answer: (drawn: Scene) => void = () => undefined;
    runner.drawAhead.mockReturnValueOnce(
      new Promise((resolve) => {
        answer = resolve;
      }),
    );
    for (const typed of ["4", "45", "45.2"]) queue.put("look.found.seat", typed);
    runner.drawAhead.mockResolvedValue(drawing("last"));
    answer(drawing("first"));
    await settled();
    expect(runner.drawAhead.mock.calls.map(([, , { changes }]) => changes[0].typed)).toEqual([
      "4",
      "45.2",
    ]);
    expect(ahead.store.getState().drawn).toEqual(drawing("last"));
  });

  it("applies what the server has saved, and reopens the visit after a change of consent", async () => {
    followed();
    queue.answer("look.found.seat", 450, 6);
    expect(runner.keep).toHaveBeenCalledWith("v", 6, { "look.found.seat": 450 });
    runner.ready.mockReturnValue(false);
    queue.answer("ask.consent.photos", null, 7);
    expect(runner.keep).toHaveBeenCalledTimes(1);
    expect(runner.forget).toHaveBeenCalledTimes(1);
    await vi.advanceTimersByTimeAsync(2000);
    expect(runner.open).toHaveBeenLastCalledWith("v", 7);
  });

  it("lets go of a drawing whose value was refused, and of one that comes too late", async () => {
    followed();
    runner.drawAhead.mockResolvedValue(drawing("wrong"));
    queue.put("look.found.seat", "4500");
    await settled();
    queue.put("look.found.seat", "4500", "refused");
    expect(ahead.store.getState()).toMatchObject({ drawn: null, waiting: false });
    queue.put("look.found.seat", "45");
    queue.put("look.found.seat", "45", "kept");
    await settled();
    expect(ahead.store.getState()).toMatchObject({ drawn: null, waiting: false });
  });

  it("draws a further place by its own paths, and leaves out what is another place’s", async () => {
    followed("2");
    runner.drawAhead.mockResolvedValue(drawing("place"));
    queue.put("look.found.seat", "40");
    queue.put("place.3.look.found.seat", "41");
    queue.put("place.2.look.found.seat", "42");
    await settled();
    const [visit, , { changes }] = runner.drawAhead.mock.calls.at(-1) ?? [];
    expect(visit).toBe("v#2");
    expect(changes).toEqual([{ path: "look.found.seat", typed: "42", unit: "cm" }]);
  });

  it("is opened while somebody types, gets ready when they rest, and stops when nobody looks", async () => {
    runner.ready.mockReturnValue(false);
    const end = followed();
    await vi.advanceTimersByTimeAsync(2000);
    queue.put("look.found.seat", "45");
    await vi.advanceTimersByTimeAsync(1000);
    expect(runner.open).toHaveBeenCalledWith("v", 5);
    expect(runner.settle).not.toHaveBeenCalled();
    queue.put("look.found.seat", "45", "kept");
    queue.answer("look.found.seat", 450, 6);
    await vi.advanceTimersByTimeAsync(200);
    expect(runner.open).toHaveBeenLastCalledWith("v", 6);
    runner.ready.mockReturnValue(true);
    await vi.advanceTimersByTimeAsync(1500);
    expect(runner.settle).toHaveBeenCalledTimes(1);
    end();
    queue.put("look.found.seat", "46");
    await vi.advanceTimersByTimeAsync(5000);
    expect(runner.drawAhead).toHaveBeenCalledTimes(1);
    expect(runner.settle).toHaveBeenCalledTimes(1);
  });

  it("opens the visit at once as it is now, where it moved on while it was being opened", async () => {
    runner.ready.mockReturnValue(false);
    let opened: () => void = () => undefined;
    runner.open.mockReturnValueOnce(
      new Promise<void>((resolve) => {
        opened = resolve;
      }),
    );
    followed();
    await vi.advanceTimersByTimeAsync(3000);
    queue.answer("look.found.seat", 450, 6);
    expect(runner.open).toHaveBeenCalledTimes(1);
    opened();
    await vi.advanceTimersByTimeAsync(200);
    expect(runner.open).toHaveBeenLastCalledWith("v", 6);
  });
});
