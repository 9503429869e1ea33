import { useMe } from "@/shared/api/account";
import { useFields, useShelf, useShelfChanges } from "@/shared/api/queries";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Skeleton } from "@/shared/ui/skeleton";
import { ItemRow } from "./item-row";
import { words } from "./words";

/** Shelf: the practice's own kinds of pieces, and the generic ones every visit can start from. */
export function ShelfPage() {
  const shelf = useShelf();
  const fields = useFields().data;
  const changes = useShelfChanges();
  const writes = useMe().data?.role !== "reader";
  if (!fields || !shelf.data) return <Skeleton lines={8} label="Fetching equipment" />;
  const failed = changes.drop.error ?? changes.change.error;
  return (
    <>
      <PageHead
        title="Shelf"
        says="Equipment to start from in Look. Always check the figures with a tape. To add your own, go to Look, Pieces in a visit and save to the shelf."
      />
      {failed && (
        <Notice role="alert" className="mb-4">
          {failed.message}
        </Notice>
      )}
      {fields.pieces
        .filter((piece) => !/\d$/.test(piece.id))
        .map((piece) => {
          const own = shelf.data.filter((item) => item.piece.replace(/\d$/, "") === piece.id);
          const generic = fields.kinds.filter((kind) => kind.piece === piece.id);
          if (own.length + generic.length === 0) return null;
          return (
            <section key={piece.id} className="mb-6" aria-label={piece.label}>
              <h2 className="border-b border-ink pb-1 font-semibold">{piece.label}</h2>
              <ul>
                {own.map((item) => (
                  <ItemRow key={item.id} item={item} writes={writes} changes={changes} />
                ))}
                {generic.map((kind) => (
                  <li
                    key={kind.id}
                    className="min-h-11 items-center justify-between gap-6 border-b border-hair py-1.5 desk:flex"
                  >
                    <span className="desk:shrink-0">{kind.name}</span>
                    <span className="figures block text-sm text-soft desk:text-right">
                      {words(kind.values, fields.fields)}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          );
        })}
    </>
  );
}
