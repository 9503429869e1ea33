import { t } from "@lingui/core/macro";
import { Users } from "lucide-react";
import type { ChangeQueue } from "./saving/change-queue";
import { useVisitFacts } from "./state/facts";
import { usePulse } from "./use-pulse";

/** Who else has this visit open; nothing where nobody has. */
export function AlsoHere({ kept }: { kept: ChangeQueue }) {
  const { visit } = useVisitFacts();
  const others = usePulse(visit, kept);
  if (others.length === 0) return <span role="status" />;
  const names = others.map(({ name, own }) => (own ? t`you, on another page` : name)).join(", ");
  const words = t`Also here: ${names}`;
  return (
    <span role="status" title={words} className="flex min-w-0 items-center gap-1.5 text-sm">
      <Users size={16} aria-hidden="true" className="shrink-0" />
      <span className="truncate max-desk:sr-only">{words}</span>
    </span>
  );
}
