import { createContext, useContext } from "react";
import type english from "../../../../src/gentle_plumb/services/own_page/en.json";

export type Key = keyof (typeof english)["messages"];
type Gaps = Record<string, string | number>;

export type Words = {
  /** A message by its name, its gaps filled. */
  t: (key: Key, gaps?: Gaps) => string;
  /** A message whose name is made; the fallback where there is none. */
  of: (key: string, fallback?: string) => string;
};

/** Words over a catalogue's messages. */
export function wordsOf(messages: Record<string, string>): Words {
  const of = (key: string, fallback = "") => messages[key] ?? fallback;
  return {
    of,
    t: (key, gaps = {}) =>
      of(key, key).replace(/\{(\w+)\}/g, (whole, gap: string) => String(gaps[gap] ?? whole)),
  };
}

export const WordsContext = createContext<Words>(wordsOf({}));

export function useWords(): Words {
  return useContext(WordsContext);
}

/** A day as it is written in a language. */
export function dayIn(language: string, day: string): string {
  try {
    return new Date(`${day.slice(0, 10)}T12:00:00`).toLocaleDateString(
      language === "en" ? "en-GB" : language,
      {
        day: "numeric",
        month: "long",
      },
    );
  } catch {
    return day.slice(0, 10);
  }
}
