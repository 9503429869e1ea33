/** The parts of a step: a dot says whether a part has what it needs. */
export function PartTabs({
  label,
  parts,
  present,
  onChoose,
}: {
  label: string;
  parts: readonly { name: string; open?: boolean; says?: string }[];
  present: string;
  onChoose: (name: string) => void;
}) {
  return (
    <div
      role="tablist"
      aria-label={label}
      className="mb-4 flex flex-wrap gap-x-3 border-b border-hair"
    >
      {parts.map(({ name, open, says }) => (
        <button
          key={name}
          type="button"
          role="tab"
          aria-selected={name === present}
          onClick={() => onChoose(name)}
          className={`-mb-px flex min-h-11 items-center gap-1.5 border-b-2 text-sm ${
            name === present ? "border-ink font-semibold" : "border-transparent text-soft"
          }`}
        >
          {name}
          {says && <span className="figures">{says}</span>}
          {open !== undefined && (
            <>
              <span
                aria-hidden="true"
                className={`size-1.5 rounded-full border border-ink ${open ? "" : "bg-ink"}`}
              />
              <span className="sr-only">{open ? ", open" : ", has what it needs"}</span>
            </>
          )}
        </button>
      ))}
    </div>
  );
}
