import type { ButtonHTMLAttributes } from "react";

type Look = "next" | "plain" | "quiet";

const LOOKS: Record<Look, string> = {
  next: "bg-accent text-on-accent font-semibold border border-transparent",
  plain: "bg-ground text-ink border border-ink/70 hover:bg-deep",
  quiet: "bg-transparent text-ink border border-transparent hover:bg-deep",
};

/** A button. `next` is the one thing to do next on a screen, and nothing else. */
export function Button({
  look = "plain",
  className = "",
  type = "button",
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return (
    <button
      type={type}
      className={`moves inline-flex min-h-11 items-center justify-center gap-2 rounded-[3px] px-4 disabled:opacity-50 ${LOOKS[look]} ${className}`}
      {...rest}
    />
  );
}
