import { i18n } from "@lingui/core";

/** A label within a sentence: in small letters, but for languages that keep the capitals of nouns. */
export function within(label: string): string {
  return i18n.locale.startsWith("de") ? label : label.toLocaleLowerCase(i18n.locale);
}
