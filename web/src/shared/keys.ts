import { useEffect } from "react";

/** Single keys where no field has the focus. */
export function useKeys(keys: Record<string, () => void>): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const target = event.target as HTMLElement;
      if (
        target.closest("input, textarea, select, [role=dialog], [contenteditable], [data-own-keys]")
      )
        return;
      const action = keys[event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    addEventListener("keydown", listen);
    return () => removeEventListener("keydown", listen);
  }, [keys]);
}
