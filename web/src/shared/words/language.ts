import { i18n, type Messages } from "@lingui/core";
import { changeSettings, settingsNow } from "../settings";
import { marked } from "./marked";

type Catalogue = { messages: Messages };
type Language = {
  /** What it calls itself. */
  name: string;
  dir: "ltr" | "rtl";
  load: () => Promise<Catalogue>;
};

const english = () => import("../../../../locale/en/page.po") as Promise<Catalogue>;

/** The languages that are offered, in this order. */
export const OFFERED = ["en", "de", "es"] as const;
export type Offered = (typeof OFFERED)[number];

/** Every language; the last two are English made longer, and mirrored, to see what does not fit. */
const LANGUAGES: Record<string, Language> = {
  en: { name: "English", dir: "ltr", load: english },
  de: { name: "Deutsch", dir: "ltr", load: () => import("../../../../locale/de/page.po") },
  es: { name: "Español", dir: "ltr", load: () => import("../../../../locale/es/page.po") },
  "en-XA": { name: "[Éñĝļîšĥ]", dir: "ltr", load: async () => marked(await english()) },
  "ar-XB": { name: "[hsilgnE]", dir: "rtl", load: async () => marked(await english()) },
};

export const nameOf = (tag: Offered): string => LANGUAGES[tag]?.name ?? tag;

/** The language of this browser: the one chosen here, else the first it asks for that is known. */
function wanted(): string {
  const asked = [settingsNow().language ?? "", ...navigator.languages];
  const known = asked
    .flatMap((tag) => [tag, tag.split("-")[0] ?? ""])
    .find((tag) => tag in LANGUAGES);
  return known ?? "en";
}

const listeners = new Set<() => void>();
/** What the practice says its own way, as it was loaded last. */
let own = "{}";

/** Say everything in a language from now on; what is on the screen is drawn again. */
export async function speak(tag = wanted()): Promise<void> {
  const language = LANGUAGES[tag];
  if (!language || i18n.locale === tag) return;
  const { messages } = await language.load();
  own = "{}";
  i18n.loadAndActivate({ locale: tag, messages });
  document.documentElement.lang = tag;
  document.documentElement.dir = language.dir;
  for (const listener of listeners) listener();
}

/** Choose a language for this browser; null for its own. */
export async function chooseLanguage(tag: string | null): Promise<void> {
  changeSettings({ language: tag });
  await speak();
}

/** Say some messages, by their ids, as a practice does; what is on the screen is drawn again where they differ. */
export async function sayOwn(words: Readonly<Record<string, string>>): Promise<void> {
  const wanted = JSON.stringify(words);
  if (wanted === own) return;
  const { compileMessage } = await import("@lingui/message-utils/compileMessage");
  const language = LANGUAGES[i18n.locale];
  const { messages } = language ? await language.load() : { messages: {} };
  const compiled = Object.entries(words).map(([id, text]) => [id, compileMessage(text)]);
  own = wanted;
  i18n.loadAndActivate({
    locale: i18n.locale,
    messages: { ...messages, ...Object.fromEntries(compiled) },
  });
  for (const listener of listeners) listener();
}

/** The language and the practice's own words in it: what is drawn is drawn anew when they change. */
export const wording = (): string => `${i18n.locale} ${own}`;

/** Call back whenever the language has changed. */
export function onLanguage(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** How days and numbers are written: the language’s own way, British for English. */
export function writing(): string {
  return i18n.locale === "de" || i18n.locale === "es" ? i18n.locale : "en-GB";
}

/** A number with so many decimals, as the language writes it. */
export function decimal(value: number, digits = 1): string {
  return value.toLocaleString(writing(), {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  });
}
