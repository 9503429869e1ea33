import { t } from "@lingui/core/macro";
import { useId } from "react";
import type { Schemas } from "@/shared/api/client";
import { Select } from "@/shared/ui/select";

/** One value of a piece that is kept, with its unit and its range. */
export function ValueInput({
  field,
  value,
  unit,
  wrong,
  onChange,
}: {
  field: Schemas["FieldView"];
  value: string;
  unit: string;
  /** What the server said of it. */
  wrong: string | null;
  onChange: (value: string) => void;
}) {
  const id = useId();
  const shown = field.kind === "length" ? unit : field.unit;
  if (field.kind === "choice")
    return (
      <div className="flex min-h-12 items-center justify-between gap-3 border-b border-hair py-1">
        <span>{field.label}</span>
        <Select
          label={field.label}
          value={value}
          onChange={onChange}
          className="w-44 shrink-0"
          options={[
            { value: "", label: t`Not recorded` },
            ...field.choices.map(([value, label]) => ({ value, label })),
          ]}
        />
      </div>
    );
  const numeric = field.kind === "length" || field.kind === "number";
  return (
    <div className="border-b border-hair py-1">
      <div className="flex min-h-12 items-center justify-between gap-3">
        <label htmlFor={id}>{field.label}</label>
        <span className="flex shrink-0 items-center gap-2">
          <input
            autoComplete="off"
            id={id}
            value={value}
            inputMode={numeric ? "decimal" : "text"}
            aria-invalid={wrong !== null || undefined}
            aria-describedby={wrong ? `${id}-wrong` : undefined}
            onChange={(event) => onChange(event.target.value)}
            className={`min-h-11 rounded-[3px] border border-ink/60 bg-ground px-3 ${numeric ? "figures w-28 text-end" : "w-44"}`}
          />
          <span className="w-7 text-sm text-soft">{/[a-z]$/i.test(value) ? "" : shown}</span>
        </span>
      </div>
      {wrong && (
        <p id={`${id}-wrong`} role="alert" className="border-s-4 border-ink ps-2 text-sm">
          {wrong}
        </p>
      )}
    </div>
  );
}
