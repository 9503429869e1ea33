import { type ReactNode, useEffect } from "react";
import { createPortal } from "react-dom";
import { useVisitState } from "./visit-context";

/** Shows something in the place of the elevation as long as it is there. */
export function StagePortal({ label, children }: { label: string; children: ReactNode }) {
  const { stageRoom, takeStage } = useVisitState();
  useEffect(() => {
    takeStage(true);
    return () => takeStage(false);
  }, [takeStage]);
  if (!stageRoom) return null;
  return createPortal(
    <section aria-label={label} className="flex min-h-0 flex-1 flex-col">
      {children}
    </section>,
    stageRoom,
  );
}
