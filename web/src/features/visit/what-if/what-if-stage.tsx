import { replaceEqualDeep } from "@tanstack/react-query";
import { useCallback, useMemo, useRef } from "react";
import { Stage } from "../stage";
import { useVisitFacts } from "../state/facts";
import { useDrawn } from "../state/workup";
import { useAhead } from "./ahead";
import { rowsOf, useBench, useWhatIf } from "./bench";
import { draggedTo, type Held, heldBy, nudgedTo } from "./dragging";
import { WhatIfBar } from "./what-if-bar";

/** The drawing with what is tried in it, and a hand on its pieces. */
export function WhatIfStage({ dragged, away }: { dragged: boolean; away: boolean }) {
  const { fields, unit } = useVisitFacts();
  const drawnVisit = useDrawn();
  const bench = useBench();
  const trial = useWhatIf();
  const ahead = useAhead(drawnVisit, away);
  // what is as the page itself drew it stays the same object, so that it is not drawn again
  const answered = useMemo(
    () => replaceEqualDeep(ahead.drawn, drawnVisit?.scene),
    [ahead.drawn, drawnVisit],
  );
  const scene = trial.tried?.scene ?? (ahead.shown ? ahead.drawn : answered) ?? undefined;
  const rows = rowsOf(trial, drawnVisit);
  const held = useRef<Held | null>(null);
  const grab = useCallback(
    (part: string, posture: string) => {
      held.current = scene ? heldBy(part, posture, rows, scene) : null;
      return held.current !== null;
    },
    [scene, rows],
  );
  const ends = useCallback((path: string) => fields.find((field) => field.id === path), [fields]);
  const drag = useCallback(
    (dx: number, dy: number) => {
      const grip = held.current;
      if (grip && scene)
        bench.put(grip.path, draggedTo(grip, dx, dy, scene, unit, ends(grip.path)));
    },
    [scene, bench, unit, ends],
  );
  const nudge = useCallback(
    (up: number) => {
      const grip = held.current;
      if (grip) bench.put(grip.path, nudgedTo(grip, up, unit, ends(grip.path)));
    },
    [bench, unit, ends],
  );
  return (
    <Stage
      away={away}
      scene={scene}
      rows={rows}
      hand={dragged ? { grab, drag, nudge } : null}
      head={dragged && trial.on ? <WhatIfBar /> : null}
    />
  );
}
