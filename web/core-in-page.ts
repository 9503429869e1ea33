import { createHash } from "node:crypto";
import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { gzipSync } from "node:zlib";
import { loadPyodide } from "pyodide";
import type { Plugin } from "vite";

const PYODIDE = [
  "pyodide.mjs",
  "pyodide.asm.mjs",
  "pyodide.asm.wasm",
  "python_stdlib.zip",
  "pyodide-lock.json",
];
const HOME = "/home/pyodide";
const ID = "virtual:core-in-page";
/** What works a visit out, and what answers for it without network, each by its packages. */
const CORE = ["core"];
const PROGRAM = ["services", "schemas", "routes", "on_device"];

type Files = Record<string, string | Uint8Array>;

/** What of a package goes along: its Python, the tables beside it, and the compiled catalogues. */
const TAKEN = [".py", ".toml", ".csv", ".mo"];

/** Every file of some packages that goes along, by its path. */
function filesOf(source: string, packages: readonly string[]): Files {
  const files: Files = {};
  const walk = (folder: string) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      const path = join(folder, entry.name);
      if (entry.isDirectory() && entry.name !== "__pycache__") walk(path);
      else if (TAKEN.some((end) => entry.name.endsWith(end)))
        files[relative(source, path)] = path.endsWith(".mo")
          ? readFileSync(path)
          : readFileSync(path, "utf8");
    }
  };
  for (const name of packages) walk(join(source, "gentle_plumb", name));
  files["gentle_plumb/__init__.py"] = "";
  return files;
}

/** A name that changes with the sources, and with the interpreter that compiles them. */
function named(name: string, files: Files, version: string): string {
  const digest = createHash("sha256").update(version).update(JSON.stringify(files)).digest("hex");
  return `assets/${name}-${digest.slice(0, 12)}.zip`;
}

const COMPILE = `
import compileall, os, py_compile, zipfile

def compiled(folder, at, legacy):
    """The compiled files and tables of a folder as a ZIP; with legacy in the place of their sources."""
    unchecked = py_compile.PycInvalidationMode.UNCHECKED_HASH
    compileall.compile_dir(folder, quiet=1, legacy=legacy, invalidation_mode=unchecked,
                           stripdir=folder, prependdir=at)
    with zipfile.ZipFile("/tmp/compiled.zip", "w", zipfile.ZIP_DEFLATED) as out:
        for root, _, names in sorted(os.walk(folder)):
            for name in sorted(names):
                if name.endswith((".pyc", ".toml", ".csv", ".mo")):
                    path = os.path.join(root, name)
                    info = zipfile.ZipInfo(os.path.relpath(path, folder), (2000, 1, 1, 0, 0, 0))
                    with open(path, "rb") as file:
                        out.writestr(info, file.read(), zipfile.ZIP_DEFLATED)
compiled
`;
type Compiled = { core: Uint8Array; program: Uint8Array; packages: Uint8Array };
let compiling: Promise<Compiled> | undefined;

/** Everything compiled by the page's own interpreter, so that no page does it again at each start. */
async function compile(core: Files, program: Files, wheels: readonly string[]): Promise<Compiled> {
  const python = await loadPyodide();
  const packages = "/build/packages";
  for (const wheel of wheels)
    python.unpackArchive(new Uint8Array(readFileSync(wheel)), "wheel", { extractDir: packages });
  const zip = python.runPython(COMPILE);
  const packed = (folder: string, at: string, legacy: boolean): Uint8Array => {
    zip(folder, at, legacy);
    return python.FS.readFile("/tmp/compiled.zip");
  };
  const ofFiles = (name: string, files: Files) => {
    for (const [path, content] of Object.entries(files)) {
      const at = `/build/${name}/${path}`;
      python.FS.mkdirTree(at.slice(0, at.lastIndexOf("/")));
      python.FS.writeFile(at, content);
    }
    return packed(`/build/${name}`, HOME, true);
  };
  return {
    core: ofFiles("core", core),
    program: ofFiles("program", program),
    packages: packed(packages, "", false),
  };
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
  const files = { core: filesOf(source, CORE), program: filesOf(source, PROGRAM) };
  const folder = `assets/python-${version}`;
  const names = {
    core: named("core", files.core, version),
    program: named("program", files.program, version),
    packages: `${folder}/compiled.zip`,
  };
  return {
    name: "core-in-page",
    resolveId: (id) => (id === ID ? `\0${ID}` : null),
    load: (id) =>
      id === `\0${ID}`
        ? `export const CORE = "/${names.core}"; export const PROGRAM = "/${names.program}";
           export const PYTHON = "/${folder}/"; export const COMPILED = "/${names.packages}";
           export const WHEELS = ${JSON.stringify(wheels.map((name) => `/${folder}/${name}`))};`
        : null,
    async generateBundle() {
      const paths = wheels.map((name) => join(fetched, name));
      compiling ??= compile(files.core, files.program, paths);
      const made = await compiling;
      for (const name of ["core", "program", "packages"] as const)
        this.emitFile({ type: "asset", fileName: names[name], source: made[name] });
      for (const name of PYODIDE) {
        const held = readFileSync(join(interpreter, name));
        this.emitFile({ type: "asset", fileName: `${folder}/${name}`, source: held });
        this.emitFile({
          type: "asset",
          fileName: `${folder}/${name}.gz`,
          source: gzipSync(held),
        });
      }
      for (const name of wheels)
        this.emitFile({
          type: "asset",
          fileName: `${folder}/${name}`,
          source: readFileSync(join(fetched, name)),
        });
    },
  };
}
