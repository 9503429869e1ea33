export type Phrase = { code: string; text: string };
export type Gaps = Readonly<Record<string, string>>;

/** A code being typed: a semicolon and letters, up to the caret, at the beginning or after a space. */
const CODE = /(^|[\s(])(;([a-z0-9-]*))$/i;
const GAP = /\{(\w+)\}/g;

/** The code that is being typed before the caret, with its semicolon's place; null where there is none. */
export function codeAt(text: string, caret: number): { code: string; from: number } | null {
  const found = CODE.exec(text.slice(0, caret));
  if (!found) return null;
  return { code: (found[3] ?? "").toLowerCase(), from: caret - (found[2] ?? "").length };
}

/** A phrase with its placeholders filled; one that nobody knows stays, so that it is seen. */
export function filled(text: string, gaps: Gaps): string {
  return text.replaceAll(GAP, (whole, name: string) => gaps[name] || whole);
}

/** A text with the code at the caret written out, and where the caret is then. */
export function inserted(
  text: string,
  caret: number,
  phrase: Phrase,
  gaps: Gaps,
): { text: string; caret: number } {
  const from = codeAt(text, caret)?.from ?? caret;
  const words = filled(phrase.text, gaps);
  return { text: text.slice(0, from) + words + text.slice(caret), caret: from + words.length };
}

/** What a space after a whole code does: the text with the phrase in its place; null where it is no code. */
export function bySpace(
  text: string,
  caret: number,
  phrases: readonly Phrase[],
  gaps: Gaps,
): { text: string; caret: number } | null {
  if (text[caret - 1] !== " ") return null;
  const typed = codeAt(text, caret - 1);
  const phrase = typed && phrases.find(({ code }) => code === typed.code);
  if (!phrase) return null;
  const before = text.slice(0, caret - 1) + text.slice(caret);
  const done = inserted(before, caret - 1, phrase, gaps);
  return {
    text: `${done.text.slice(0, done.caret)} ${done.text.slice(done.caret)}`,
    caret: done.caret + 1,
  };
}
