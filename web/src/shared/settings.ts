import { useCallback, useSyncExternalStore } from "react";
import type { Unit } from "./api/client";

type Settings = {
  unit: Unit | null;
  night: boolean;
  /** Whether single keys do something where no field has the focus. */
  singleKeys: boolean;
  /** The language chosen in this browser, by its tag. */
  language: string | null;
};

const UNITS: readonly Unit[] = ["cm", "mm", "in"];
const KEY = "plumb:look";
const listeners = new Set<() => void>();
let settings: Settings = load();

function load(): Settings {
  const night = matchMedia("(prefers-color-scheme: dark)").matches;
  try {
    const kept = JSON.parse(localStorage.getItem(KEY) ?? "{}") as Partial<Settings> | null;
    const unit = UNITS.find((unit) => unit === kept?.unit) ?? null;
    return {
      unit,
      night: typeof kept?.night === "boolean" ? kept.night : night,
      singleKeys: kept?.singleKeys !== false,
      language: typeof kept?.language === "string" ? kept.language : null,
    };
  } catch {
    return { unit: null, night, singleKeys: true, language: null }; // no storage, or not what we put there
  }
}

function apply(): void {
  document.documentElement.toggleAttribute("data-night", settings.night);
}

/** Change what this browser shows: display unit, night version. */
export function changeSettings(change: Partial<Settings>): void {
  settings = { ...settings, ...change };
  try {
    localStorage.setItem(KEY, JSON.stringify(settings));
  } catch {
    // a full or barred storage costs the choice at the next load, nothing else
  }
  apply();
  for (const listener of listeners) listener();
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

apply();
