/** Letters as they are searched: no case, no accents. */
function plain(text: string): string {
  return text
    .normalize("NFD")
    .replace(/\p{Diacritic}/gu, "")
    .toLowerCase();
}

/** Whether every word that is looked for begins a word of these texts, in any order. */
export function matches(sought: string, ...texts: string[]): boolean {
  const words = plain(texts.join(" ")).split(/[\s,.;/-]+/);
  return plain(sought)
    .split(/\s+/)
    .filter(Boolean)
    .every((start) => words.some((word) => word.startsWith(start)));
}
