/** Something is under way, and nobody can say for how long. */
export function Waiting({ children }: { children: string }) {
  return (
    <div role="status" className="my-2 text-sm text-soft">
      {children}
      <progress aria-label={children} className="mt-1 block h-2 w-full max-w-80 accent-ink" />
    </div>
  );
}
