import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useNavigate, useSearch } from "@tanstack/react-router";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useFields, useShelf, useShelfChanges } from "@/shared/api/queries";
import { matches } from "@/shared/search";
import { useUnit } from "@/shared/settings";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { PartTabs } from "@/shared/ui/part-tabs";
import { SearchField } from "@/shared/ui/search-field";
import { Skeleton } from "@/shared/ui/skeleton";
import { saidWithUndo } from "@/shared/ui/undo";
import { said } from "@/shared/words/said";
import { figuresOf, figuresOfStation } from "./figures";
import { ItemCard } from "./item-card";
import { type Draft, ItemDialog } from "./item-dialog";

type Item = Schemas["ShelfView"];
type Catalogue = Schemas["Fields"];
/** What is being described: something kept, or something new from a kind or from nothing. */
type Editing = { item: Item | null; piece: string; begin: Draft };

const WORKSTATION = "workstation";
const PARTS = said({ pieces: msg`Items`, workstations: msg`Shared workstations` });
const EMPTY: Draft = { name: "", place: "", values: {} };

/** The practice's equipment: pieces to start from in Look, and workstations that several people share. */
export function EquipmentPage() {
  const navigate = useNavigate();
  const { part } = useSearch({ from: "/shell/equipment" });
  const present = part === "workstations" ? part : "pieces";
  const [words, setWords] = useState("");
  const [editing, setEditing] = useState<Editing | null>(null);
  const shelf = useShelf();
  const catalogue = useFields().data;
  const writes = useMe().data?.office ?? false;
  const kept = shelf.data?.filter((item) => matches(words, item.name, item.place));
  return (
    <>
      <PageHead
        title={t`Equipment`}
        says={t`Templates for visits. Always check with a tape measure.`}
      >
        <SearchField label={t`Find equipment`} value={words} onChange={setWords} />
        {writes && (
          <Button
            look="next"
            onClick={() =>
              setEditing({
                item: null,
                piece: present === "pieces" ? "chair" : WORKSTATION,
                begin: { ...EMPTY, name: words },
              })
            }
          >
            {present === "pieces" ? t`New item` : t`New workstation`}
          </Button>
        )}
      </PageHead>
      {shelf.error && (
        <Notice role="alert" className="mb-4">
          {shelf.error.message}
        </Notice>
      )}
      <PartTabs
        label={t`Equipment sections`}
        parts={Object.entries(PARTS).map(([id, name]) => ({ id, name }))}
        present={present}
        onChoose={(part) => void navigate({ to: "/equipment", search: { part } })}
      >
        {!catalogue || !kept ? (
          <Skeleton lines={8} label={t`Loading`} />
        ) : present === "pieces" ? (
          <Shelf
            kept={kept}
            words={words}
            catalogue={catalogue}
            onEdit={writes ? setEditing : null}
          />
        ) : (
          <Workstations kept={kept} catalogue={catalogue} onEdit={writes ? setEditing : null} />
        )}
      </PartTabs>
      {editing && catalogue && (
        <Edit
          key={editing.item?.id ?? "new"}
          editing={editing}
          catalogue={catalogue}
          onDone={() => setEditing(null)}
        />
      )}
    </>
  );
}

/** The kind of a piece: the second screen is a screen. */
const kindOf = (piece: string) => piece.replace(/\d$/, "");

function Shelf({
  kept,
  words,
  catalogue,
  onEdit,
}: {
  kept: readonly Item[];
  words: string;
  catalogue: Catalogue;
  onEdit: ((editing: Editing) => void) | null;
}) {
  const groups = catalogue.pieces
    .filter((piece) => piece.id === kindOf(piece.id))
    .map((piece) => ({
      piece,
      own: kept.filter((item) => kindOf(item.piece) === piece.id),
      generic: catalogue.kinds.filter(
        (kind) => kind.piece === piece.id && matches(words, kind.name, piece.label),
      ),
    }))
    .filter(({ own, generic }) => own.length + generic.length > 0);
  if (groups.length === 0)
    return (
      <p className="text-soft">
        <Trans>Nothing matches “{words}”.</Trans>
      </p>
    );
  return groups.map(({ piece, own, generic }) => (
    <section key={piece.id} className="mb-7" aria-label={piece.label}>
      <h2 className="mb-2 border-b border-ink pb-1 font-semibold">{piece.label}</h2>
      <ul className="grid gap-2 desk:grid-cols-2">
        {own.map((item) => (
          <ItemCard
            key={item.id}
            name={item.name}
            place={item.place || "Your practice’s"}
            figures={figuresOf(item.values, catalogue.fields)}
            users={item.users}
            act={
              onEdit && (
                <Button
                  look="quiet"
                  className="-mt-1.5 -me-3"
                  aria-label={t`Change ${item.name}`}
                  onClick={() => onEdit({ item, piece: item.piece, begin: item })}
                >
                  {t`Change`}
                </Button>
              )
            }
          />
        ))}
        {generic.map((kind) => (
          <ItemCard
            key={kind.id}
            name={kind.name}
            place=""
            figures={figuresOf(kind.values, catalogue.fields)}
            act={
              onEdit && (
                <Button
                  look="quiet"
                  className="-mt-1.5 -me-3"
                  aria-label={t`Copy ${kind.name}`}
                  onClick={() =>
                    onEdit({
                      item: null,
                      piece: kind.piece,
                      begin: { name: kind.name, place: "", values: kind.values },
                    })
                  }
                >
                  {t`Copy`}
                </Button>
              )
            }
          />
        ))}
      </ul>
    </section>
  ));
}

