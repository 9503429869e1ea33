import type { ReactNode } from "react";

/** The foot of a panel: what to do next, always in sight. */
export function PanelFoot({ children }: { children: ReactNode }) {
  return <div className="sticky bottom-0 mt-auto bg-paper pt-3 pb-5">{children}</div>;
}
