import { type ReactNode, useEffect } from "react";
import { createPortal } from "react-dom";
import { useDrawing, useDrawingStore } from "./state/drawing-store";

/** Shows something in the place of the elevation as long as it is there. */
export function StagePortal({ label, children }: { label: string; children: ReactNode }) {
  const { takeStage } = useDrawingStore();
  const room = useDrawing((state) => state.room);
  useEffect(() => takeStage(), [takeStage]);
  if (!room) return null;
  return createPortal(
    <section aria-label={label} className="flex min-h-0 flex-1 flex-col">
      {children}
    </section>,
    room,
  );
}
