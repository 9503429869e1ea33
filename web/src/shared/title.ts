import { useEffect } from "react";

const PROGRAM = "Gentle Plumb";

/** The page's title: what one is at, then whose, then the program. */
export function useTitle(...parts: (string | undefined)[]): void {
  const title = [...parts.filter(Boolean), PROGRAM].join(" · ");
  useEffect(() => {
    document.title = title;
  }, [title]);
}

/**
 * One routine for every change of page, step and part: what is new begins at its top, and the focus is on
 * its heading, unless a field has taken it already or a hand moves along the tabs.
 */
export function arriveAt(root: HTMLElement | null, heading: HTMLElement | null): void {
  if (root) root.scrollTop = 0;
  const now = document.activeElement;
  const typing = now instanceof HTMLInputElement || now instanceof HTMLTextAreaElement;
  const onTabs = now?.getAttribute("role") === "tab";
  if (!heading || onTabs || (typing && root?.contains(now))) return;
  heading.focus({ preventScroll: true });
}
