/// <reference lib="webworker" />
import { COMPILED, CORE, PROGRAM, PYTHON, WHEELS } from "virtual:core-in-page";
import type { Ask, WorkerRequest, WorkerResponse } from "./messages";

/**
 * The program's own Python in the page: the files the server runs, compiled when the page was built. Its core
 * comes at once; what answers without network comes when it is asked for the first time.
 */

type Proxy = { destroy(): void };
type WhatIfSession = Proxy & {
  try_out(request: string): string;
  draw_ahead(request: string): string;
  keep(values: string): void;
  settle(request: string): void;
};
type DeviceSession = Proxy & { take(visit: string): void; handle(request: string): string };
type Python = {
  unpackArchive(
    bytes: ArrayBuffer,
    format: "wheel" | "zip",
    options?: { extractDir: string },
  ): void;
  runPython(code: string): unknown;
};

const HOME = "/home/pyodide";
const bytes = (text: string) => fetch(text).then((answer) => answer.arrayBuffer());

async function start(): Promise<Python> {
  const [{ loadPyodide }, core] = await Promise.all([
    import(/* @vite-ignore */ `${PYTHON}pyodide.mjs`),
    bytes(CORE),
  ]);
  const python: Python = await loadPyodide({ indexURL: PYTHON });
  python.unpackArchive(core, "zip", { extractDir: HOME });
  return python;
}

async function startBench(): Promise<(given: string, language: string) => WhatIfSession> {
  const python = await started;
  // what is loaded now stays, and nothing is tidied while a hand moves: both would cost a third of
  // some answers
  return python.runPython(
    "import gc\nfrom gentle_plumb.core.what_if import JsonWhatIfSession\n" +
      "gc.freeze()\ngc.disable()\nJsonWhatIfSession",
  ) as (given: string, language: string) => WhatIfSession;
}

async function startProgram(): Promise<(belongings: string) => DeviceSession> {
  const python = await started;
  const [program, compiled, ...wheels] = await Promise.all(
    [PROGRAM, COMPILED, ...WHEELS].map(bytes),
  );
  for (const wheel of wheels) python.unpackArchive(wheel, "wheel");
  const packages = python.runPython("import sysconfig; sysconfig.get_path('purelib')") as string;
  if (compiled) python.unpackArchive(compiled, "zip", { extractDir: packages });
  if (program) python.unpackArchive(program, "zip", { extractDir: HOME });
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

function opened(): WhatIfSession {
  if (!bench) throw new Error("no visit is open");
  return bench;
}

async function answer(asked: Ask): Promise<string> {
  switch (asked.kind) {
    case "open": {
      makeBench ??= startBench();
      const make = await makeBench;
      bench?.destroy();
      bench = make(asked.given, asked.language);
      return "";
    }
    case "try":
      return opened().try_out(asked.request);
    case "ahead":
      return opened().draw_ahead(asked.request);
    case "keep":
      opened().keep(asked.values);
      return "";
    case "settle":
      opened().settle(asked.request);
      return "";
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
