import { clsx } from "clsx";
import { RadioGroup } from "radix-ui";

export type Choice = { value: string; label: string; disabled?: boolean };

/** One of a few: a row of segments where they fit, else a list; arrow keys move. */
export function Segments({
  label,
  value,
  choices,
  onChange,
  disabled = false,
  compact = false,
}: {
  label: string;
  value: string;
  choices: readonly Choice[];
  onChange: (value: string) => void;
  disabled?: boolean;
  compact?: boolean;
}) {
  return (
    <RadioGroup.Root
      value={value}
      onValueChange={onChange}
      aria-label={label}
      disabled={disabled}
      orientation="horizontal"
      className={compact ? "flex shrink-0" : "flex flex-wrap gap-1.5"}
    >
      {choices.map((choice) => (
        <RadioGroup.Item
          key={choice.value}
          value={choice.value}
          disabled={choice.disabled ?? false}
          className={clsx(
            "moves min-h-11 min-w-11 border bg-ground px-3 text-start text-sm disabled:opacity-50 data-[state=checked]:border-ink data-[state=checked]:bg-ink data-[state=checked]:text-ground",
            compact ? "-ms-px border-ink/60" : "rounded-[3px] border-ink/60 hover:bg-deep",
          )}
        >
          {choice.label}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
