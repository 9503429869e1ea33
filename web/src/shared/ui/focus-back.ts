import { useRef } from "react";

type Focusing = {
  onOpenAutoFocus: () => void;
  onCloseAutoFocus: (event: Event) => void;
};

/** Gives the focus back to what had it when a dialog opened: dialogs here have no trigger of their own. */
export function useFocusBack(): Focusing {
  const before = useRef<Element | null>(null);
  return {
    onOpenAutoFocus: () => {
      before.current = document.activeElement;
    },
    onCloseAutoFocus: (event) => {
      event.preventDefault();
      const last = before.current;
      const there = last instanceof HTMLElement && last.isConnected && last !== document.body;
      const to = there ? last : document.getElementById("main");
      to?.focus({ preventScroll: true });
    },
  };
}
