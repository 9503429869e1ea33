import { afterEach, beforeEach, expect, test, vi } from "vitest";

const KEY = "plumb:look";
let dark = false;
let change: () => void = () => undefined;

/** The settings as a browser loads them that holds this, on a system that is light or dark. */
async function loaded(kept: object, systemDark: boolean) {
  dark = systemDark;
  vi.stubGlobal("matchMedia", () => ({
    get matches() {
      return dark;
    },
    addEventListener: (_: string, listener: () => void) => {
      change = listener;
    },
  }));
  localStorage.setItem(KEY, JSON.stringify(kept));
  vi.resetModules();
  return import("./settings");
}

const shown = () => document.documentElement.hasAttribute("data-night");

beforeEach(() => localStorage.clear());
afterEach(() => {
  localStorage.clear();
  document.documentElement.removeAttribute("data-night");
});

test("colours follow the system as it turns, until one of them is chosen", async () => {
  const { changeSettings, switchNight, settingsNow } = await loaded({}, false);
  expect(shown()).toBe(false);
  dark = true;
  change();
  expect(shown()).toBe(true);
  changeSettings({ unit: "mm" });
  expect(settingsNow().colours).toBe("system");
  switchNight();
  expect(shown()).toBe(false);
  change();
  expect(shown()).toBe(false);
  changeSettings({ colours: "system" });
  expect(shown()).toBe(true);
});

test("what an earlier version kept is still what was chosen", async () => {
  const { settingsNow } = await loaded({ night: true, unit: "in" }, false);
  expect(settingsNow()).toMatchObject({ colours: "dark", night: true, unit: "in" });
});
