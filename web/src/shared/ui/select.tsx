import { clsx } from "clsx";
import { Check, ChevronDown } from "lucide-react";
import { Select as Radix } from "radix-ui";

export type Option = { value: string; label: string };

/** Stands for no choice: an option of the list may not be empty. */
const NONE = "—none—";

/** One of a list too long for a row of segments; letters and arrow keys move. */
export function Select({
  label,
  value,
  options,
  onChange,
  disabled = false,
  className,
}: {
  label: string;
  value: string;
  options: readonly Option[];
  onChange: (value: string) => void;
  disabled?: boolean;
  className?: string;
}) {
  return (
    <Radix.Root
      value={value || NONE}
      onValueChange={(next) => onChange(next === NONE ? "" : next)}
      disabled={disabled}
    >
      <Radix.Trigger
        aria-label={label}
        className={clsx(
          "inline-flex min-h-11 min-w-0 items-center justify-between gap-2 rounded-[3px] border border-ink/60 bg-ground px-3 text-start disabled:opacity-50",
          className,
        )}
      >
        <span className="truncate">
          <Radix.Value />
        </span>
        <Radix.Icon>
          <ChevronDown size={16} aria-hidden="true" />
        </Radix.Icon>
      </Radix.Trigger>
      <Radix.Portal>
        <Radix.Content
          position="popper"
          sideOffset={4}
          collisionPadding={8}
          className="z-[60] max-h-[min(var(--radix-select-content-available-height),420px)] min-w-(--radix-select-trigger-width) max-w-[94vw] overflow-hidden border border-ink bg-ground"
        >
          <Radix.Viewport className="p-1">
            {options.map((option) => (
              <Radix.Item
                key={option.value || NONE}
                value={option.value || NONE}
                className="flex min-h-11 items-center gap-2 px-3 outline-none data-[highlighted]:bg-deep data-[state=checked]:font-semibold"
              >
                <span className="w-4 shrink-0">
                  <Radix.ItemIndicator>
                    <Check size={16} aria-hidden="true" />
                  </Radix.ItemIndicator>
                </span>
                <Radix.ItemText>{option.label}</Radix.ItemText>
              </Radix.Item>
            ))}
          </Radix.Viewport>
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
