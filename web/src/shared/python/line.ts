import type { Ask, WorkerRequest, WorkerResponse } from "./messages";

type Waiting = { resolve: (answer: string) => void; reject: (error: Error) => void };

/** What Python has no answer to after this long is taken elsewhere; all but a try may load it first. */
const PATIENCE_MS = {
  try: 4000,
  ahead: 4000,
  keep: 4000,
  settle: 30_000,
  open: 90_000,
  begin: 120_000,
  take: 120_000,
  ask: 120_000,
};

/** What a worker said of one thing asked, as against a worker that does not answer. */
export class Troubled extends Error {}

/** The program's own Python in a worker of this page. */
export function pythonWorker(): Worker {
  return new Worker(new URL("./python-worker.ts", import.meta.url), { type: "module" });
}

/** Asks a worker and pairs its answers with what was asked. */
export class Line {
  private readonly waiting = new Map<number, Waiting>();
  private count = 0;

  constructor(private readonly worker: Worker) {
    worker.onmessage = ({ data }: MessageEvent<WorkerResponse>) => {
      const waiting = this.waiting.get(data.id);
      this.waiting.delete(data.id);
      if ("trouble" in data) waiting?.reject(new Troubled(data.trouble));
      else waiting?.resolve(data.answer);
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
    for (const waiting of this.waiting.values()) waiting.reject(error);
    this.waiting.clear();
  }
}