function Workstations({
  kept,
  catalogue,
  onEdit,
}: {
  kept: readonly Item[];
  catalogue: Catalogue;
  onEdit: ((editing: Editing) => void) | null;
}) {
  const mine = kept.filter((item) => item.piece === WORKSTATION);
  if (mine.length === 0)
    return (
      <p className="max-w-prose text-soft">
        {t`No shared workstations yet. Describe one, or save one from a visit (Look, Equipment); every visit at that desk can start from it.`}
      </p>
    );
  return (
    <ul className="grid gap-2 desk:grid-cols-2" aria-label={t`Shared workstations`}>
      {mine.map((item) => (
        <ItemCard
          key={item.id}
          heading="h2"
          name={item.name}
          place={item.place}
          figures={figuresOfStation(item.values, catalogue.fields, catalogue.pieces)}
          users={item.users}
          act={
            onEdit && (
              <Button
                look="quiet"
                className="-mt-1.5 -me-3"
                aria-label={t`Change ${item.name}`}
                onClick={() => onEdit({ item, piece: WORKSTATION, begin: item })}
              >
                {t`Change`}
              </Button>
            )
          }
        />
      ))}
    </ul>
  );
}

function Edit({
  editing,
  catalogue,
  onDone,
}: {
  editing: Editing;
  catalogue: Catalogue;
  onDone: () => void;
}) {
  const { item, begin } = editing;
  const me = useMe().data;
  const unit = useUnit(me?.unit ?? "cm");
  const { add, change, drop } = useShelfChanges();
  const [id] = useState(() => crypto.randomUUID());
  const [piece, setPiece] = useState(editing.piece);
  const kinds = catalogue.pieces.filter((piece) => piece.id === kindOf(piece.id));
  const shown = piece === WORKSTATION ? catalogue.pieces : catalogue.pieces.filter(isOf(piece));
  const save = (draft: Draft) => {
    const body = { piece, unit, ...draft };
    if (item)
      change.mutate(
        { params: { path: { item_id: item.id } }, body: { ...body, version: item.version } },
        { onSuccess: onDone },
      );
    else add.mutate({ body: { id, ...body } }, { onSuccess: onDone });
  };
  const remove = (gone: Item) =>
    drop.mutate(
      { params: { path: { item_id: gone.id } } },
      {
        onSuccess: () => {
          const { id, piece, name, place, values } = gone;
          saidWithUndo(t`“${name}” was deleted.`, () =>
            add.mutateAsync({ body: { id, piece, name, place, values, unit: "cm" } }),
          );
          onDone();
        },
      },
    );
  const what = piece === WORKSTATION ? "workstation" : "item";
  return (
    <ItemDialog
      title={item ? t`Change ${item.name}` : t`New ${what}`}
      says={
        item
          ? t`Existing visits are not changed.`
          : t`Visits can start from it. Anything left blank is asked there.`
      }
      begin={begin}
      pieces={shown}
      catalogue={catalogue}
      unit={unit}
      error={change.error ?? add.error ?? drop.error}
      busy={change.isPending || add.isPending}
      onSave={save}
      onDone={onDone}
      kind={
        !item && piece !== WORKSTATION
          ? {
              value: piece,
              options: kinds.map(({ id, label }) => ({ value: id, label })),
              onChange: setPiece,
            }
          : null
      }
    >
      {item && (
        <Button onClick={() => remove(item)} disabled={drop.isPending}>
          {t`Delete`}
        </Button>
      )}
    </ItemDialog>
  );
}

const isOf = (piece: string) => (one: Schemas["PieceView"]) => one.id === piece;
