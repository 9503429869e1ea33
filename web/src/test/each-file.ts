import { i18n } from "@lingui/core";
import { cleanup, configure } from "@testing-library/react";
import { toast } from "sonner";
import { afterEach, vi } from "vitest";

i18n.loadAndActivate({ locale: "en", messages: {} });
// a machine with other work to do may take seconds to open a dialog; what is there is found at once
configure({ asyncUtilTimeout: 15_000 });

// the test's window has no pages that move, and knows no media queries: a desk with a mouse
window.scrollTo = () => undefined;
window.matchMedia ??= () =>
  ({
    matches: false,
    addEventListener() {},
    removeEventListener() {},
  }) as unknown as MediaQueryList;
Element.prototype.scrollIntoView ??= () => undefined;
Element.prototype.hasPointerCapture ??= () => false;
Element.prototype.setPointerCapture ??= () => undefined;
Blob.prototype.text ??= function (this: Blob) {
  return new Promise((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(`${reader.result}`);
    reader.readAsText(this);
  });
};
window.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};

// files share one window: each leaves it as it found it
afterEach(() => {
  cleanup();
  for (const { id } of toast.getToasts()) toast.dismiss(id);
  vi.useRealTimers();
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  sessionStorage.clear();
});
