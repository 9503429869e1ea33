import { createContext, useContext, useEffect, useState } from "react";
import { useStore } from "zustand";
import type { Schemas } from "@/shared/api/client";
import { coreRunner } from "./core-runner";
import { type Place, type WhatIfState, WhatIfStore } from "./what-if-store";

export const BenchContext = createContext<WhatIfStore | null>(null);

/** Where things are tried and not kept. */
export function useBench(): WhatIfStore {
  const bench = useContext(BenchContext);
  if (!bench) throw new Error("outside a visit");
  return bench;
}

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
  return useStore(useBench().store);
}

/** The rows to show: what is tried where something is, else what is kept. */
export function rowsOf(
  trial: WhatIfState,
  drawnVisit: Schemas["DrawnVisit"] | undefined,
): readonly Schemas["RowView"][] {
  return trial.tried?.rows ?? drawnVisit?.rows ?? [];
}
