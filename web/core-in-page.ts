import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
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

/** Every file of the core, by its path as a package. */
function coreFiles(source: string): Record<string, string> {
  const files: Record<string, string> = {};
  const walk = (folder: string) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isDirectory() && entry.name !== "__pycache__") walk(path);
      else if (entry.name.endsWith(".py"))
        files[relative(source, path)] = readFileSync(path, "utf8");
    }
  };
  walk(join(source, "gentle_plumb", "core"));
  files["gentle_plumb/__init__.py"] = "";
  return files;
}

/**
 * Ships the program's own Python core and the interpreter that runs it, under names that change
 * with what they hold, so that a browser keeps them.
 */
export function coreInPage(): Plugin {
  const source = new URL("../src", import.meta.url).pathname;
  const interpreter = new URL("./node_modules/pyodide/", import.meta.url).pathname;
  const { version } = JSON.parse(readFileSync(join(interpreter, "package.json"), "utf8"));
  const core = JSON.stringify(coreFiles(source));
  const digest = createHash("sha256").update(core).digest("hex").slice(0, 12);
  const folder = `assets/python-${version}`;
  const file = `assets/core-${digest}.json`;
  return {
    name: "core-in-page",
    resolveId: (id) => (id === ID ? `\0${ID}` : null),
    load: (id) =>
      id === `\0${ID}`
        ? `export const CORE = "/${file}"; export const PYTHON = "/${folder}/";`
        : null,
    generateBundle() {
      const both = (fileName: string, source: Uint8Array) => {
        this.emitFile({ type: "asset", fileName, source });
        this.emitFile({ type: "asset", fileName: `${fileName}.gz`, source: gzipSync(source) });
      };
      both(file, Buffer.from(core));
      for (const name of PYODIDE) both(`${folder}/${name}`, readFileSync(join(interpreter, name)));
    },
  };
}
