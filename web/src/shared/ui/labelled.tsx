import {
  type InputHTMLAttributes,
  type ReactNode,
  type TextareaHTMLAttributes,
  useId,
} from "react";

type Named = { label: string; help?: string };

export const BOX = "w-full rounded-[3px] border border-ink/60 bg-ground px-3";

/** A label over its field, with help below. */
export function Labelled({
  label,
  help = "",
  children,
}: Named & { children: (ids: { id: string; "aria-describedby"?: string }) => ReactNode }) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label}
      </label>
      {children(help ? { id, "aria-describedby": `${id}-help` } : { id })}
      {help && (
        <p id={`${id}-help`} className="mt-1 text-sm text-soft">
          {help}
        </p>
      )}
    </div>
  );
}

/** A labelled line of text. */
export function LabelledInput({
  label,
  help = "",
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & Named) {
  return (
    <Labelled label={label} help={help}>
      {(ids) => <input autoComplete="off" className={`min-h-11 ${BOX}`} {...ids} {...rest} />}
    </Labelled>
  );
}

/** A labelled box for several lines of text. */
export function LabelledText({
  label,
  help = "",
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & Named) {
  return (
    <Labelled label={label} help={help}>
      {(ids) => (
        <textarea
          autoComplete="off"
          dir="auto"
          className={`block py-2 ${BOX}`}
          {...ids}
          {...rest}
        />
      )}
    </Labelled>
  );
}
