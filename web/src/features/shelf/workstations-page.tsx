import { useMe } from "@/shared/api/account";
import { useFields, useShelf, useShelfChanges } from "@/shared/api/queries";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Skeleton } from "@/shared/ui/skeleton";
import { ItemRow } from "./item-row";

/** Workstations that several clients share: described once, taken into each visit. */
export function WorkstationsPage() {
  const shelf = useShelf();
  const fields = useFields().data;
  const changes = useShelfChanges();
  const writes = useMe().data?.role !== "reader";
  if (!fields || !shelf.data) return <Skeleton lines={8} label="Fetching equipment" />;
  const mine = shelf.data.filter((item) => item.piece === "workstation");
  const failed = changes.drop.error ?? changes.change.error;
  return (
    <>
      <PageHead
        title="Workstations"
        says="Desks that several people share. Kept from a visit: Look, Pieces, Keep these as one; taken into the next visit there with one tap."
      />
      {failed && (
        <Notice role="alert" className="mb-4">
          {failed.message}
        </Notice>
      )}
      {mine.length === 0 && <p className="text-soft">None kept yet.</p>}
      <ul className="border-t border-ink">
        {mine.map((item) => (
          <ItemRow key={item.id} item={item} writes={writes} changes={changes} />
        ))}
      </ul>
    </>
  );
}
