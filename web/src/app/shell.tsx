import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link, Outlet, useNavigate } from "@tanstack/react-router";
import {
  Armchair,
  CalendarDays,
  CircleHelp,
  Ellipsis,
  LogOut,
  Moon,
  Ruler,
  Scale,
  Search,
  Sun,
  UserRound,
  Users,
} from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { type ComponentType, useMemo, useState } from "react";
import { useStore } from "zustand";
import { openFind, useFind } from "@/features/find/use-find";
import { Keys } from "@/features/help/keys-dialog";
import { useMe, useSignOut } from "@/shared/api/account";
import { outbox } from "@/shared/device/outbox";
import { waiting } from "@/shared/device/words";
import { useKeys } from "@/shared/keys";
import { switchNight, useSettings, useUnitSwitch } from "@/shared/settings";
import { Ask } from "@/shared/ui/ask";
import { Logo } from "@/shared/ui/logo";
import { usePhone } from "@/shared/use-media";
import { said } from "@/shared/words/said";

type Icon = ComponentType<{ size?: number; "aria-hidden"?: boolean }>;
const PLACES: readonly { to: string; label: string; key: string; icon: Icon }[] = said([
  { to: "/", label: msg`Today`, key: "t", icon: CalendarDays },
  { to: "/clients", label: msg`Clients`, key: "c", icon: Users },
  { to: "/equipment", label: msg`Equipment`, key: "e", icon: Armchair },
  { to: "/measuring", label: msg`Measuring`, key: "r", icon: Ruler },
  { to: "/rules", label: msg`Practice defaults`, key: "h", icon: Scale },
  { to: "/people", label: msg`Practice`, key: "p", icon: UserRound },
]);
/** What has its own place in the bottom bar of a phone; the others are behind More. */
const IN_BAR = 3;

/** Everything outside a visit: few places, one key each. */
export function Shell() {
  const signOut = useSignOut();
  const navigate = useNavigate();
  const me = useMe().data;
  const { nextUnit } = useUnitSwitch(me?.unit ?? "cm");
  const phone = usePhone();
  const [help, setHelp] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const unsent = useStore(waiting, (each) => each.size) + useStore(outbox, ({ count }) => count);
  const leave = () => (unsent > 0 ? setLeaving(true) : signOut.mutate());
  useKeys(
    useMemo(
      () => ({
        ...Object.fromEntries(PLACES.map(({ to, key }) => [key, () => void navigate({ to })])),
        u: nextUnit,
        "?": () => setHelp(true),
      }),
      [navigate, nextUnit],
    ),
  );
  const { night } = useSettings();
  const find = useFind([
    ...PLACES.map(({ to, label }) => ({ label, run: () => void navigate({ to }) })),
    {
      label: night ? t`Light mode` : t`Dark mode`,
      run: switchNight,
    },
    { label: t`Switch units`, more: "cm mm in", run: nextUnit },
    { label: t`Help`, run: () => setHelp(true) },
    { label: t`Sign out`, run: leave },
  ]);
  return (
    <div className="flex min-h-full flex-col-reverse desk:flex-row">
      {find}
      {phone ? (
        <BottomBar onLeave={leave} onHelp={() => setHelp(true)} />
      ) : (
        <SideBar onLeave={leave} onHelp={() => setHelp(true)} />
      )}
      <main
        id="main"
        tabIndex={-1}
        className="min-w-0 flex-1 bg-ground px-4 pt-5 pb-24 outline-none desk:px-10 desk:py-7"
      >
        <Outlet />
      </main>
      <Keys open={help} onOpenChange={setHelp} />
      <Ask
        open={leaving}
        onOpenChange={setLeaving}
        title={t`You have unsent changes`}
        says={t`Some changes and photos exist only on this device. Signing out deletes them. Reconnect first to send them.`}
        keep={t`Stay signed in`}
        act={t`Sign out and delete them`}
        onAct={() => signOut.mutate()}
      />
    </div>
  );
}

type Acts = { onLeave: () => void; onHelp: () => void };

