import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useCallback, useEffect, useState } from "react";
import { fieldId } from "@/shared/api/field-ids";
import { useMeasuringLists } from "@/shared/api/measuring";
import { STEP_IDS } from "@/shared/steps";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Select } from "@/shared/ui/select";
import { Skeleton } from "@/shared/ui/skeleton";
import { sayPosture } from "@/shared/words/postures";
import { useDrawingStore, usePicked } from "../../state/drawing-store";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells, useQueue } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { DimensionCard } from "./dimension-card";
import { DimensionList } from "./dimension-list";
import { HowTheySit } from "./how-they-sit";
import { useDeviceTyping } from "./use-device-typing";

/** Measure: one dimension at a time, large; two readings, a third where they differ. */
export function MeasurePanel() {
  const { unit, readOnly, fields } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const drawnVisit = useWorkup();
  const { sought, go } = useNavigation();
  const { setTape } = useDrawingStore();
  const all = drawnVisit?.measured ?? [];
  const list = all.filter((measured) => measured.listed);
  const [chosen, setChosen] = useState<string | null>(null);
  // choosing one again puts the focus back into its field
  const [times, setTimes] = useState(0);
  const choose = useCallback((to: string) => {
    setChosen(to);
    setTimes((last) => last + 1);
  }, []);
  const now =
    all.find((measured) => measured.dimension === chosen) ??
    all.find((measured) => measured.doubts.some((doubt) => !doubt.kept)) ??
    list.find((measured) => !measured.done) ??
    list[0] ??
    all[0];
  const name = now?.dimension ?? null;
  useEffect(() => {
    setTape(name);
    return () => setTape(null);
  }, [name, setTape]);
  usePicked((part) => {
    const known = all.some((measured) => measured.dimension === part);
    if (known) setChosen(part);
    return known;
  });
  useEffect(() => {
    if (chosen === null && name) setChosen(name);
  }, [chosen, name]);
  useEffect(() => {
    const [, dimension] = /^measure\.(\w+)\./.exec(sought ?? "") ?? [];
    if (dimension) setChosen(dimension);
  }, [sought]);
  const places = list.some((measured) => measured.dimension === name) ? list : all;
  const value = places.findIndex((place) => place.dimension === name);
  // after the last one: what is still open of the list, before it is on to the next step
  const stillOpen = list.find((measured) => !measured.done && measured.dimension !== name);
  const next = places[value + 1] ?? stillOpen;
  const step = useCallback(
    (by: number) => {
      const to = by > 0 ? next : places[value - 1];
      if (to) setChosen(to.dimension);
      else if (by > 0) go("work");
    },
    [places, value, next, go],
  );
  const typedByDevice = useCallback(
    (text: string) => {
      if (!name || readOnly) return;
      const open = ["first", "second", "third"].find(
        (reading) => !cells.get(`measure.${name}.${reading}`)?.typed,
      );
      if (open) queue.type(`measure.${name}.${open}`, text, unit);
    },
    [name, readOnly, cells, queue, unit],
  );
  useDeviceTyping(
    typedByDevice,
    useCallback(
      (digit: number) => {
        const to = STEP_IDS[digit - 1];
        if (to) go(to);
      },
      [go],
    ),
  );
  if (!now) return <Skeleton lines={8} label={t`Loading`} />;
  const done = list.filter((measured) => measured.done).length;
  const turns = next && next.posture !== now.posture;
  const sheet = all.flatMap((measured) => measured.doubts).find((doubt) => doubt.kind === "sheet");
  return (
    <div className="flex min-h-full flex-col pb-5">
      <div className="flex items-center justify-between gap-2">
        <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
          {t`Measure`}
        </h2>
        <ListChoice />
        <p className="figures text-soft">
          <Trans>
            {done} of {list.length}
          </Trans>
        </p>
      </div>
      {sheet && (
        <Notice role="alert" className="mt-2 text-sm">
          {sheet.text}
        </Notice>
      )}
      <DimensionCard key={`${now.dimension} ${times}`} measured={now} onStep={step} />
      <Button
        look="next"
        className="mt-3 w-full shrink-0"
        data-next=""
        aria-keyshortcuts="n"
        onClick={() => step(1)}
      >
        {!next
          ? t`Continue to Work out`
          : turns
            ? t`Now ${sayPosture(next.posture)}: ${next.label}`
            : t`Next: ${next.label}`}
      </Button>
      <DimensionList all={all} present={name} onChoose={choose} />
      <Again onChoose={choose} />
      <HowTheySit fields={fields} />
    </div>
  );
}

function ListChoice() {
  const { unit, readOnly } = useVisitFacts();
  const queue = useQueue();
  const cells = useCells();
  const lists = useMeasuringLists().data ?? [];
  const chosen = cells.get(fieldId("measure.list"))?.typed || "short";
  return (
    <Select
      label={t`List`}
      value={chosen}
      disabled={readOnly}
      onChange={(list) => queue.type(fieldId("measure.list"), list, unit)}
      className="min-w-0 flex-1 text-sm"
      options={[
        { value: "short", label: t`Short list` },
        { value: "full", label: t`Full list` },
        ...lists.map((list) => ({ value: list.id, label: list.name })),
        ...(["short", "full", ...lists.map((list) => list.id)].includes(chosen)
          ? []
          : [{ value: chosen, label: t`Deleted list (short list used)` }]),
      ]}
    />
  );
}

/** What to measure again, by what it would narrow. */
function Again({ onChoose }: { onChoose: (name: string) => void }) {
  const drawnVisit = useWorkup();
  const again = drawnVisit?.again.slice(0, 4) ?? [];
  if (!again.length) return null;
  return (
    <section className="mt-5" aria-label={t`What would make the targets more certain`}>
      <h3 className="border-b border-ink text-sm font-semibold">
        {t`What would make the targets more certain`}
      </h3>
      <ol className="text-sm">
        {again.map((remeasure) => (
          <li key={remeasure.dimension} className="border-b border-hair">
            <button
              type="button"
              className="min-h-11 w-full py-1.5 text-start hover:bg-deep"
              onClick={() => onChoose(remeasure.dimension)}
            >
              <span className="font-semibold">
                {remeasure.label}
                {remeasure.measured ? ", again" : t`, with the tape`}
              </span>
              {remeasure.says.slice(0, 2).map((line) => (
                <span key={line} className="figures block text-soft">
                  {line}
                </span>
              ))}
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}
