import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { gzipSync } from "node:zlib";
import type { Plugin } from "vite";

const PYODIDE = [
  "pyodide.mjs",
  "pyodide.asm.mjs",
  "pyodide.asm.wasm",
  "python_stdlib.zip",
  "pyodide-lock.json",
]; // prettier-ignore
const ID = "virtual:core-in-page";
/** What works a visit out, and what answers for it without network, each by its packages. */
const CORE = ["core"];
const PROGRAM = ["services", "schemas", "on_device"];

type Files = Record<string, string>;

/** Every Python file of some packages, by its path. */
function filesOf(source: string, packages: readonly string[]): Files {
  const files: Files = {};
  const walk = (folder: string) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isDirectory() && entry.name !== "__pycache__") walk(path);
      else if (entry.name.endsWith(".py"))
        files[relative(source, path)] = readFileSync(path, "utf8");
    }
  };
  for (const name of packages) walk(join(source, "gentle_plumb", name));
  files["gentle_plumb/__init__.py"] = "";
  return files;
}

function asset(name: string, files: Files) {
  const text = JSON.stringify(files);
  const digest = createHash("sha256").update(text).digest("hex").slice(0, 12);
  return { file: `assets/${name}-${digest}.json`, text };
}

/**
 * Ships the program's own Python and the interpreter that runs it, under names that change with what
 * they hold, so that a browser keeps them.
 */
export function coreInPage(): Plugin {
  const source = new URL("../src", import.meta.url).pathname;
  const interpreter = new URL("./node_modules/pyodide/", import.meta.url).pathname;
  const fetched = new URL("./wheels/", import.meta.url).pathname;
  const { version } = JSON.parse(readFileSync(join(interpreter, "package.json"), "utf8"));
  const wheels = existsSync(fetched) ? readdirSync(fetched).sort() : [];
  const core = asset("core", filesOf(source, CORE));
  const program = asset("program", filesOf(source, PROGRAM));
  const folder = `assets/python-${version}`;
  return {
    name: "core-in-page",
    resolveId: (id) => (id === ID ? `\0${ID}` : null),
    load: (id) =>
      id === `\0${ID}`
        ? `export const CORE = "/${core.file}"; export const PROGRAM = "/${program.file}";
           export const PYTHON = "/${folder}/";
           export const WHEELS = ${JSON.stringify(wheels.map((name) => `/${folder}/${name}`))};`
        : null,
    generateBundle() {
      const both = (fileName: string, source: Uint8Array) => {
        this.emitFile({ type: "asset", fileName, source });
        this.emitFile({ type: "asset", fileName: `${fileName}.gz`, source: gzipSync(source) });
      };
      both(core.file, Buffer.from(core.text));
      both(program.file, Buffer.from(program.text));
      for (const name of PYODIDE) both(`${folder}/${name}`, readFileSync(join(interpreter, name)));
      for (const name of wheels)
        this.emitFile({
          type: "asset",
          fileName: `${folder}/${name}`,
          source: readFileSync(join(fetched, name)),
        });
    },
  };
}
