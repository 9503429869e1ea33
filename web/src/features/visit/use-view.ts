import { useEffect, useMemo } from "react";
import type { View } from "@/shared/api/queries";
import type { StepId } from "@/shared/steps";
import { NARROW, useMedia } from "@/shared/use-media";
import type { PlaceId } from "./at-place";
import { type DrawingState, type DrawingStore, useDrawing } from "./state/drawing-store";
import type { VisitFacts } from "./state/facts";

/** What each step shows unless somebody chose otherwise there. */
const SHOWN: Record<StepId, View["show"]> = {
  ask: "found",
  look: "found",
  measure: "found",
  work: "target",
  set: "left",
  pace: "target",
  report: "left",
};

export function showAt(
  step: StepId,
  { chosenShow }: Pick<DrawingState, "chosenShow">,
): View["show"] {
  return chosenShow?.step === step ? chosenShow.show : SHOWN[step];
}

export function modeAt(narrow: boolean, { mode }: Pick<DrawingState, "mode">): View["mode"] {
  if (narrow) return mode && mode !== "both" ? mode : "seated";
  return mode ?? "both";
}

/** Which figures are drawn, with what settings. */
export function useShown(step: StepId): {
  mode: View["mode"];
  show: View["show"];
  narrow: boolean;
} {
  const narrow = useMedia(NARROW);
  const mode = useDrawing((state) => modeAt(narrow, state));
  const show = useDrawing((state) => showAt(step, state));
  return { mode, show, narrow };
}

/** What of the visit is looked at: what is worked out, and how it is drawn. */
export function useView(
  step: StepId,
  part: string | null,
  unit: VisitFacts["unit"],
  place: PlaceId,
): { view: View | null; trying: boolean; grips: boolean } {
  const { mode, show } = useShown(step);
  const size = useDrawing((state) => state.size);
  const tape = useDrawing((state) => state.tape);
  const posed = useDrawing((state) => state.posed);
  const habits = useDrawing((state) => state.habits);
  const between = useDrawing((state) => state.between);
  const trying = step === "work" && show === "target" && between === null;
  const grips = trying && part === "try";
  const view = useMemo(
    () =>
      size && {
        ...size,
        unit,
        mode,
        show,
        place,
        body: step === "measure",
        plans: step === "work" && part === "plans",
        ...(between === null ? {} : { between }),
        ...(tape ? { tape } : {}),
        ...(tape && posed ? { layer: "measuring" as const } : {}),
        ...(habits ? { layer: "habits" as const } : {}),
        ...(grips ? { grips } : {}),
      },
    [size, unit, mode, show, place, step, part, between, tape, posed, habits, grips],
  );
  return { view, trying, grips };
}

/** A drawing as it was left is not what the next step shows. */
export function useFreshDrawing(drawing: DrawingStore, step: StepId, part: string | null): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: at each step and part anew
  useEffect(() => {
    drawing.set({ active: null, chosenRoom: null, between: null });
  }, [drawing, step]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a press is for the part it was made in
  useEffect(() => {
    const soon = setTimeout(drawing.forgetPick, 500);
    return () => clearTimeout(soon);
  }, [drawing, step, part]);
}
