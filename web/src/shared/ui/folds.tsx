import { clsx } from "clsx";
import { Accordion } from "radix-ui";
import { type ReactNode, useEffect, useRef } from "react";

/** Rows that open one at a time to show what is behind them. */
export function Folds({
  open,
  onOpen,
  children,
}: {
  open: string | null;
  onOpen: (id: string | null) => void;
  children: ReactNode;
}) {
  return (
    <Accordion.Root
      type="single"
      collapsible
      value={open ?? ""}
      onValueChange={(id) => onOpen(id || null)}
    >
      {children}
    </Accordion.Root>
  );
}

/** One such row: what is always seen, and what is behind it. */
export function Fold({
  id,
  open,
  summary,
  className,
  buttonClass,
  children,
}: {
  id: string;
  open: boolean;
  summary: ReactNode;
  className?: string;
  buttonClass?: string;
  children: ReactNode;
}) {
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (open) row.current?.scrollIntoView?.({ block: "nearest" });
  }, [open]);
  return (
    <Accordion.Item value={id} asChild>
      <li ref={row} className={clsx("border-b border-hair", className)}>
        <Accordion.Header asChild>
          <div>
            <Accordion.Trigger
              className={clsx("min-h-12 w-full py-2 text-start hover:bg-deep/60", buttonClass)}
            >
              {summary}
            </Accordion.Trigger>
          </div>
        </Accordion.Header>
        <Accordion.Content>{children}</Accordion.Content>
      </li>
    </Accordion.Item>
  );
}
