import { useCallback, useSyncExternalStore } from "react";
import type { Unit } from "./api/client";

/** What colours are shown: chosen, or as the system has them by day and by night. */
export type Colours = "light" | "dark" | "system";

type Kept = {
  unit: Unit | null;
  colours: Colours;
  /** Whether single keys do something where no field has the focus. */
  singleKeys: boolean;
  /** The language chosen in this browser, by its tag. */
  language: string | null;
};
type Settings = Kept & { /** Whether it is dark now. */ night: boolean };

const UNITS: readonly Unit[] = ["cm", "mm", "in"];
const COLOURS: readonly Colours[] = ["light", "dark", "system"];
const KEY = "plumb:look";
const listeners = new Set<() => void>();
const systemNight = matchMedia("(prefers-color-scheme: dark)");
let settings: Settings = withNight(load());

function withNight(kept: Kept): Settings {
  const { colours } = kept;
  return { ...kept, night: colours === "system" ? systemNight.matches : colours === "dark" };
}

function load(): Kept {
  const usual: Kept = { unit: null, colours: "system", singleKeys: true, language: null };
  try {
    // earlier versions kept "night" alone
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "{}") as
      | (Partial<Kept> & { night?: unknown })
      | null;
    const before = { true: "dark", false: "light" }[`${kept?.night}`] as Colours | undefined;
    return {
      unit: UNITS.find((unit) => unit === kept?.unit) ?? null,
      colours: COLOURS.find((colours) => colours === kept?.colours) ?? before ?? usual.colours,
      singleKeys: kept?.singleKeys !== false,
      language: typeof kept?.language === "string" ? kept.language : null,
    };
  } catch {
    return usual; // no storage, or not what we put there
  }
}

function show(next: Settings): void {
  settings = next;
  document.documentElement.toggleAttribute("data-night", settings.night);
  for (const listener of listeners) listener();
}

/** Change what this browser shows: display unit, colours, keys, language. */
export function changeSettings(change: Partial<Kept>): void {
  const { night: _, ...kept } = { ...settings, ...change };
  try {
    localStorage.setItem(KEY, JSON.stringify(kept));
  } catch {
    // a full or barred storage costs the choice at the next load, nothing else
  }
  show(withNight(kept));
}

/** From light to dark or back, whatever the system does. */
export function switchNight(): void {
  changeSettings({ colours: settings.night ? "light" : "dark" });
}

/** The settings as they are now, for what is not drawn. */
export const settingsNow = (): Settings => settings;

export function useSettings(): Settings {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => settings,
  );
}

/** The display unit: the browser's own choice, else the practice's. */
export function useUnit(practice: Unit): Unit {
  return useSettings().unit ?? practice;
}

/** The display unit, and what switches the whole program to the next one. */
export function useUnitSwitch(practice: Unit): { unit: Unit; nextUnit: () => void } {
  const unit = useUnit(practice);
  const nextUnit = useCallback(
    () => changeSettings({ unit: UNITS[(UNITS.indexOf(unit) + 1) % UNITS.length] ?? "cm" }),
    [unit],
  );
  return { unit, nextUnit };
}

systemNight.addEventListener("change", () => show(withNight(settings)));
show(settings);
