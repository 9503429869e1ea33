import { t } from "@lingui/core/macro";
import { useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { usePhraseChanges, usePhrases } from "@/shared/api/phrases";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput, LabelledText } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { saidWithUndo } from "@/shared/ui/undo";
import { Whose } from "@/shared/ui/whose";

/** What stands for a name or a day until a phrase is inserted. */
const GAPS = "{client}, {practitioner}, {practice}, {date}";

type Phrase = Schemas["PhraseView"];

/** The practice's own sentences: written out in a visit by a semicolon and their code. */
export function Phrases() {
  const phrases = usePhrases().data ?? [];
  const { add, drop } = usePhraseChanges();
  const [open, setOpen] = useState<Phrase | "new" | null>(null);
  const remove = ({ id, code, text }: Phrase) =>
    drop.mutate(
      { params: { path: { phrase_id: id } } },
      {
        onSuccess: () =>
          saidWithUndo(t`The phrase ;${code} was removed.`, () =>
            add.mutateAsync({ body: { id, code, text } }),
          ),
      },
    );
  return (
    <section aria-label={t`Phrases`} className="mt-10 max-w-[720px]">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Phrases`}</h2>
      <p className="my-2 text-sm text-soft">
        {t`Sentences you often write. In any note, type a semicolon, the code and a space, and the sentence takes its place. Keep clients’ details out of them: everyone in the practice can read them.`}
      </p>
      <ul aria-label={t`Phrases`}>
        {phrases.map((phrase) => (
          <li
            key={phrase.id}
            className="grid min-h-11 grid-cols-[minmax(64px,auto)_minmax(0,1fr)] items-center gap-x-4 border-b border-hair py-1 desk:grid-cols-[120px_minmax(0,1fr)_auto]"
          >
            <span className="figures font-semibold">;{phrase.code}</span>
            <span dir="auto">{phrase.text}</span>
            <span className="col-span-2 flex flex-wrap desk:col-span-1">
              <Button look="quiet" onClick={() => setOpen(phrase)}>
                {t`Edit`}
                <Whose>{`;${phrase.code}`}</Whose>
              </Button>
              <Button look="quiet" disabled={drop.isPending} onClick={() => remove(phrase)}>
                {t`Remove`}
                <Whose>{`;${phrase.code}`}</Whose>
              </Button>
            </span>
          </li>
        ))}
      </ul>
      <Failure of={drop} />
      <Button className="mt-3" onClick={() => setOpen("new")}>
        {t`New phrase`}
      </Button>
      {open && (
        <PhraseDialog {...(open === "new" ? {} : { phrase: open })} onDone={() => setOpen(null)} />
      )}
    </section>
  );
}

function PhraseDialog({ phrase, onDone }: { phrase?: Phrase; onDone: () => void }) {
  const { add, change } = usePhraseChanges();
  const [id] = useNewId();
  const [code, setCode] = useState(phrase?.code ?? "");
  const [text, setText] = useState(phrase?.text ?? "");
  const doing = phrase ? change : add;
  const done = { onSuccess: onDone };
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onDone()}
      title={phrase ? t`Edit phrase` : t`New phrase`}
    >
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (phrase) {
            const path = { phrase_id: phrase.id };
            change.mutate(
              { params: { path }, body: { code, text, version: phrase.version } },
              done,
            );
          } else add.mutate({ body: { id, code, text } }, done);
        }}
      >
        <LabelledInput
          label={t`Short code`}
          required
          maxLength={20}
          pattern="[A-Za-z0-9\-]+"
          value={code}
          onChange={(event) => setCode(event.target.value)}
          help={t`Letters, digits and hyphens, without the semicolon.`}
        />
        <LabelledText
          label={t`Sentence`}
          required
          rows={4}
          maxLength={1000}
          value={text}
          onChange={(event) => setText(event.target.value)}
          help={t`${GAPS} are filled in.`}
        />
        <Failure of={doing} />
        <Button type="submit" look="next" disabled={doing.isPending}>
          {t`Save`}
        </Button>
      </form>
    </Modal>
  );
}
