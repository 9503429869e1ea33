import type { HTMLAttributes } from "react";

/** Something to be seen where it happened: an error, a question, what a step waits for. */
export function Notice({ className = "", ...rest }: HTMLAttributes<HTMLDivElement>) {
  return <div className={`border-s-4 border-ink bg-deep px-3 py-2 ${className}`} {...rest} />;
}
