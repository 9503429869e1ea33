import { clsx } from "clsx";
import type { ButtonHTMLAttributes } from "react";

/** A button. `next` is the one thing to do next on a screen, and nothing else. */
export function Button({
  look = "plain",
  className,
  type = "button",
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: "next" | "plain" | "quiet" }) {
  return (
    <button type={type} className={clsx("moves button", `button-${look}`, className)} {...rest} />
  );
}
