import { Link, type LinkProps } from "@tanstack/react-router";
import { type ReactNode, useEffect, useRef } from "react";
import { arriveAt, useTitle } from "../title";

/** The head of a page outside a visit: its heading, what it is for, what can be done here. */
export function PageHead({
  back,
  title,
  tab,
  says,
  children,
}: {
  /** The page that this one belongs to. */
  back?: LinkProps & { children: string };
  title: string;
  /** What the browser's tab says, where the title names somebody: the history keeps it in the clear. */
  tab?: string;
  says?: ReactNode;
  children?: ReactNode;
}) {
  const heading = useRef<HTMLHeadingElement>(null);
  useTitle(tab ?? title);
  useEffect(() => arriveAt(null, heading.current), []);
  return (
    <>
      {back && (
        <p className="mb-2">
          <Link {...back} className="text-sm text-soft hover:underline">
            ‹ {back.children}
          </Link>
        </p>
      )}
      <header className="mb-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div className="min-w-0">
          <h1 ref={heading} tabIndex={-1} className="text-2xl outline-none">
            {title}
          </h1>
          {says && <p className="mt-1 max-w-prose text-soft">{says}</p>}
        </div>
        {children && <div className="flex flex-wrap items-center gap-2">{children}</div>}
      </header>
    </>
  );
}
