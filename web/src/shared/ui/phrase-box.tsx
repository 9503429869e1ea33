import { t } from "@lingui/core/macro";
import { type KeyboardEvent, type TextareaHTMLAttributes, useRef, useState } from "react";
import { useMe } from "@/shared/api/account";
import { usePhrases } from "@/shared/api/phrases";
import { dayOf, longDate } from "@/shared/dates";
import { bySpace, codeAt, filled, inserted, type Phrase } from "@/shared/phrases";

/** So many phrases are offered at a time. */
const MOST = 6;

/** A box for text about a client in which a semicolon and a code write out one of the practice's phrases. */
export function PhraseBox({
  client,
  value,
  onText,
  ...rest
}: Omit<TextareaHTMLAttributes<HTMLTextAreaElement>, "value" | "onChange"> & {
  client: string;
  value: string;
  onText: (text: string) => void;
}) {
  const me = useMe().data;
  const phrases = usePhrases().data ?? [];
  const box = useRef<HTMLTextAreaElement>(null);
  const [typing, setTyping] = useState<string | null>(null);
  const gaps = {
    client,
    practitioner: me?.name ?? "",
    practice: me?.practice ?? "",
    date: longDate(dayOf(new Date())),
  };
  const offered = typing === null ? [] : phrases.filter(({ code }) => code.startsWith(typing));
  const put = (done: { text: string; caret: number }) => {
    onText(done.text);
    setTyping(null);
    // the caret goes after what was written once the new text is there
    requestAnimationFrame(() => box.current?.setSelectionRange(done.caret, done.caret));
  };
  const choose = (phrase: Phrase) => {
    const caret = box.current?.selectionStart ?? value.length;
    put(inserted(value, caret, phrase, gaps));
    box.current?.focus();
  };
  const keyed = (event: KeyboardEvent) => {
    const [first] = offered;
    if (event.key === "Escape" && typing !== null) {
      event.stopPropagation();
      setTyping(null);
    } else if (event.key === "Tab" && !event.shiftKey && first && typing) {
      event.preventDefault();
      choose(first);
    }
  };
  return (
    <>
      <textarea
        autoComplete="off"
        {...rest}
        ref={box}
        value={value}
        onKeyDown={keyed}
        onChange={(event) => {
          const { value: text, selectionStart: caret } = event.target;
          const done = bySpace(text, caret, phrases, gaps);
          if (done) return put(done);
          onText(text);
          setTyping(codeAt(text, caret)?.code ?? null);
        }}
      />
      {offered.length > 0 && (
        <ul aria-label={t`Phrases`} className="border border-hair bg-ground">
          {offered.slice(0, MOST).map((phrase) => (
            <li key={phrase.code}>
              <button
                type="button"
                className="flex min-h-9 w-full items-baseline gap-2 px-2 text-start text-sm hover:bg-deep pointer-coarse:min-h-11"
                onPointerDown={(event) => event.preventDefault()}
                onClick={() => choose(phrase)}
              >
                <span className="figures shrink-0 font-semibold">;{phrase.code}</span>
                <span className="truncate" dir="auto">
                  {filled(phrase.text, gaps)}
                </span>
              </button>
            </li>
          ))}
          <li className="px-2 py-1 text-sm text-soft">
            {t`Space writes out a whole code, Tab the first phrase.`}
          </li>
        </ul>
      )}
    </>
  );
}
