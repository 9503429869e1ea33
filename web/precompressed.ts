import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, gzipSync } from "node:zlib";
import type { Plugin } from "vite";

const TEXT = /\.(js|css|html|svg|webmanifest)$/;
/** Below this a file fits into one packet as it is. */
const WORTH_BYTES = 1000;

/** Lays beside each text of the page what is sent of it: compressed once, as well as can be, not on every call. */
export function precompressed(): Plugin {
  return {
    name: "precompressed",
    apply: "build",
    writeBundle({ dir }) {
      if (!dir) return;
      for (const name of readdirSync(dir, { recursive: true, encoding: "utf8" })) {
        if (!TEXT.test(name)) continue;
        const path = join(dir, name);
        const text = readFileSync(path);
        if (text.length < WORTH_BYTES) continue;
        writeFileSync(`${path}.br`, brotliCompressSync(text));
        writeFileSync(`${path}.gz`, gzipSync(text, { level: 9 }));
      }
    },
  };
}
