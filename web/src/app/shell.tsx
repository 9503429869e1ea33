import { Link, Outlet, useNavigate } from "@tanstack/react-router";
import { LogOut, Moon, Sun } from "lucide-react";
import { useMemo, useState } from "react";
import { useMe, useSignOut } from "@/shared/api/account";
import { useKeys } from "@/shared/keys";
import { changeSettings, useSettings, useUnitSwitch } from "@/shared/settings";
import { Button } from "@/shared/ui/button";
import { Modal } from "@/shared/ui/modal";
import { visitsWithWords } from "../features/visit/saving/tab-store";
import { Keys } from "./keys-dialog";
import { Logo } from "./logo";

const PLACES = [
  { to: "/", label: "Today", key: "t" },
  { to: "/clients", label: "Clients", key: "c" },
  { to: "/workstations", label: "Workstations", key: "w" },
  { to: "/shelf", label: "Shelf", key: "s" },
  { to: "/measuring", label: "Measuring", key: "r" },
  { to: "/rules", label: "House rules", key: "h" },
  { to: "/people", label: "People", key: "p" },
] as const;

/** Everything outside a visit: few places, one key each. */
export function Shell() {
  const me = useMe().data;
  const signOut = useSignOut();
  const { night } = useSettings();
  const navigate = useNavigate();
  const { unit, nextUnit } = useUnitSwitch(me?.unit ?? "cm");
  const [help, setHelp] = useState(false);
  const [leaving, setLeaving] = useState(false);
  const waiting = () => visitsWithWords(me?.email ?? "").length > 0;
  useKeys(
    useMemo(
      () => ({
        t: () => navigate({ to: "/" }),
        c: () => navigate({ to: "/clients" }),
        w: () => navigate({ to: "/workstations" }),
        s: () => navigate({ to: "/shelf" }),
        r: () => navigate({ to: "/measuring" }),
        h: () => navigate({ to: "/rules" }),
        p: () => navigate({ to: "/people" }),
        u: nextUnit,
        "?": () => setHelp(true),
      }),
      [navigate, nextUnit],
    ),
  );
  return (
    <div className="flex min-h-full">
      <nav
        aria-label="Places"
        className="sticky top-0 flex h-screen w-[200px] shrink-0 flex-col overflow-y-auto border-r border-hair px-4 py-5"
      >
        <div className="mb-8 flex items-center gap-2.5 px-2">
          <Logo />
          <span className="text-lg font-semibold">Gentle Plumb</span>
        </div>
        {PLACES.map((place) => (
          <Link
            key={place.to}
            to={place.to}
            activeOptions={{ exact: true }}
            className="flex min-h-11 items-center justify-between rounded-[3px] px-2 hover:bg-deep"
            activeProps={{ className: "font-semibold bg-deep" }}
          >
            {place.label}
            <span className="figures text-sm text-soft">{place.key}</span>
          </Link>
        ))}
        <div className="mt-auto space-y-1 text-sm">
          <Link
            to="/account"
            className="block px-2 py-1 hover:bg-deep"
            title="Password and sessions"
          >
            <span className="block font-semibold">{me?.name}</span>
            <span className="block text-soft">
              {me?.title}, {me?.role}
            </span>
          </Link>
          <button
            type="button"
            className="flex min-h-11 w-full items-center justify-between px-2 hover:bg-deep"
            onClick={nextUnit}
          >
            <span>
              Lengths in <span className="figures font-semibold">{unit}</span>
            </span>
            <span className="figures text-soft">u</span>
          </button>
          <button
            type="button"
            className="flex min-h-11 w-full items-center gap-2 px-2 hover:bg-deep"
            onClick={() => changeSettings({ night: !night })}
          >
            {night ? <Sun size={16} /> : <Moon size={16} />} {night ? "Day" : "Night"}
          </button>
          <button
            type="button"
            className="flex min-h-11 w-full items-center gap-2 px-2 hover:bg-deep"
            onClick={() => (waiting() ? setLeaving(true) : signOut.mutate())}
          >
            <LogOut size={16} /> Sign out
          </button>
        </div>
      </nav>
      <main className="min-w-0 flex-1 bg-ground px-10 py-7">
        <Outlet />
      </main>
      <Keys open={help} onOpenChange={setHelp} />
      <Modal
        open={leaving}
        onOpenChange={setLeaving}
        title="Not everything is on the server"
        says="Words you typed in a visit are only on this device. They wait here for you in this tab; closed, they are gone."
      >
        <div className="flex gap-2">
          <Button look="next" onClick={() => setLeaving(false)}>
            Stay signed in
          </Button>
          <Button look="quiet" onClick={() => signOut.mutate()}>
            Sign out all the same
          </Button>
        </div>
      </Modal>
    </div>
  );
}
