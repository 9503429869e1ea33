import { type FormEvent, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useFields, type useShelfChanges } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Modal } from "@/shared/ui/modal";
import { NameAndPlace } from "@/shared/ui/name-and-place";
import { saidWithUndo } from "@/shared/ui/undo";
import { words } from "./words";

/** One of the practice's own things: renamed, moved, taken off. */
export function ItemRow({
  item,
  writes,
  changes,
}: {
  item: Schemas["ShelfOut"];
  writes: boolean;
  changes: ReturnType<typeof useShelfChanges>;
}) {
  const fields = useFields().data?.fields ?? [];
  const [editing, setEditing] = useState(false);
  const [name, setName] = useState(item.name);
  const [place, setPlace] = useState(item.place);
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const { id, piece, values, version } = item;
    await changes.change.mutateAsync({
      params: { path: { item_id: id } },
      body: { piece, values, version, name, place, unit: "cm" },
    });
    setEditing(false);
  };
  const remove = async () => {
    const { id, piece, values } = item;
    await changes.drop.mutateAsync({ params: { path: { item_id: id } } });
    setEditing(false);
    saidWithUndo(`“${item.name}” is off the shelf.`, () =>
      changes.add.mutateAsync({
        body: { id, piece, values, name: item.name, place: item.place, unit: "cm" },
      }),
    );
  };
  return (
    <li className="min-h-13 items-center justify-between gap-6 border-b border-hair py-1.5 desk:flex">
      <span className="desk:shrink-0">
        <b>{item.name}</b> <span className="text-soft">{item.place}</span>
        {item.users.length > 0 && (
          <span className="block text-sm">Used by {item.users.join(", ")}</span>
        )}
      </span>
      <span className="figures ml-auto block text-sm text-soft desk:text-right">
        {words(item.values, fields)}
      </span>
      {writes && (
        <Button look="quiet" onClick={() => setEditing(true)} aria-label={`Change ${item.name}`}>
          Change
        </Button>
      )}
      <Modal
        open={editing}
        onOpenChange={setEditing}
        title={item.name}
        says="Visits that already use this item are not affected."
      >
        <form onSubmit={save} className="space-y-4">
          <NameAndPlace name={name} place={place} onName={setName} onPlace={setPlace} />
          <div className="flex gap-2">
            <Button type="submit" look="next" disabled={changes.change.isPending}>
              Save
            </Button>
            <Button onClick={remove} disabled={changes.drop.isPending}>
              Remove from shelf
            </Button>
          </div>
        </form>
      </Modal>
    </li>
  );
}
