import { t } from "@lingui/core/macro";
import { clsx } from "clsx";
import { ChevronDown, ChevronUp } from "lucide-react";
import { memo, useEffect, useState } from "react";
import { usePhone } from "@/shared/use-media";
import type { Room } from "./layout";
import { useDrawing, useDrawingStore } from "./state/drawing-store";
import { WhatIfStage } from "./what-if/what-if-stage";

const UNSEEN = { width: 860, height: 640 };

/** Where the elevation is, or what takes its place; on a phone a sheet from below. */
export const DrawingRoom = memo(function DrawingRoom({
  room,
  trying,
}: {
  room: Room;
  trying: boolean;
}) {
  const phone = usePhone();
  const { set, setRoom, store } = useDrawingStore();
  const away = phone || room === "wide";
  useEffect(() => {
    // what is not drawn yet is worked out all the same
    if (away && !store.getState().size) set({ size: UNSEEN });
  }, [away, set, store]);
  const taken = useDrawing((state) => state.taken > 0 && state.chosenRoom === null);
  if (phone) return <Sheet inFlow={room === "paper"} taken={taken} trying={trying} />;
  if (away) return null;
  return (
    <div className="relative flex min-h-0 min-w-0 flex-col border-s border-hair">
      <div
        ref={setRoom}
        tabIndex={taken ? 0 : -1}
        className={
          taken ? "absolute inset-0 z-10 flex flex-col overflow-y-auto bg-ground" : "hidden"
        }
      />
      <WhatIfStage dragged={trying} away={taken} />
    </div>
  );
});

type Height = "shut" | "half" | "full";
const HEIGHTS: Record<Height, string> = {
  shut: "h-11",
  half: "h-[52dvh]",
  full: "h-[calc(100dvh-52px)]",
};

/** The drawing on a phone: a handle at the bottom, half the window, or all of it. */
function Sheet({ inFlow, taken, trying }: { inFlow: boolean; taken: boolean; trying: boolean }) {
  const { setRoom } = useDrawingStore();
  const [height, setHeight] = useState<Height>("shut");
  if (inFlow)
    return (
      <div
        ref={setRoom}
        className="flex shrink-0 flex-col border-t border-ink bg-ground has-[[data-testid=body-map]]:order-first has-[[data-testid=body-map]]:h-[66dvh]"
      />
    );
  const open = height !== "shut";
  const Arrow = open ? ChevronDown : ChevronUp;
  return (
    <div className="relative h-11">
      <section
        aria-label={t`Drawing`}
        className={clsx(
          "absolute inset-x-0 bottom-0 z-30 flex flex-col border-t border-ink bg-ground",
          HEIGHTS[height],
        )}
      >
        <div className="flex h-11 shrink-0">
          <button
            type="button"
            aria-expanded={open}
            onClick={() => setHeight(open ? "shut" : "half")}
            className="flex min-h-11 flex-1 items-center justify-center gap-2 font-semibold"
          >
            <Arrow size={18} aria-hidden="true" />
            {t`Drawing`}
          </button>
          {open && (
            <button
              type="button"
              onClick={() => setHeight(height === "full" ? "half" : "full")}
              className="min-h-11 px-4 text-sm underline"
            >
              {height === "full" ? t`Half` : t`Full`}
            </button>
          )}
        </div>
        {open && (
          <div className="relative flex min-h-0 flex-1 flex-col overflow-y-auto">
            <div
              ref={setRoom}
              className={
                taken ? "absolute inset-0 z-10 flex flex-col overflow-y-auto bg-ground" : "hidden"
              }
            />
            <WhatIfStage dragged={trying} away={taken} />
          </div>
        )}
      </section>
    </div>
  );
}
