import { t } from "@lingui/core/macro";
import { Slider } from "radix-ui";
import { useDrawing, useDrawingStore } from "./state/drawing-store";
import { useNavigation } from "./state/navigation";
import { useWorkup } from "./state/workup";
import { useShown } from "./use-view";

const STEPS = 10;

/** Before and after on one slider: from what was found to what is aimed at, or was set. */
export function BeforeAfter() {
  const { step } = useNavigation();
  const { set } = useDrawingStore();
  const { show } = useShown(step);
  const between = useDrawing((state) => state.between);
  const found = useWorkup()?.rows.some((row) => row.at.found !== null) ?? false;
  if (!found) return null;
  const at = between ?? (show === "found" ? 0 : 1);
  const move = (value: number) => {
    // the slider leads from found to the target, unless what was set is shown
    const end = show === "left" ? "left" : "target";
    if (value >= 1) set({ chosenShow: { step, show: end }, between: null });
    else if (value <= 0) set({ chosenShow: { step, show: "found" }, between: null });
    else set({ chosenShow: { step, show: end }, between: value });
  };
  return (
    <div className="flex min-h-11 items-center gap-2 text-sm text-soft">
      <span aria-hidden="true">{t`Before`}</span>
      <Slider.Root
        min={0}
        max={STEPS}
        step={1}
        value={[Math.round(at * STEPS)]}
        onValueChange={([value]) => move((value ?? STEPS) / STEPS)}
        className="relative flex h-11 w-28 touch-none items-center"
      >
        <Slider.Track className="relative h-px flex-1 bg-ink">
          <Slider.Range className="absolute h-[3px] -translate-y-px bg-ink" />
        </Slider.Track>
        <Slider.Thumb
          aria-label={t`Before to after`}
          aria-valuetext={
            at <= 0
              ? t`as found`
              : at >= 1
                ? "after"
                : t`${Math.round(at * 100)} per cent of the way`
          }
          className="block size-5 rounded-full border-2 border-ink bg-ground"
        />
      </Slider.Root>
      <span aria-hidden="true">{t`After`}</span>
    </div>
  );
}
