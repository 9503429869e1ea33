import { t } from "@lingui/core/macro";
/** What will stand here, as grey lines, while it is fetched; `page`: it stands for a whole page, heading included. */
export function Skeleton({
  lines = 6,
  label = t`Loading`,
  page = false,
}: {
  lines?: number;
  label?: string;
  page?: boolean;
}) {
  return (
    <div role="status" aria-label={label} className="space-y-3">
      {page && <h1 className="sr-only">{label}</h1>}
      {Array.from({ length: lines }, (_, index) => (
        <div
          // biome-ignore lint/suspicious/noArrayIndexKey: lines of nothing, all alike
          key={index}
          className="skeleton h-5 bg-deep"
          style={{ width: `${96 - ((index * 17) % 40)}%` }}
        />
      ))}
    </div>
  );
}
