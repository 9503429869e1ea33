import { lazy, type ReactNode, Suspense, useEffect, useState } from "react";
import { useKeys } from "@/shared/keys";
import type { ScreenAction } from "./find";

const Find = lazy(() => import("./find"));
const KEY = { "/": () => dispatchEvent(new Event(OPEN)) };
const OPEN = "plumb:find";

/** Open the field that finds anything. */
export function openFind(): void {
  dispatchEvent(new Event(OPEN));
}

/** The field that finds anything: Ctrl+K (⌘K) or the slash key opens it, with what this screen can do. */
export function useFind(actions: readonly ScreenAction[]): ReactNode {
  const [open, setOpen] = useState(false);
  useKeys(KEY);
  useEffect(() => {
    const show = () => setOpen(true);
    const pressed = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || event.key.toLowerCase() !== "k")
        return;
      event.preventDefault();
      if (!document.querySelector("[role=dialog]")) show();
    };
    addEventListener(OPEN, show);
    addEventListener("keydown", pressed);
    return () => {
      removeEventListener(OPEN, show);
      removeEventListener("keydown", pressed);
    };
  }, []);
  return open ? (
    <Suspense>
      <Find actions={actions} onDone={() => setOpen(false)} />
    </Suspense>
  ) : null;
}
