/** What will stand here, as grey lines, while it is fetched. */
export function Skeleton({ lines = 6, label = "Loading" }: { lines?: number; label?: string }) {
  return (
    <div role="status" aria-label={label} className="space-y-3">
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
