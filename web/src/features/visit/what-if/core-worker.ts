/// <reference lib="webworker" />
import { CORE, PYTHON } from "virtual:core-in-page";
import type { WorkerRequest, WorkerResponse } from "./worker-messages";

/**
 * The program's own Python core in the page: the same files the server runs. A bench is opened with
 * what a visit is worked through from, then asked in JSON and answered in JSON.
 */

type WhatIfSession = { try_out(request: string): string; destroy(): void };
type Python = {
  FS: {
    mkdirTree(path: string): void;
    writeFile(path: string, text: string): void;
  };
  runPython(code: string): unknown;
};

async function start(): Promise<(given: string) => WhatIfSession> {
  const [{ loadPyodide }, files] = await Promise.all([
    import(/* @vite-ignore */ `${PYTHON}pyodide.mjs`),
    fetch(CORE).then((answer) => answer.json() as Promise<Record<string, string>>),
  ]);
  const python: Python = await loadPyodide({ indexURL: PYTHON });
  for (const [path, text] of Object.entries(files)) {
    const at = `/home/pyodide/${path}`;
    python.FS.mkdirTree(at.slice(0, at.lastIndexOf("/")));
    python.FS.writeFile(at, text);
  }
  tidy = () => void python.runPython("gc.collect()");
  // what is loaded now stays, and nothing is tidied while a hand moves: both would cost a third of
  // some answers
  return python.runPython(
    "import gc\nfrom gentle_plumb.core.what_if import JsonWhatIfSession\n" +
      "gc.freeze()\ngc.disable()\nJsonWhatIfSession",
  ) as (given: string) => WhatIfSession;
}

/** How long nothing has to be asked before memory is tidied. */
const RESTED_MS = 2000;
let tidy = (): void => undefined;
let rested: ReturnType<typeof setTimeout> | undefined;
const started = start();
let bench: WhatIfSession | null = null;
const tell = (message: WorkerResponse) => postMessage(message);

addEventListener("message", async ({ data }: MessageEvent<WorkerRequest>) => {
  clearTimeout(rested);
  try {
    const makeBench = await started;
    if (data.kind === "open") {
      bench?.destroy();
      bench = makeBench(data.given);
      tell({ id: data.id, answer: "" });
    } else if (bench) tell({ id: data.id, answer: bench.try_out(data.request) });
  } catch (error) {
    tell({ id: data.id, trouble: String(error) });
  }
  rested = setTimeout(() => tidy(), RESTED_MS);
});
