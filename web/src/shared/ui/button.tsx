import { cva, type VariantProps } from "class-variance-authority";
import type { ButtonHTMLAttributes } from "react";
import { cn } from "./cn";

const button = cva(
  "moves inline-flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-[3px] border px-4 disabled:opacity-50",
  {
    variants: {
      look: {
        next: "border-transparent bg-accent font-semibold text-on-accent",
        plain: "border-ink/70 bg-ground text-ink hover:bg-deep",
        quiet: "border-transparent bg-transparent text-ink hover:bg-deep",
      },
    },
    defaultVariants: { look: "plain" },
  },
);

/** A button. `next` is the one thing to do next on a screen, and nothing else. */
export function Button({
  look,
  className,
  type = "button",
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & VariantProps<typeof button>) {
  return <button type={type} className={cn(button({ look }), className)} {...rest} />;
}
