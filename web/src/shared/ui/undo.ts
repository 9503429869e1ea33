import { t } from "@lingui/core/macro";
import { toast } from "./toasts";

const LONG_ENOUGH_MS = 12_000;

/** Say what was done, with a way back for a while; a way back that fails is told. */
export function saidWithUndo(words: string, undo: () => Promise<unknown>, label = t`Undo`): void {
  void toast(words, {
    duration: LONG_ENOUGH_MS,
    action: {
      label,
      onClick: () => {
        undo().catch(
          (error: unknown) =>
            void toast(t`Not undone: ${error instanceof Error ? error.message : String(error)}`),
        );
      },
    },
  });
}

/** For what can't be made again once it is gone: say so now, do it once nobody has taken it back. */
export function doneLater(words: string, act: () => void, takenBack: () => void): void {
  const waiting = setTimeout(act, LONG_ENOUGH_MS);
  void toast(words, {
    duration: LONG_ENOUGH_MS,
    action: {
      label: t`Undo`,
      onClick: () => {
        clearTimeout(waiting);
        takenBack();
      },
    },
  });
}
