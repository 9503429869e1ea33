import type { Messages } from "@lingui/core";

const ACCENTS: Record<string, string> = Object.fromEntries(
  [..."aeiouncsytAEIOUNCSYT"].map((letter, index) => [
    letter,
    [..."áéîöüñçšýţÁÉÎÖÜÑÇŠÝŢ"][index] ?? letter,
  ]),
);
const TAG = /(<[^<>]*>)/g;

function longer(text: string): string {
  const bare = text.replaceAll(TAG, "");
  const words = text
    .split(TAG)
    .map((part) =>
      part.startsWith("<") ? part : [...part].map((sign) => ACCENTS[sign] ?? sign).join(""),
    )
    .join("");
  const more = Math.round(bare.length * 0.4);
  // In words of twelve: long text must be able to wrap, as a translation can.
  const dots = "·".repeat(Math.max(0, more - 1)).match(/.{1,12}/g);
  return dots ? `${words} ${dots.join(" ")}` : words;
}

function markedPart(part: unknown): unknown {
  if (typeof part === "string") return longer(part);
  if (!Array.isArray(part)) return part;
  const [name, kind, forms] = part;
  if (typeof forms !== "object" || forms === null) return part;
  return [
    name,
    kind,
    Object.fromEntries(
      Object.entries(forms).map(([key, form]) => [
        key,
        key === "offset" ? form : Array.isArray(form) ? form.map(markedPart) : markedPart(form),
      ]),
    ),
  ];
}

/** English that is marked and 40 % longer: what stays plain is not in the catalogue, what is cut off is too tight. */
export function marked({ messages }: { messages: Messages }): { messages: Messages } {
  return {
    messages: Object.fromEntries(
      Object.entries(messages).map(([id, message]) => [
        id,
        Array.isArray(message) ? message.map(markedPart) : markedPart(message),
      ]),
    ) as Messages,
  };
}
