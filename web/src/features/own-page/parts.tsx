import { RadioGroup } from "radix-ui";
import { useId, useState } from "react";
import type { Problem } from "@/shared/api/client";
import { MM_PER } from "@/shared/quantity";
import type { Answers } from "./answers";
import type { Question, View } from "./api";
import { useWords } from "./words";

export type SectionProps = {
  questions: readonly Question[];
  answers: Answers;
  answer: (id: string, typed: string) => void;
  unit: "cm" | "in";
  onUnit: (unit: "cm" | "in") => void;
  view: View;
};

/** One question with a few answers, big enough for a thumb. */
export function Choices({
  label,
  value,
  choices,
  onChange,
  tight = false,
  scale = false,
}: {
  label: string;
  value: string;
  choices: readonly (readonly [value: string, label: string])[];
  onChange: (value: string) => void;
  tight?: boolean;
  /** A scale of numbers: in two rows of the same width. */
  scale?: boolean;
}) {
  return (
    <RadioGroup.Root
      value={value}
      onValueChange={onChange}
      aria-label={label}
      className={
        tight
          ? "flex shrink-0 gap-1.5"
          : scale
            ? "figures grid grid-cols-6 gap-1.5"
            : "flex flex-wrap gap-2"
      }
    >
      {choices.map(([one, says]) => (
        <RadioGroup.Item
          key={one}
          value={one}
          className="moves min-h-12 min-w-12 rounded-[3px] border border-ink/60 bg-ground px-4 text-start text-base data-[state=checked]:border-ink data-[state=checked]:bg-ink data-[state=checked]:text-ground"
        >
          {says}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}

/** A question over its answers. */
export function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="border-b border-hair py-3">
      <p className="mb-2">{label}</p>
      {children}
    </div>
  );
}

/** Lengths that are measured from the seat, and often from the floor by mistake. */
const FROM_THE_SEAT: ReadonlySet<string> = new Set(["elbow_height_sitting", "eye_height_sitting"]);

/** What is wrong with an answer, in the client's words. */
export function useWrong(unit: "cm" | "in") {
  const { t } = useWords();
  return (problem: Problem | undefined, dimension = ""): string => {
    if (!problem) return "";
    const { low, high } = problem;
    if (typeof low === "number" && typeof high === "number") {
      const length = problem.unit === "mm";
      const per = MM_PER[unit];
      const say = (end: number) => (length ? `${(end / per).toFixed(1)} ${unit}` : `${end}`);
      const typed = Number((problem.value ?? "").replace(",", ".").replace(/[^\d.]/g, ""));
      if (FROM_THE_SEAT.has(dimension) && typed * per > high)
        return t("error.from_seat", { low: say(low), high: say(high) });
      return t("error.range", { low: say(low), high: say(high) });
    }
    if (problem.type === "bad-value") return t("error.unreadable");
    return t("error.other", { why: problem.detail });
  };
}

/** What is in a field: as it is typed, and following what is held while nobody types in it. */
function useTyped(value: string, busy: boolean) {
  const [typed, setTyped] = useState(value);
  const [shown, setShown] = useState(value);
  if (value !== shown && !busy) {
    setShown(value);
    setTyped(value);
  }
  return [typed, setTyped] as const;
}

/** A number that is typed; kept from the first digit on, and what is wrong with it is said once it is left. */
export function NumberField({
  label,
  unit,
  value,
  wrong,
  onChange,
}: {
  label: string;
  unit: string;
  value: string;
  wrong: string;
  onChange: (typed: string) => void;
}) {
  const id = useId();
  const [busy, setBusy] = useState(false);
  const [typed, setTyped] = useTyped(value, busy);
  return (
    <div className="min-w-0 flex-1">
      <label htmlFor={id} className="mb-1 block text-base text-soft">
        {label}
      </label>
      <span className="flex items-center gap-2" dir="ltr">
        <input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          maxLength={20}
          value={typed}
          onFocus={() => setBusy(true)}
          onChange={(event) => {
            setTyped(event.target.value);
            onChange(event.target.value);
          }}
          onBlur={() => {
            setBusy(false);
            onChange(typed);
          }}
          aria-invalid={wrong !== ""}
          aria-describedby={wrong ? `${id}-wrong` : undefined}
          className="figures min-h-12 w-full min-w-0 rounded-[3px] border border-ink/60 bg-ground px-3 text-xl"
        />
        <span className="text-base text-soft">{unit}</span>
      </span>
      {wrong && !busy && (
        <p id={`${id}-wrong`} role="alert" className="mt-1 text-base font-semibold">
          {wrong}
        </p>
      )}
    </div>
  );
}

/** A text that is typed; kept from the first letter on. */
export function WordsField({
  label,
  value,
  short = false,
  onChange,
}: {
  label: string;
  value: string;
  short?: boolean;
  onChange: (typed: string) => void;
}) {
  const [busy, setBusy] = useState(false);
  const [typed, setTyped] = useTyped(value, busy);
  return (
    <label className="block">
      <span className="mb-1 block">{label}</span>
      <textarea
        autoComplete="off"
        rows={short ? 1 : 5}
        dir="auto"
        maxLength={4000}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(event.target.value);
        }}
        onFocus={() => setBusy(true)}
        onBlur={() => {
          setBusy(false);
          onChange(typed);
        }}
        className="w-full rounded-[3px] border border-ink/60 bg-ground p-3"
      />
    </label>
  );
}

/** A length's number as it stands in the field: what was typed, without its unit. */
export function bare(typed: string): string {
  return typed.replace(/\s*(cm|in|mm)$/, "");
}
