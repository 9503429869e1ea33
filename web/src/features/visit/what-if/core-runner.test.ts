import { beforeEach, describe, expect, it, vi } from "vitest";

const GET = vi.fn();
const POST = vi.fn();
vi.mock("@/shared/api/client", () => ({
  api: { GET: (...all: unknown[]) => GET(...all), POST: (...all: unknown[]) => POST(...all) },
  unwrap: (answer: { data: unknown }) => answer.data,
}));

import { CoreRunner, type WhatIf } from "./core-runner";

const trial = { tries: {}, unit: "cm", scene: {} } as unknown as WhatIf;

/** A worker that answers what it is told to. */
class FakeWorker {
  onmessage: ((event: MessageEvent) => void) | null = null;
  onerror: ((event: ErrorEvent) => void) | null = null;
  onmessageerror: (() => void) | null = null;
  terminated = false;
  constructor(readonly answers: (what: { kind: string }) => object | null) {}
  postMessage(what: { id: number; kind: string }) {
    const answer = this.answers(what);
    const data = { id: what.id, ...answer };
    if (answer) queueMicrotask(() => this.onmessage?.({ data } as MessageEvent));
  }
  terminate() {
    this.terminated = true;
  }
}

let worker: FakeWorker;
const runnerWith = (answers: (what: { kind: string }) => object | null) =>
  new CoreRunner(() => {
    worker = new FakeWorker(answers);
    return worker as unknown as Worker;
  });

describe("the core runner", () => {
  beforeEach(() => {
    GET.mockReset().mockResolvedValue({ data: { values: {} } });
    POST.mockReset().mockResolvedValue({ data: { excess_deg: 1 } });
  });

  it("asks the server until the page’s own core holds the visit", async () => {
    const runner = runnerWith(() => ({ answer: '{"excess_deg":2}' }));
    expect((await runner.tryOut("v", 1, trial)).excess_deg).toBe(1);
    await runner.open("v", 1);
    expect((await runner.tryOut("v", 1, trial)).excess_deg).toBe(2);
    expect(runner.by).toBe("page");
    expect(POST).toHaveBeenCalledTimes(1);
  });

  it("asks the server again once the visit has moved on", async () => {
    const runner = runnerWith(() => ({ answer: '{"excess_deg":2}' }));
    await runner.open("v", 1);
    expect((await runner.tryOut("v", 2, trial)).excess_deg).toBe(1);
    expect(runner.by).toBe("server");
  });

  it("stays with the server where the worker fails", async () => {
    const runner = runnerWith(() => ({ trouble: "no room" }));
    await runner.open("v", 1);
    expect((await runner.tryOut("v", 1, trial)).excess_deg).toBe(1);
    await runner.open("v", 1);
    expect(GET).toHaveBeenCalledTimes(1);
  });

  it("takes a try to the server when the worker dies over it", async () => {
    const runner = runnerWith(({ kind }) => (kind === "open" ? { answer: "" } : null));
    await runner.open("v", 1);
    const tried = runner.tryOut("v", 1, trial);
    worker.onerror?.({ message: "out of memory" } as ErrorEvent);
    expect((await tried).excess_deg).toBe(1);
    expect(runner.by).toBe("server");
    expect(worker.terminated).toBe(true);
  });

  it("takes a try to the server when the worker does not answer", async () => {
    const runner = runnerWith(({ kind }) => (kind === "open" ? { answer: "" } : null));
    await runner.open("v", 1);
    vi.useFakeTimers();
    const tried = runner.tryOut("v", 1, trial);
    await vi.advanceTimersByTimeAsync(4000);
    vi.useRealTimers();
    expect((await tried).excess_deg).toBe(1);
  });

  it("opens again after the network failed", async () => {
    GET.mockRejectedValueOnce(new TypeError("offline"));
    const runner = runnerWith(() => ({ answer: '{"excess_deg":2}' }));
    await runner.open("v", 1);
    expect(runner.ready("v", 1)).toBe(false);
    await runner.open("v", 1);
    expect((await runner.tryOut("v", 1, trial)).excess_deg).toBe(2);
  });
});
