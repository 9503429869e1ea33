import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Sun } from "lucide-react";
import { fieldId } from "@/shared/api/field-ids";
import { useLightMeter } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { Notice } from "@/shared/ui/notice";
import { FieldRow } from "../../field-row";
import { useVisitFacts } from "../../state/facts";
import { useCells, useQueue } from "../../state/recording";

/** The room or home: light with its meter, then one answer for each thing. */
export function Room() {
  const { catalogue, fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const unanswered = catalogue.room
    .map((item) => `look.room.${item.id}`)
    .filter((path) => !cells.get(path)?.typed);
  const allRight = () =>
    queue.typeAll(
      unanswered.map((path) => [path, "right"] as const),
      unit,
    );
  const field = (id: string) => fields.find((field) => field.id === id);
  const groups = [...new Set(catalogue.room.map((item) => item.group))];
  return (
    <div>
      {!readOnly && unanswered.length > 0 && (
        <Button className="mb-4 w-full desk:w-auto" onClick={allRight}>
          {unanswered.length === catalogue.room.length
            ? t`All checked: in order`
            : t`The other ${unanswered.length}: in order`}
        </Button>
      )}
      <div className="desk:columns-2 desk:gap-x-10">
        <Light />
        {groups.map((group) => (
          <section key={group} className="mb-4 break-inside-avoid-column">
            <h3 className="border-b border-ink text-sm font-semibold">{group}</h3>
            {catalogue.room
              .filter((item) => item.group === group)
              .map((item) => {
                const main = field(`look.room.${item.id}`);
                const note = field(`look.room.${item.id}.note`);
                const wrong = cells.get(`look.room.${item.id}`)?.typed === "wrong";
                return (
                  <div key={item.id} className="border-b border-hair py-2">
                    {main && <FieldRow field={main} />}
                    {wrong && (
                      <div className="mt-1.5 border-s-4 border-ink ps-3 text-sm">
                        <p>
                          {item.why} <b>{item.advice}</b>
                        </p>
                        {note && <FieldRow field={{ ...note, label: "Note" }} />}
                      </div>
                    )}
                  </div>
                );
              })}
          </section>
        ))}
      </div>
    </div>
  );
}

function Light() {
  const { catalogue, fields, unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const meter = useLightMeter();
  const task = cells.get(fieldId("look.room.light_for"))?.typed ?? "";
  const band = catalogue.light.find((lightTask) => lightTask.id === (task || "screen"));
  const mine = fields.filter(
    (field) => field.id === fieldId("look.room.light_for") || field.id === fieldId("look.room.lux"),
  );
  const take = () =>
    meter.mutate(undefined, {
      onSuccess: (read) => queue.type(fieldId("look.room.lux"), `${Math.round(read.lux)}`, unit),
    });
  return (
    <section
      className="mb-4 break-inside-avoid-column space-y-3 border border-ink/40 bg-ground p-3"
      aria-label={t`Light`}
    >
      {mine.map((field) => (
        <FieldRow key={field.id} field={field} />
      ))}
      {band && (
        <p className="figures text-sm text-soft">
          <Trans>
            {band.label}: {band.least} to {band.most} lux.
          </Trans>
        </p>
      )}
      {!readOnly && (
        <Button onClick={take} disabled={meter.isPending} className="w-full">
          <Sun size={18} aria-hidden="true" />
          {meter.isPending ? t`Reading…` : t`Read light meter`}
        </Button>
      )}
      <div aria-live="polite">
        <Failure of={meter} className="text-sm" />
        {meter.data?.warning && <Notice className="text-sm">{meter.data.warning}</Notice>}
      </div>
    </section>
  );
}
