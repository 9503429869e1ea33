import { cleanup } from "@testing-library/react";
import { afterEach, vi } from "vitest";

// files share one window: each leaves it as it found it
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  sessionStorage.clear();
});
