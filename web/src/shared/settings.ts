import { useCallback, useSyncExternalStore } from "react";
import type { Unit } from "./api/client";

type Settings = { unit: Unit | null; night: boolean };

const KEY = "plumb:look";
const listeners = new Set<() => void>();
let settings: Settings = load();

function load(): Settings {
  const kept = localStorage.getItem(KEY);
  const night = matchMedia("(prefers-color-scheme: dark)").matches;
  return { unit: null, night, ...(kept ? (JSON.parse(kept) as Partial<Settings>) : {}) };
}

function apply(): void {
  document.documentElement.toggleAttribute("data-night", settings.night);
}

/** Change what this browser shows: display unit, night version. */
export function changeSettings(change: Partial<Settings>): void {
  settings = { ...settings, ...change };
  localStorage.setItem(KEY, JSON.stringify(settings));
  apply();
  for (const listener of listeners) listener();
}

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

const UNITS: readonly Unit[] = ["cm", "mm", "in"];

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
