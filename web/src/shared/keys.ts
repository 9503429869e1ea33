import { useEffect } from "react";
import { settingsNow } from "./settings";

/** Single keys where no field has the focus. */
export function useKeys(keys: Record<string, () => void>): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const undo = (event.ctrlKey || event.metaKey) && event.key === "z";
      if (!undo && (event.ctrlKey || event.metaKey || event.altKey)) return;
      if (!undo && !settingsNow().singleKeys) return;
      const target = event.target as HTMLElement;
      if (
        target.closest(
          "input, textarea, select, [role=dialog], [role=menu], [contenteditable], [data-own-keys]",
        )
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
