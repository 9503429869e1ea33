import { type ComponentProps, useCallback, useRef } from "react";
import { Stage } from "../stage";
import { useVisitState } from "../visit-context";
import { draggedTo, type Held, heldBy, nudgedTo } from "./dragging";
import { rowsOf, useWhatIf } from "./use-what-if";
import { WhatIfBar } from "./what-if-bar";

type Props = Omit<
  ComponentProps<typeof Stage>,
  "scene" | "rows" | "onGrab" | "onDrag" | "onNudge" | "head"
>;

/** The drawing with what is tried in it, and a hand on its pieces. */
export function WhatIfStage({ dragged, ...stage }: Props & { dragged: boolean }) {
  const { bench, worked, fields, unit } = useVisitState();
  const trial = useWhatIf();
  const scene = trial.tried?.scene ?? worked?.scene;
  const rows = rowsOf(trial, worked);
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
      {...stage}
      scene={scene}
      rows={rows}
      {...(dragged ? { onGrab: grab, onDrag: drag, onNudge: nudge } : {})}
      head={dragged && trial.on ? <WhatIfBar /> : null}
    />
  );
}
