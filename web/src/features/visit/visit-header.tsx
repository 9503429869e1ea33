import { t } from "@lingui/core/macro";
import { Link } from "@tanstack/react-router";
import {
  ChevronLeft,
  CircleHelp,
  Ellipsis,
  Moon,
  NotebookPen,
  PencilRuler,
  Sun,
  Undo2,
} from "lucide-react";
import { DropdownMenu } from "radix-ui";
import type { ComponentType, ReactNode } from "react";
import { switchNight, useSettings, useUnitSwitch } from "@/shared/settings";
import { Tip } from "@/shared/ui/tip";
import { usePhone } from "@/shared/use-media";
import { AlsoHere } from "./also-here";
import { PlaceBar } from "./place-bar";
import { SaveStatus } from "./save-status";
import type { ChangeQueue } from "./saving/change-queue";
import { SettleClock } from "./settle-clock";
import { useVisitFacts } from "./state/facts";

type Tool = {
  label: string;
  key: string;
  icon: ComponentType<{ size?: number }> | ReactNode;
  act: () => void;
  disabled?: boolean;
};

/** Whose visit it is, where it is kept, and the tools that are there on every step. */
export function VisitHeader({
  kept,
  onNote,
  onUndo,
  onHelp,
  onElevation,
}: {
  kept: ChangeQueue;
  onNote: () => void;
  onUndo: () => void;
  onHelp: () => void;
  onElevation: () => void;
}) {
  const { visit, readOnly, unit } = useVisitFacts();
  const { nextUnit } = useUnitSwitch(unit);
  const { night } = useSettings();
  const phone = usePhone();
  const tools: Tool[] = [
    { label: t`Note or photo`, key: "m", icon: NotebookPen, act: onNote, disabled: readOnly },
    { label: t`Undo`, key: "z", icon: Undo2, act: onUndo, disabled: readOnly },
    { label: t`Show or hide the drawing`, key: "e", icon: PencilRuler, act: onElevation },
    {
      label: t`Unit: ${unit}`,
      key: "u",
      icon: <span className="figures font-semibold">{unit}</span>,
      act: nextUnit,
    },
    {
      label: night ? t`Light mode` : t`Dark mode`,
      key: "",
      icon: night ? Sun : Moon,
      act: switchNight,
    },
    { label: t`Shortcuts and symbols`, key: "?", icon: CircleHelp, act: onHelp },
  ];
  return (
    <header className="col-span-full flex min-w-0 items-center gap-1 border-b border-hair px-2 desk:gap-4 desk:pe-3">
      <Link
        to="/"
        aria-label={t`Back to Today`}
        className="flex min-h-11 min-w-11 shrink-0 items-center gap-1 px-1 text-sm text-soft hover:underline"
      >
        <ChevronLeft size={18} aria-hidden="true" />
        <span className="hidden desk:inline">{t`Today`}</span>
      </Link>
      <h1
        className="min-w-0 shrink truncate text-lg desk:max-w-[36ch] desk:text-xl"
        dir="auto"
        title={visit.client.name}
      >
        {visit.client.name}
      </h1>
      <p className="hidden min-w-0 flex-1 truncate text-soft desk:block" dir="auto">
        {visit.client.work}
      </p>
      <span className="flex-1 desk:hidden" />
      {!phone && <PlaceBar kept={kept} />}
      {readOnly && <p className="hidden text-soft desk:block">{t`View only`}</p>}
      <SaveStatus queue={kept} brief={phone} />
      <AlsoHere kept={kept} />
      <SettleClock />
      {phone ? (
        <Menu tools={tools} places={<PlaceBar kept={kept} />} />
      ) : (
        <div className="flex">
          {tools.map((tool) => (
            <Tip key={tool.label} words={tool.label} hotkey={tool.key}>
              <button
                type="button"
                aria-label={tool.key ? `${tool.label} (${tool.key})` : tool.label}
                disabled={tool.disabled}
                onClick={tool.act}
                className="grid size-11 place-items-center hover:bg-deep disabled:opacity-40"
              >
                <Glyph of={tool.icon} />
              </button>
            </Tip>
          ))}
        </div>
      )}
    </header>
  );
}

function Glyph({ of: Icon }: { of: Tool["icon"] }) {
  if (typeof Icon === "function" || (typeof Icon === "object" && Icon && "render" in Icon)) {
    const Drawn = Icon as ComponentType<{ size?: number }>;
    return <Drawn size={18} />;
  }
  return Icon as ReactNode;
}

/** On a phone the tools are behind one button. */
function Menu({ tools, places }: { tools: readonly Tool[]; places: ReactNode }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger
        aria-label={t`Tools`}
        className="grid size-11 shrink-0 place-items-center hover:bg-deep"
      >
        <Ellipsis size={20} aria-hidden="true" />
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          className="z-50 min-w-56 border border-ink bg-ground p-1"
        >
          <div className="px-2">{places}</div>
          {tools.map((tool) => (
            <DropdownMenu.Item
              key={tool.label}
              disabled={tool.disabled ?? false}
              onSelect={tool.act}
              className="flex min-h-12 items-center gap-3 px-3 data-[disabled]:opacity-40 data-[highlighted]:bg-deep"
            >
              <Glyph of={tool.icon} />
              {tool.label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
