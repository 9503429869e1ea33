import { t } from "@lingui/core/macro";
import { Link, useParams, useSearch } from "@tanstack/react-router";
import { Tooltip } from "radix-ui";
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from "react";
import { useStore } from "zustand";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { useFields, useVisit, useWorked } from "@/shared/api/queries";
import { network } from "@/shared/device/network";
import { useUnitSwitch } from "@/shared/settings";
import { STEP_IDS, type StepId } from "@/shared/steps";
import { Skeleton } from "@/shared/ui/skeleton";
import { MAIN } from "./at-place";
import { useChangeQueue, useWordsThere } from "./saving/use-change-queue";
import { DrawingContext, DrawingStore, useDrawing, useDrawingStore } from "./state/drawing-store";
import { type VisitFacts, VisitFactsContext } from "./state/facts";
import { NavigationContext, useNavigation, useNavigationOf } from "./state/navigation";
import { RecordingContext, useRecording, useRecordingAt } from "./state/recording";
import { DrawnContext, WorkupContext } from "./state/workup";
import { useFreshDrawing, useShown, useView } from "./use-view";
import { VisitFrame } from "./visit-frame";
import { BenchContext, useWhatIfStore } from "./what-if/bench";

export function VisitPage() {
  const { visitId, step } = useParams({ from: "/visits/$visitId/$step" });
  const visit = useVisit(visitId);
  const fields = useFields();
  const words = useWordsThere(visitId);
  const away = useStore(network, (state) => state.away);
  const known = STEP_IDS.find((id) => id === step) ?? "ask";
  if (visit.isError && !visit.data)
    return (
      <main id="main" className="p-8">
        <h1 className="mb-3 text-2xl">{t`This visit can’t be opened`}</h1>
        <p role="alert" className="mb-3">
          {visit.error.message}
        </p>
        <Link to="/" className="underline">
          {t`Back to Today`}
        </Link>
      </main>
    );
  if (!visit.data || !fields.data || !words)
    return (
      <main id="main" className="grid h-full grid-rows-[56px_1fr] gap-6 p-6">
        <Skeleton page lines={1} label={t`Loading`} />
        <div className="max-w-md">
          <Skeleton lines={9} label={t`Loading`} />
          {away && (
            <p className="mt-4 text-soft">{t`Offline, the first visit takes a few seconds to open.`}</p>
          )}
        </div>
      </main>
    );
  return <OpenVisit key={visitId} visit={visit.data} fields={fields.data} step={known} />;
}

/** What every part of an open visit can reach, by subject. */
function OpenVisit({
  visit,
  fields,
  step,
}: {
  visit: Schemas["OpenVisit"];
  fields: Schemas["Fields"];
  step: StepId;
}) {
  const search = useSearch({ from: "/visits/$visitId/$step" });
  const kept = useChangeQueue(visit);
  const [drawing] = useState(() => new DrawingStore());
  const every = useMemo(() => [...fields.fields, ...fields.families], [fields]);
  const navigation = useNavigationOf(visit.id, step, search, every);
  const recording = useRecordingAt(kept, search.place ?? MAIN);
  return (
    <NavigationContext.Provider value={navigation}>
      <RecordingContext.Provider value={recording}>
        <DrawingContext.Provider value={drawing}>
          <Tooltip.Provider delayDuration={400}>
            <WorkedVisit visit={visit} catalogue={fields} />
          </Tooltip.Provider>
        </DrawingContext.Provider>
      </RecordingContext.Provider>
    </NavigationContext.Provider>
  );
}

/** The visit with what it comes to, worked out as it is looked at. */
function WorkedVisit({
  visit,
  catalogue,
}: {
  visit: Schemas["OpenVisit"];
  catalogue: Schemas["Fields"];
}) {
  const me = useMe().data;
  const { unit } = useUnitSwitch(me?.unit ?? "cm");
  const { step, part } = useNavigation();
  const { place } = useRecording();
  const { view, trying, grips } = useView(step, part, unit, place);
  const drawn = useWorked(visit.id, view).data;
  const [worked, open] = [useDeferredValue(drawn), useDeferredValue(visit)];
  const sits = worked?.seated_possible ?? true;
  const readOnly = !me?.writes;
  const facts = useMemo<VisitFacts>(
    () => ({
      visit: open,
      catalogue,
      fields: sits ? catalogue.fields : catalogue.fields.filter((field) => !field.of_the_seat),
      unit,
      readOnly,
      place,
    }),
    [open, catalogue, sits, unit, readOnly, place],
  );
  const bench = useBenchOf(facts, drawn?.revision ?? visit.revision, trying, grips);
  const { kept } = useRecording();
  useEffect(() => {
    kept.view = view; // the last change in the queue brings it back worked out anew
  });
  useFreshDrawing(useDrawingStore(), step, part);
  return (
    <VisitFactsContext.Provider value={facts}>
      <DrawnContext.Provider value={drawn}>
        <WorkupContext.Provider value={worked}>
          <BenchContext.Provider value={bench}>
            <VisitFrame trying={trying} />
          </BenchContext.Provider>
        </WorkupContext.Provider>
      </DrawnContext.Provider>
    </VisitFactsContext.Provider>
  );
}

/** Where things are tried and not kept, drawn as the visit is drawn. */
function useBenchOf(facts: VisitFacts, revision: number, working: boolean, grips: boolean) {
  const { visit, catalogue, unit, place } = facts;
  const { step } = useNavigation();
  const size = useDrawing((state) => state.size);
  const { mode } = useShown(step);
  const scene = useMemo(
    () => (size ? { ...size, unit, mode, show: "target" as const, grips } : null),
    [size, unit, mode, grips],
  );
  const isLength = useCallback(
    (path: string) => catalogue.fields.find((field) => field.id === path)?.kind === "length",
    [catalogue],
  );
  const visitId = place === MAIN ? visit.id : `${visit.id}#${place}`;
  return useWhatIfStore({ visitId, revision, scene, unit, working, isLength });
}
