import { clsx } from "clsx";
import { Check } from "lucide-react";
import { Checkbox } from "radix-ui";
import type { ReactNode } from "react";

/** Something that is so or not, with its words; the whole line is what one taps. */
export function CheckBox({
  checked,
  onChange,
  disabled = false,
  className,
  children,
}: {
  checked: boolean;
  onChange: (checked: boolean) => void;
  disabled?: boolean;
  className?: string;
  children: ReactNode;
}) {
  return (
    // biome-ignore lint/a11y/noLabelWithoutControl: the button inside is the control it labels
    <label className={clsx("flex min-h-11 items-center gap-2.5", className)}>
      <Checkbox.Root
        checked={checked}
        disabled={disabled}
        onCheckedChange={(next) => onChange(next === true)}
        className="grid size-5 shrink-0 place-items-center rounded-[3px] border border-ink bg-ground disabled:opacity-50 data-[state=checked]:bg-ink data-[state=checked]:text-ground"
      >
        <Checkbox.Indicator>
          <Check size={15} strokeWidth={3} aria-hidden="true" />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <span>{children}</span>
    </label>
  );
}
