import { useEffect, useState, useSyncExternalStore } from "react";
import type { Schemas } from "@/shared/api/client";
import { useVisitState } from "../visit-context";
import { coreRunner } from "./core-runner";
import { type Place, type WhatIfState, WhatIfStore } from "./what-if-store";

/** The bench of the visit that is open; it draws nothing again by itself. */
export function useWhatIfStore(place: Place): WhatIfStore {
  const { visitId, revision, scene, unit, working, isLength } = place;
  const [store] = useState(() => new WhatIfStore(coreRunner()));
  useEffect(
    () => store.settle({ visitId, revision, scene, unit, working, isLength }),
    [store, visitId, revision, scene, unit, working, isLength],
  );
  return store;
}

/** What is being tried, as it changes. */
export function useWhatIf(): WhatIfState {
  const { bench } = useVisitState();
  return useSyncExternalStore(bench.subscribe, bench.read);
}

/** The rows to show: what is tried where something is, else what is kept. */
export function rowsOf(
  trial: WhatIfState,
  worked: Schemas["VisitWorkup"] | undefined,
): readonly Schemas["RowView"][] {
  return trial.tried?.rows ?? worked?.rows ?? [];
}
