/// <reference lib="webworker" />
import { CORE, PROGRAM, PYTHON, WHEELS } from "virtual:core-in-page";
import type { Ask, WorkerRequest, WorkerResponse } from "./messages";

/**
 * The program's own Python in the page: the same files the server runs. Its core comes at once; what
 * answers without network comes when it is asked for the first time.
 */

type Proxy = { destroy(): void };
type WhatIfSession = Proxy & { try_out(request: string): string };
type DeviceSession = Proxy & { take(visit: string): void; handle(request: string): string };
type Python = {
  FS: {
    mkdirTree(path: string): void;
    writeFile(path: string, text: string): void;
  };
  unpackArchive(bytes: ArrayBuffer, format: "wheel"): void;
  runPython(code: string): unknown;
};

const text = (at: string) => fetch(at).then((answer) => answer.json() as Promise<Files>);
type Files = Record<string, string>;

function write(python: Python, files: Files): void {
  for (const [path, content] of Object.entries(files)) {
    const at = `/home/pyodide/${path}`;
    python.FS.mkdirTree(at.slice(0, at.lastIndexOf("/")));
    python.FS.writeFile(at, content);
  }
}

async function start(): Promise<Python> {
  const [{ loadPyodide }, files] = await Promise.all([
    import(/* @vite-ignore */ `${PYTHON}pyodide.mjs`),
    text(CORE),
  ]);
  const python: Python = await loadPyodide({ indexURL: PYTHON });
  write(python, files);
  return python;
}

async function startBench(): Promise<(given: string) => WhatIfSession> {
  const python = await started;
  // what is loaded now stays, and nothing is tidied while a hand moves: both would cost a third of
  // some answers
  return python.runPython(
    "import gc\nfrom gentle_plumb.core.what_if import JsonWhatIfSession\n" +
      "gc.freeze()\ngc.disable()\nJsonWhatIfSession",
  ) as (given: string) => WhatIfSession;
}

async function startProgram(): Promise<(belongings: string) => DeviceSession> {
  const python = await started;
  const [files, ...wheels] = await Promise.all([
    text(PROGRAM),
    ...WHEELS.map((at) => fetch(at).then((answer) => answer.arrayBuffer())),
  ]);
  for (const wheel of wheels) python.unpackArchive(wheel, "wheel");
  write(python, files);
  return python.runPython("from gentle_plumb.on_device import DeviceSession\nDeviceSession") as (
    belongings: string,
  ) => DeviceSession;
}

/** How long nothing has to be asked before memory is tidied. */
const RESTED_MS = 2000;
let rested: ReturnType<typeof setTimeout> | undefined;
const started = start();
let makeBench: ReturnType<typeof startBench> | undefined;
let makeDevice: ReturnType<typeof startProgram> | undefined;
let bench: WhatIfSession | null = null;
let device: DeviceSession | null = null;
const tell = (message: WorkerResponse) => postMessage(message);

async function answer(asked: Ask): Promise<string> {
  switch (asked.kind) {
    case "open": {
      makeBench ??= startBench();
      const make = await makeBench;
      bench?.destroy();
      bench = make(asked.given);
      return "";
    }
    case "try":
      if (!bench) throw new Error("no bench is open");
      return bench.try_out(asked.request);
    case "begin": {
      makeDevice ??= startProgram();
      const make = await makeDevice;
      device?.destroy();
      device = make(asked.belongings);
      return "";
    }
    case "take":
      if (!device) throw new Error("nothing has begun");
      device.take(asked.visit);
      return "";
    case "ask":
      if (!device) throw new Error("nothing has begun");
      return device.handle(asked.request);
  }
}

addEventListener("message", async ({ data }: MessageEvent<WorkerRequest>) => {
  clearTimeout(rested);
  try {
    tell({ id: data.id, answer: await answer(data) });
  } catch (error) {
    tell({ id: data.id, trouble: String(error) });
  }
  rested = setTimeout(
    () => void started.then((python) => python.runPython("import gc; gc.collect()")),
    RESTED_MS,
  );
});
