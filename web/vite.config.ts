import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";
import { coreInPage } from "./core-in-page.ts";

export default defineConfig({
  plugins: [react(), tailwindcss(), coreInPage()],
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  build: { target: "es2022", sourcemap: false },
  worker: { format: "es", plugins: () => [coreInPage()] },
  server: { proxy: { "/api": "http://127.0.0.1:8750" } },
  test: { environment: "node", include: ["src/**/*.test.{ts,tsx}"] },
});
