import { t } from "@lingui/core/macro";
import { type FormEvent, type ReactNode, useEffect, useState } from "react";
import { Refused, type Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Fold, Folds } from "@/shared/ui/folds";
import { Modal } from "@/shared/ui/modal";
import { NameAndPlace } from "@/shared/ui/name-and-place";
import { Notice } from "@/shared/ui/notice";
import { type Option, Select } from "@/shared/ui/select";
import { appliesTo, byWeight, of } from "./figures";
import { ValueInput } from "./value-input";

export type Draft = { name: string; place: string; values: Record<string, string> };

/** A piece or a workstation, to be described or corrected: name, location and every value. */
export function ItemDialog({
  title,
  says,
  begin,
  pieces,
  catalogue,
  unit,
  error,
  busy,
  onSave,
  onDone,
  kind,
  children,
}: {
  title: string;
  says: string;
  begin: Draft;
  pieces: readonly Schemas["PieceView"][];
  catalogue: Schemas["Fields"];
  unit: string;
  error: Error | null;
  busy: boolean;
  onSave: (draft: Draft) => void;
  onDone: () => void;
  /** Which kind of piece it is, where that can be chosen. */
  kind: { value: string; options: readonly Option[]; onChange: (value: string) => void } | null;
  /** What else can be done with it. */
  children?: ReactNode;
}) {
  const [name, setName] = useState(begin.name);
  const [place, setPlace] = useState(begin.place);
  const [values, setValues] = useState(begin.values);
  const [open, setOpen] = useState<string | null>(null);
  const problem = error instanceof Refused ? error.problem : null;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const asked = pieces.flatMap((piece) => of(piece, catalogue.fields));
    const fieldViews = asked.filter(
      (field) => appliesTo(field, values) && values[field.id]?.trim(),
    );
    const kept = Object.fromEntries(fieldViews.map(({ id }) => [id, values[id] ?? ""]));
    onSave({ name, place, values: kept });
  };
  const inputs = (fields: readonly Schemas["FieldView"][]) =>
    fields
      .filter((field) => appliesTo(field, values))
      .map((field) => (
        <ValueInput
          key={field.id}
          field={field}
          value={values[field.id] ?? ""}
          unit={unit}
          wrong={problem?.field === field.id ? problem.detail : null}
          onChange={(value) => setValues((last) => ({ ...last, [field.id]: value }))}
        />
      ));
  const [only] = pieces.length === 1 ? pieces : [];
  const [first, more] = only ? byWeight(of(only, catalogue.fields)) : [[], []];
  const wrongInMore = more.some((field) => field.id === problem?.field);
  useEffect(() => {
    if (wrongInMore) setOpen(MORE);
  }, [wrongInMore]);
  return (
    <Modal open onOpenChange={(open) => !open && onDone()} title={title} says={says}>
      <form onSubmit={submit} className="space-y-4">
        {kind && (
          <div>
            <p className="mb-1 font-semibold">{t`Type`}</p>
            <Select label={t`Type`} className="w-full" {...kind} />
          </div>
        )}
        <NameAndPlace name={name} place={place} onName={setName} onPlace={setPlace} />
        {only ? (
          <>
            <div className="border-t border-ink">{inputs(first)}</div>
            {more.length > 0 && (
              <Folds open={open} onOpen={setOpen}>
                <ul>
                  <Fold
                    id={MORE}
                    open={open === MORE}
                    summary={
                      <span className="flex justify-between gap-3">
                        <span className="font-semibold">{t`More details`}</span>
                        <span className="text-sm text-soft">{many(more, values)}</span>
                      </span>
                    }
                  >
                    {inputs(more)}
                  </Fold>
                </ul>
              </Folds>
            )}
          </>
        ) : (
          <Folds open={open} onOpen={setOpen}>
            <ul className="border-t border-ink">
              {pieces.map((piece) => (
                <Fold
                  key={piece.id}
                  id={piece.id}
                  open={open === piece.id}
                  summary={
                    <span className="flex justify-between gap-3">
                      <span className="font-semibold">{piece.label}</span>
                      <span className="text-sm text-soft">
                        {many(of(piece, catalogue.fields), values)}
                      </span>
                    </span>
                  }
                >
                  {inputs(of(piece, catalogue.fields))}
                </Fold>
              ))}
            </ul>
          </Folds>
        )}
        {error && <Notice role="alert">{error.message}</Notice>}
        <div className="flex flex-wrap gap-2">
          <Button type="submit" look="next" disabled={busy}>
            {busy ? t`Saving…` : t`Save`}
          </Button>
          {children}
        </div>
      </form>
    </Modal>
  );
}

/** The fold of what a piece can be used without. */
const MORE = "more";

function many(fields: readonly Schemas["FieldView"][], values: Record<string, string>): string {
  const fieldViews = fields.filter((field) => appliesTo(field, values) && values[field.id]?.trim());
  return fieldViews.length ? t`${fieldViews.length} recorded` : t`not recorded`;
}
