import { type InputHTMLAttributes, type TextareaHTMLAttributes, useId } from "react";

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

/** A labelled box for several lines of text. */
export function LabelledText({
  label,
  help,
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & { label: string; help?: string }) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      <textarea
        autoComplete="off"
        id={id}
        dir="auto"
        className="block w-full rounded-[3px] border border-ink/60 bg-ground px-3 py-2"
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
