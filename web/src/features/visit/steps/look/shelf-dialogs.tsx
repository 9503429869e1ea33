import { plural, t } from "@lingui/core/macro";
import { type FormEvent, type ReactNode, useState } from "react";
import { fieldId } from "@/shared/api/field-ids";
import { useShelf, useShelfChanges } from "@/shared/api/queries";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { Modal } from "@/shared/ui/modal";
import { NameAndPlace } from "@/shared/ui/name-and-place";
import type { FieldState } from "../../saving/field-state";
import { applies, type Field, useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

export const WORKSTATION = "workstation";

/** What is typed into these fields now, without the empty ones. */
export function typedOf(
  fields: readonly Field[],
  cells: ReadonlyMap<string, FieldState>,
): Record<string, string> {
  return Object.fromEntries(
    fields
      .filter((field) => applies(field, cells))
      .map((field) => [field.id, cells.get(field.id)?.held?.typed ?? ""])
      .filter(([, typed]) => typed),
  );
}

/** Take a piece from the shelf: what it says replaces what is there, the rest of the piece is cleared. */
export function FromShelf({
  piece,
  title,
  children,
}: {
  piece: string;
  title: string;
  children: ReactNode;
}) {
  const { catalogue, fields, unit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const [open, setOpen] = useState(false);
  const shelf = useShelf().data ?? [];
  const like = piece.replace(/\d$/, "");
  const own = shelf.filter((item) => item.piece === piece || item.piece === like);
  const generic = catalogue.kinds.filter((kind) => kind.piece === like);
  const take = (values: Record<string, string>, id?: string) => {
    const mine = catalogue.pieces.filter((one) => piece === WORKSTATION || one.id === piece);
    const renamed = Object.fromEntries(
      Object.entries(values).map(([path, typed]) => [
        like === "screen" ? path.replace(/^look\.screen\d?\./, `look.${piece}.`) : path,
        typed,
      ]),
    );
    const changes = fields
      .filter((field) => mine.some((piece) => piece.paths.includes(field.id)))
      .map((field) => [field.id, renamed[field.id] ?? ""] as const)
      .filter(([path, typed]) => (cells.get(path)?.typed ?? "") !== typed);
    queue.typeAll(id ? [...changes, [fieldId("look.workstation"), id]] : changes, unit);
    setOpen(false);
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>{children}</Button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title={title}
        says={t`A starting point: check with the tape. Replaces the current values; press z to undo.`}
      >
        {own.length > 0 && (
          <>
            <h3 className="text-sm text-soft">{t`Your equipment`}</h3>
            <ul className="mb-4">
              {own.map((item) => (
                <li key={item.id} className="border-b border-hair">
                  <button
                    type="button"
                    className="min-h-11 w-full text-start hover:bg-deep"
                    onClick={() => take(item.values, piece === WORKSTATION ? item.id : undefined)}
                  >
                    <b>{item.name}</b> <span className="text-soft">{item.place}</span>
                    {item.users.length > 0 && (
                      <span className="block text-sm text-soft">{item.users.join(", ")}</span>
                    )}
                  </button>
                </li>
              ))}
            </ul>
          </>
        )}
        {generic.length > 0 && <h3 className="text-sm text-soft">{t`Generic equipment`}</h3>}
        <ul>
          {generic.map((kind) => (
            <li key={kind.id} className="border-b border-hair">
              <button
                type="button"
                className="min-h-11 w-full text-start hover:bg-deep"
                onClick={() => take(kind.values)}
              >
                {kind.name}
              </button>
            </li>
          ))}
        </ul>
        {own.length + generic.length === 0 && (
          <p className="text-soft">
            {t`Nothing saved yet. Describe the equipment once, then save it to the equipment list.`}
          </p>
        )}
      </Modal>
    </>
  );
}

/** Put what is described here on the practice's shelf, under a name. */
export function KeepOnShelf({
  piece,
  fields,
  children,
}: {
  piece: string;
  fields: readonly Field[];
  children: ReactNode;
}) {
  const { unit } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const { add } = useShelfChanges();
  const [open, setOpen] = useState(false);
  const [id, renew] = useNewId();
  const [name, setName] = useState("");
  const [place, setPlace] = useState("");
  const values = typedOf(fields, cells);
  const many = Object.keys(values).length;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const kept = await add.mutateAsync({ body: { id, piece, name, place, values, unit } });
    if (piece === WORKSTATION) queue.type(fieldId("look.workstation"), kept.id, unit);
    setOpen(false);
    setName("");
    renew();
  };
  return (
    <>
      <Button look="quiet" disabled={many === 0} onClick={() => setOpen(true)}>
        {children}
      </Button>
      <Modal
        open={open}
        onOpenChange={setOpen}
        title={piece === WORKSTATION ? t`Save this workstation` : t`Save to equipment list`}
        says={plural(many, { one: "# value will be saved.", other: "# values will be saved." })}
      >
        <form onSubmit={submit} className="space-y-4">
          <NameAndPlace name={name} place={place} onName={setName} onPlace={setPlace} />
          <Failure of={add} />
          <Button type="submit" look="next" disabled={add.isPending}>
            {t`Save`}
          </Button>
        </form>
      </Modal>
    </>
  );
}
