import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type FormEvent, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { useListChanges, useMeasuringLists } from "@/shared/api/measuring";
import { useFields } from "@/shared/api/queries";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Modal } from "@/shared/ui/modal";
import { saidWithUndo } from "@/shared/ui/undo";

type Kept = Schemas["ListView"];

/** The practice's own lists of dimensions, beside the short and the full one. */
export function Lists({ mayWrite }: { mayWrite: boolean }) {
  const lists = useMeasuringLists();
  const dimensions = useFields().data?.dimensions ?? [];
  const { drop, add } = useListChanges();
  const remove = ({ id, name, dimensions }: Kept) =>
    drop.mutate(
      { params: { path: { list_id: id } } },
      {
        onSuccess: () =>
          saidWithUndo(t`The list “${name}” was deleted.`, () =>
            add.mutateAsync({ body: { id, name, dimensions } }),
          ),
      },
    );
  const [editing, setEditing] = useState<Kept | "new" | null>(null);
  const label = (id: string) => dimensions.find((dimension) => dimension.id === id)?.label ?? id;
  return (
    <section aria-label={t`Lists`}>
      <p className="mb-4 max-w-[640px]">
        {t`Every visit starts with the short list: the dimensions its targets need. You can choose your own lists in Measure. Seated dimensions always come first, then standing ones.`}
      </p>
      <ul>
        {lists.data?.map((kept) => (
          <li key={kept.id} className="flex items-start gap-4 border-t border-hair py-3">
            <div className="min-w-0 flex-1">
              <h2 className="text-lg">{kept.name}</h2>
              <p className="text-soft">{kept.dimensions.map(label).join(", ")}</p>
            </div>
            {mayWrite && (
              <div className="flex gap-2">
                <Button onClick={() => setEditing(kept)}>{t`Change`}</Button>
                <Button look="quiet" onClick={() => remove(kept)}>
                  {t`Delete`}
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {lists.data?.length === 0 && (
        <p className="border-t border-hair py-3 text-soft">{t`None yet.`}</p>
      )}
      {mayWrite && (
        <Button look="next" className="mt-3" onClick={() => setEditing("new")}>
          {t`New list`}
        </Button>
      )}
      {editing && <Edit kept={editing} onDone={() => setEditing(null)} />}
    </section>
  );
}

function Edit({ kept, onDone }: { kept: Kept | "new"; onDone: () => void }) {
  const dimensions = useFields().data?.dimensions ?? [];
  const { add, change } = useListChanges();
  const [id] = useNewId();
  const old = kept === "new" ? null : kept;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(old?.dimensions));
  const put = old ? change : add;
  const save = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get("name"));
    const body = { name, dimensions: [...chosen] };
    const done = { onSuccess: onDone };
    if (old)
      change.mutate(
        { params: { path: { list_id: old.id } }, body: { version: old.version, ...body } },
        done,
      );
    else add.mutate({ body: { id, ...body } }, done);
  };
  const toggle = (id: string) =>
    setChosen((last) => {
      const next = new Set(last);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  return (
    <Modal open onOpenChange={(open) => !open && onDone()} title={old ? t`Edit list` : t`New list`}>
      <form onSubmit={save} className="space-y-3">
        <LabelledInput
          label={t`Name`}
          name="name"
          required
          maxLength={200}
          defaultValue={old?.name}
        />
        {(["seated", "standing"] as const).map((posture) => (
          <fieldset key={posture}>
            <legend className="font-semibold">
              {posture === "seated" ? t`Seated` : t`Standing`}
            </legend>
            <div className="grid gap-x-4 desk:grid-cols-2">
              {dimensions
                .filter((dimension) => dimension.posture === posture)
                .map((dimension) => (
                  <CheckBox
                    key={dimension.id}
                    checked={chosen.has(dimension.id)}
                    onChange={() => toggle(dimension.id)}
                  >
                    {dimension.label}
                  </CheckBox>
                ))}
            </div>
          </fieldset>
        ))}
        <Failure of={put} />
        <Button look="next" type="submit" disabled={!chosen.size || put.isPending}>
          <Trans>Save: {chosen.size} dimensions</Trans>
        </Button>
      </form>
    </Modal>
  );
}
