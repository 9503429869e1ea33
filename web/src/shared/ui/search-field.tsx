import { Search } from "lucide-react";

/** Looks through a list as one types. */
export function SearchField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (words: string) => void;
}) {
  return (
    <span className="relative min-w-0 flex-1 desk:w-64 desk:flex-none">
      <Search
        size={18}
        aria-hidden="true"
        className="pointer-events-none absolute top-1/2 start-3 -translate-y-1/2 text-soft"
      />
      <input
        autoComplete="off"
        type="search"
        aria-label={label}
        placeholder={label}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="min-h-11 w-full rounded-[3px] border border-ink/60 bg-ground pe-3 ps-10 placeholder:text-soft"
      />
    </span>
  );
}
