import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";

/** State by shape: filled dot on plumb, ring to be set, a stroke into a bar where something ends it, bob for next. */
export function RowMark({ row, next }: { row: Schemas["RowView"]; next: boolean }) {
  const limited = row.state === "stopped" || row.limited;
  const words = next
    ? "next"
    : row.overruled
      ? "overruled"
      : limited
        ? t`ends before the target`
        : row.target === null
          ? t`not assessable`
          : row.status === "off"
            ? "off"
            : t`on plumb`;
  return (
    <svg width="18" height="24" viewBox="0 0 18 24" role="img" aria-label={words}>
      {next ? (
        <path d="M4 5h10l1.5 7L9 22 2.5 12z" fill="var(--accent)" />
      ) : row.overruled ? (
        <path d="M3 6h12v5l-4 2 4 2v4H3z" fill="none" stroke="var(--blue)" strokeWidth="1.8" />
      ) : row.target === null ? (
        <path d="M4 12h10" stroke="var(--soft)" strokeWidth="1.6" strokeDasharray="2 2" />
      ) : limited ? (
        <path d="M2 12h9M12 5v14" stroke="var(--ink)" strokeWidth="2.6" />
      ) : row.status === "off" ? (
        <circle cx="9" cy="12" r="5" fill="none" stroke="var(--ink)" strokeWidth="1.8" />
      ) : (
        <circle cx="9" cy="12" r="3.2" fill="var(--ink)" />
      )}
    </svg>
  );
}
