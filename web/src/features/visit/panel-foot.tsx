import type { ReactNode } from "react";

/** The foot of a panel: what to do next, always in sight. */
export function PanelFoot({ children }: { children: ReactNode }) {
  return (
    <div className="panel-foot sticky bottom-0 z-10 mt-auto bg-paper pt-3 pb-4 desk:pb-5">
      {children}
    </div>
  );
}
