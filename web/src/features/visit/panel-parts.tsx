import type { ReactNode } from "react";

/** The foot of a panel: what to do next, always in sight. */
export function PanelFoot({ children }: { children: ReactNode }) {
  return (
    <div className="panel-foot sticky bottom-0 z-10 mt-auto bg-paper pt-3 pb-4 desk:pb-5">
      {children}
    </div>
  );
}

/** The heading of a step: where the focus goes on arrival. */
export function StepHead({
  says,
  aside,
  children,
}: {
  says?: ReactNode;
  aside?: ReactNode;
  children: ReactNode;
}) {
  return (
    <div className="mb-3">
      <div className="flex items-baseline justify-between gap-3">
        <h2 data-arrival="" tabIndex={-1} className="text-xl outline-none">
          {children}
        </h2>
        {aside}
      </div>
      {says && <p className="text-soft">{says}</p>}
    </div>
  );
}
