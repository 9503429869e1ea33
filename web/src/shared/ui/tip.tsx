import { Tooltip } from "radix-ui";
import type { ReactNode } from "react";

/** Words over a control that shows only a sign, and the key that does the same. */
export function Tip({
  words,
  hotkey,
  children,
}: {
  words: string;
  hotkey?: string;
  children: ReactNode;
}) {
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          sideOffset={4}
          collisionPadding={8}
          className="z-50 max-w-64 bg-ink px-2.5 py-1.5 text-sm text-ground"
        >
          {words}
          {hotkey && <kbd className="figures ms-2 opacity-70">{hotkey}</kbd>}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}
