import { lingui } from "@lingui/vite-plugin";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { VitePWA } from "vite-plugin-pwa";
import { defineConfig } from "vitest/config";
import { coreInPage } from "./core-in-page.ts";
import { linguiMacro } from "./lingui-macro.ts";
import { precompressed } from "./precompressed.ts";

const TESTS = ["src/**/*.test.{ts,tsx}"];
/** These need a store of the browser's, and leave things in it. */
const ON_DISK = ["src/shared/device/*.test.ts", "src/features/visit/saving/merge.test.ts"];
/** These put something in the place of a module, or leave a queue that goes on trying. */
const ALONE = [
  "src/features/visit/steps/work-out/targets.test.tsx",
  "src/features/visit/what-if/core-runner.test.ts",
  "src/features/visit/saving/{change-queue,without-network}.test.ts",
];

/** Modules that are sent together: a request for each small one would cost more than it saves. */
const TOGETHER = [
  { name: "react", test: /node_modules\/(react|react-dom|scheduler|use-sync-external-store)\// },
  {
    name: "parts",
    test: /node_modules\/(?!.*react-(select|accordion)\/)(@radix-ui|@floating-ui|@tanstack|lucide-react|react-remove-|clsx|aria-hidden|use-)/,
    minShareCount: 2,
  },
  {
    name: "shared",
    test: /web\/src\/(drawing|shared\/(?!ui\/(select|folds)))/,
    minShareCount: 2,
  },
  {
    name: "forms",
    test: /react-(select|accordion)\/|shared\/ui\/(select|folds)/,
  },
  {
    name: "places",
    test: /features\/(clients|equipment|measuring|rules)\/|features\/people\/people-page/,
  },
].map((group, index, groups) => ({ ...group, priority: groups.length - index }));

export default defineConfig({
  plugins: [
    linguiMacro(),
    lingui(),
    react(),
    tailwindcss(),
    coreInPage(),
    precompressed(),
    VitePWA({
      injectRegister: false,
      manifest: {
        name: "Gentle Plumb",
        short_name: "Gentle Plumb",
        description: "Workstations fitted to the person.",
        display: "standalone",
        start_url: "/",
        background_color: "#f5f0e6",
        theme_color: "#f5f0e6",
        icons: [{ src: "/icon.svg", sizes: "any", type: "image/svg+xml" }],
      },
      workbox: {
        globPatterns: ["**/*.{js,mjs,css,html,svg,woff2,json,wasm,zip,whl}"],
        maximumFileSizeToCacheInBytes: 20_000_000, // the interpreter is 10 MB
        dontCacheBustURLsMatching: /^assets\//, // named by what they hold
        navigateFallback: "/index.html",
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        inlineWorkboxRuntime: true,
      },
    }),
  ],
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  build: {
    target: "es2022",
    sourcemap: false,
    rolldownOptions: {
      output: { codeSplitting: { groups: TOGETHER, includeDependenciesRecursively: false } },
    },
  },
  worker: { format: "es", plugins: () => [coreInPage()] },
  server: { proxy: { "/api": "http://127.0.0.1:8750" } },
  test: {
    environment: "jsdom",
    testTimeout: 60_000, // a slow machine that has just linted takes over 5 s to draw the first panel
    hookTimeout: 60_000,
    pool: "threads",
    setupFiles: ["src/test/each-file.ts"],
    coverage: {
      include: ["src/**/*.{ts,tsx}"],
      exclude: ["src/**/*.test.{ts,tsx}", "src/test/**", "src/shared/api/{schema.d,field-ids}.ts"],
      reporter: ["json-summary"],
      reportsDirectory: "../var/page-coverage",
    },
    projects: [
      // a window of its own for each file takes five times as long; only what stands in for a module needs one
      {
        extends: true,
        test: { name: "together", include: TESTS, exclude: [...ALONE, ...ON_DISK], isolate: false },
      },
      { extends: true, test: { name: "alone", include: ALONE } },
      {
        extends: true,
        test: { name: "on disk", include: ON_DISK, setupFiles: ["fake-indexeddb/auto"] },
      },
    ],
  },
});
