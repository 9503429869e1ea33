import { readdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, gzipSync } from "node:zlib";
import type { Plugin } from "vite";

const TEXT = /\.(js|css|html|svg|webmanifest)$/;
/** A smaller file fits into one packet uncompressed. */
const WORTH_BYTES = 1000;

/** Compresses each text file of the page once, at build time, and writes the results beside it. */
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
