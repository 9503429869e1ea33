import { t } from "@lingui/core/macro";
import { clsx } from "clsx";
import { Check } from "lucide-react";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";
import { usePhone } from "../use-media";

export type Part = {
  id: string;
  name: string;
  /** Whether something it needs is open; not said where it needs nothing. */
  open?: boolean;
  /** A number beside its name. */
  says?: string;
};

/** The parts of a step, one at a time: a check mark says that a part has what it needs. */
export function PartTabs({
  label,
  parts,
  present,
  onChoose,
  aside = false,
  children,
}: {
  label: string;
  parts: readonly Part[];
  present: string;
  onChoose: (id: string) => void;
  /** Beside what they open, where the window is wide enough for it. */
  aside?: boolean;
  children: ReactNode;
}) {
  const phone = usePhone();
  return (
    <Tabs.Root
      value={present}
      onValueChange={onChoose}
      orientation={aside && !phone ? "vertical" : "horizontal"}
      className={clsx(
        "flex flex-1 flex-col",
        aside && "desk:grid desk:grid-cols-[180px_minmax(0,1fr)] desk:gap-x-8",
      )}
    >
      <Tabs.List
        aria-label={label}
        className={clsx(
          "@container mb-4 flex shrink-0 flex-wrap gap-x-1.5 border-b border-hair",
          aside &&
            "desk:sticky desk:top-0 desk:flex-col desk:flex-nowrap desk:self-start desk:border-b-0",
        )}
      >
        {parts.map(({ id, name, open, says }) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className={clsx(
              "flex min-h-11 min-w-6 shrink-0 items-center justify-center gap-1 border-b-2 pointer-coarse:min-w-11 border-transparent text-sm whitespace-nowrap text-soft @md:me-3 data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink",
              aside &&
                "desk:w-full desk:justify-start desk:border-b-0 desk:border-s-2 desk:border-s-hair desk:px-3 desk:text-start desk:text-base desk:hover:bg-deep desk:data-[state=active]:border-s-ink desk:data-[state=active]:bg-deep",
            )}
          >
            <span className={aside ? "desk:flex-1" : ""}>{name}</span>
            {says && <span className="figures">{says}</span>}
            {open !== undefined && (
              <>
                {!open && <Check size={13} strokeWidth={2.5} aria-hidden="true" />}
                <span className="sr-only">{open ? ", open" : t`, has what it needs`}</span>
              </>
            )}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content
        key={present}
        value={present}
        className="flex min-w-0 flex-1 flex-col outline-none"
        tabIndex={-1}
      >
        {children}
      </Tabs.Content>
    </Tabs.Root>
  );
}