function SideBar({ onLeave, onHelp }: Acts) {
  const me = useMe().data;
  const { night } = useSettings();
  const { unit, nextUnit } = useUnitSwitch(me?.unit ?? "cm");
  const line = "flex min-h-11 w-full items-center gap-2 px-2 hover:bg-deep";
  return (
    <nav
      aria-label={t`Places`}
      className="sticky top-0 flex h-screen w-[200px] shrink-0 flex-col overflow-y-auto border-e border-hair px-4 py-5"
    >
      <div className="mb-5 flex items-center gap-2.5 px-2">
        <Logo />
        <span className="text-lg font-semibold">{t`Gentle Plumb`}</span>
      </div>
      <button
        type="button"
        onClick={openFind}
        aria-keyshortcuts="Control+K /"
        className="mb-4 flex min-h-11 w-full items-center justify-between rounded-[3px] border border-ink/60 bg-ground px-2 text-soft hover:bg-deep"
      >
        <span className="flex items-center gap-2">
          <Search size={16} aria-hidden /> {t`Find`}
        </span>
        <span className="figures text-sm" aria-hidden="true">
          Ctrl K
        </span>
      </button>
      {PLACES.map((place) => (
        <Link
          key={place.to}
          to={place.to}
          activeOptions={{ exact: true, includeSearch: false }}
          className="flex min-h-11 items-center justify-between rounded-[3px] px-2 hover:bg-deep"
          activeProps={{ className: "font-semibold bg-deep", "aria-current": "page" }}
        >
          {place.label}
          <span className="figures text-sm text-soft" aria-hidden="true">
            {place.key}
          </span>
        </Link>
      ))}
      <div className="mt-auto space-y-1 pt-6 text-sm">
        <Link to="/account" className="block px-2 py-1 hover:bg-deep">
          <span className="block font-semibold">{me?.name}</span>
          <span className="block text-soft">
            {me?.title}, {me?.role}
          </span>
          <span className="block text-soft underline">{t`Password and sessions`}</span>
        </Link>
        <button type="button" className={`${line} justify-between`} onClick={nextUnit}>
          <span>
            <Trans>
              Units: <span className="figures font-semibold">{unit}</span>
            </Trans>
          </span>
          <span className="figures text-soft" aria-hidden="true">
            u
          </span>
        </button>
        <button type="button" className={line} onClick={switchNight}>
          {night ? <Sun size={16} aria-hidden /> : <Moon size={16} aria-hidden />}{" "}
          {night ? t`Light mode` : t`Dark mode`}
        </button>
        <button type="button" className={line} onClick={onHelp}>
          <CircleHelp size={16} aria-hidden /> {t`Help`}
        </button>
        <button type="button" className={line} onClick={onLeave}>
          <LogOut size={16} aria-hidden /> {t`Sign out`}
        </button>
      </div>
    </nav>
  );
}

/** On a phone: three places in reach of a thumb, everything else behind More. */
function BottomBar({ onLeave, onHelp }: Acts) {
  const navigate = useNavigate();
  const { night } = useSettings();
  const me = useMe().data;
  const { unit, nextUnit } = useUnitSwitch(me?.unit ?? "cm");
  const item = "flex min-h-12 items-center gap-3 px-3 data-[highlighted]:bg-deep";
  const cell = "flex min-h-14 flex-1 flex-col items-center justify-center gap-0.5 text-sm";
  return (
    <nav
      aria-label={t`Places`}
      className="fixed inset-x-0 bottom-0 z-30 flex border-t border-hair bg-paper pb-[env(safe-area-inset-bottom)]"
    >
      {PLACES.slice(0, IN_BAR).map(({ to, label, icon: Glyph }) => (
        <Link
          key={to}
          to={to}
          activeOptions={{ exact: true, includeSearch: false }}
          className={cell}
          activeProps={{ className: "font-semibold bg-deep", "aria-current": "page" }}
        >
          <Glyph size={20} aria-hidden />
          {label}
        </Link>
      ))}
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className={cell}>
          <Ellipsis size={20} aria-hidden />
          {t`More`}
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            side="top"
            align="end"
            sideOffset={6}
            className="z-50 min-w-60 border border-ink bg-ground p-1"
          >
            <DropdownMenu.Item className={item} onSelect={() => setTimeout(openFind)}>
              <Search size={18} aria-hidden />
              {t`Find`}
            </DropdownMenu.Item>
            {PLACES.slice(IN_BAR).map(({ to, label, icon: Glyph }) => (
              <DropdownMenu.Item key={to} className={item} onSelect={() => void navigate({ to })}>
                <Glyph size={18} aria-hidden />
                {label}
              </DropdownMenu.Item>
            ))}
            <DropdownMenu.Separator className="my-1 h-px bg-hair" />
            <DropdownMenu.Item className={item} onSelect={() => void navigate({ to: "/account" })}>
              <Trans>{me?.name}: password and sessions</Trans>
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={nextUnit}>
              <Trans>Units: {unit}</Trans>
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={switchNight}>
              {night ? t`Light mode` : t`Dark mode`}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={onHelp}>
              {t`Help`}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={item} onSelect={onLeave}>
              {t`Sign out`}
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </nav>
  );
}
