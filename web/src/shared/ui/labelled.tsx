import { type InputHTMLAttributes, useId } from "react";

/** A labelled line of text. */
export function LabelledInput({
  label,
  help,
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; help?: string }) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      <input
        autoComplete="off"
        id={id}
        className="min-h-11 w-full rounded-[3px] border border-ink/60 bg-ground px-3"
        {...(help ? { "aria-describedby": `${id}-help` } : {})}
        {...rest}
      />
      {help && (
        <p id={`${id}-help`} className="mt-1 text-sm text-soft">
          {help}
        </p>
      )}
    </div>
  );
}
