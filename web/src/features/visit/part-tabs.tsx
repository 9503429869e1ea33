import type { KeyboardEvent } from "react";

/** The parts of a step: a dot says whether a part has what it needs; arrow keys move. */
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
  const step = (event: KeyboardEvent, by: number) => {
    const at = parts.findIndex((part) => part.name === present);
    const next = parts[(at + by + parts.length) % parts.length];
    if (!next) return;
    event.preventDefault();
    onChoose(next.name);
    const tabs = event.currentTarget.querySelectorAll<HTMLElement>("[role=tab]");
    tabs[parts.indexOf(next)]?.focus();
  };
  return (
    <div
      role="tablist"
      onKeyDown={(event) => {
        if (event.key === "ArrowRight") step(event, 1);
        if (event.key === "ArrowLeft") step(event, -1);
      }}
      aria-label={label}
      className="mb-4 flex flex-wrap gap-x-3 border-b border-hair"
    >
      {parts.map(({ name, open, says }) => (
        <button
          key={name}
          type="button"
          role="tab"
          aria-selected={name === present}
          tabIndex={name === present ? 0 : -1}
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
