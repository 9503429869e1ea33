import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type FormEvent, useState } from "react";
import { Refused, type Schemas } from "@/shared/api/client";
import { usePopulationTables, useTableChanges } from "@/shared/api/measuring";
import { useNewId } from "@/shared/new-id";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";
import { doneLater } from "@/shared/ui/undo";
import { Troubles } from "./troubles";

/** Tables of populations that values are held against, beside the program's own. */
export function Tables({ mayWrite }: { mayWrite: boolean }) {
  const tables = usePopulationTables();
  const { add, drop } = useTableChanges();
  const [id, renew] = useNewId();
  const [adding, setAdding] = useState(false);
  const [going, setGoing] = useState<readonly string[]>([]);
  const shown = (tables.data ?? []).filter((table) => !going.includes(table.id));
  const remove = ({ id: one, name }: Schemas["TableView"]) => {
    const back = () => setGoing((last) => last.filter((other) => other !== one));
    setGoing((last) => [...last, one]);
    doneLater(
      t`The table “${name}” was deleted.`,
      () => drop.mutate({ params: { path: { table_id: one } } }, { onError: back }),
      back,
    );
  };
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const formData = new FormData(event.currentTarget);
    const file = formData.get("file");
    const text = file instanceof File ? await file.text() : "";
    add.mutate(
      {
        body: {
          id,
          name: String(formData.get("name")),
          origin: String(formData.get("origin")),
          text,
        },
      },
      {
        onSuccess: () => {
          setAdding(false);
          renew();
        },
      },
    );
  };
  const lines = add.error instanceof Refused ? (add.error.problem.lines ?? []) : [];
  return (
    <section aria-label={t`Reference data`}>
      <p className="mb-4 max-w-[680px]">
        {t`Percentiles, estimates and queries use reference data for a population. Measure shows which, and you can choose another for each visit. Missing dimensions are taken from the built-in data.`}
      </p>
      <ul>
        <li className="border-t border-hair py-3">
          <h2 className="text-lg">{t`British adults aged 19 to 65`}</h2>
          <p className="text-soft">
            {t`Built in. Estimates published by Pheasant and Haslegrave, Bodyspace; correlations with stature are default values.`}
          </p>
        </li>
        {shown.map((table) => (
          <li key={table.id} className="flex items-start gap-4 border-t border-hair py-3">
            <div className="min-w-0 flex-1">
              <h2 className="text-lg">{table.name}</h2>
              <p className="text-soft">
                <Trans>
                  {table.origin}. {table.lines} lines, {table.dimensions.length} dimensions; added
                  by {table.added_by}.
                </Trans>
              </p>
            </div>
            {mayWrite && (
              <Button look="quiet" onClick={() => remove(table)}>
                {t`Delete`}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayWrite && !adding && tables.isFetched && (
        <Button look="next" className="mt-3" onClick={() => setAdding(true)}>
          {t`Add reference data`}
        </Button>
      )}
      {adding && (
        <form onSubmit={save} className="mt-3 max-w-[560px] space-y-3 border border-ink/40 p-4">
          <LabelledInput label={t`Name`} name="name" required maxLength={200} />
          <LabelledInput
            label={t`Source`}
            name="origin"
            required
            maxLength={200}
            help={t`Who was measured, when and by whom. Shown next to every percentile.`}
          />
          <LabelledInput
            label={t`CSV file`}
            name="file"
            type="file"
            accept=".csv,text/csv"
            required
            help={t`Columns: dimension, sex, mean_mm, sd_mm, and r_stature if known.`}
          />
          {add.isError && (
            <Notice role="alert">
              {add.error.message}
              <Troubles lines={lines} />
            </Notice>
          )}
          <Button look="next" type="submit" disabled={add.isPending}>
            {t`Check and save`}
          </Button>
        </form>
      )}
    </section>
  );
}
