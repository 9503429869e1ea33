import { Dialog } from "radix-ui";
import { type FormEvent, type ReactNode, useEffect, useState } from "react";
import { useStore } from "zustand";
import { useMe } from "@/shared/api/account";
import { api, unwrap } from "@/shared/api/client";
import { network } from "@/shared/device/network";
import { openByPassword } from "@/shared/device/vault";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";

const MINUTE_MS = 60_000;
const LOOK_MS = 5000;
const TOUCHED = "plumb:touched";
const LOCKED = "plumb:locked";

const read = (key: string): string | null => {
  try {
    return localStorage.getItem(key);
  } catch {
    return null;
  }
};
const write = (key: string, value: string | null): void => {
  try {
    if (value === null) localStorage.removeItem(key);
    else localStorage.setItem(key, value);
  } catch {
    // without a store each tab counts for itself, and a reload asks the session
  }
};

/** Left alone, the page stays as it is, behind a lock that asks for the password in its place. */
export function IdleLock({ children }: { children: ReactNode }) {
  const me = useMe().data;
  const who = me?.email ?? "";
  const idle = (me?.idle_minutes ?? 15) * MINUTE_MS;
  const [locked, setLocked] = useState(() => read(LOCKED) === who);
  useEffect(() => {
    let last = Date.now();
    const touched = () => {
      const now = Date.now();
      if (now - last > 1000) write(TOUCHED, `${now}`);
      last = now;
    };
    const look = () => {
      const elsewhere = Number(read(TOUCHED) ?? 0);
      if (Date.now() - Math.max(last, elsewhere) < idle) return;
      write(LOCKED, who);
      setLocked(true);
    };
    const other = (event: StorageEvent) => {
      if (event.key === LOCKED) setLocked(event.newValue === who);
    };
    const looking = setInterval(look, LOOK_MS);
    addEventListener("pointerdown", touched);
    addEventListener("keydown", touched);
    addEventListener("storage", other);
    return () => {
      clearInterval(looking);
      removeEventListener("pointerdown", touched);
      removeEventListener("keydown", touched);
      removeEventListener("storage", other);
    };
  }, [who, idle]);
  const open = () => {
    write(TOUCHED, `${Date.now()}`);
    write(LOCKED, null);
    setLocked(false);
  };
  return (
    <>
      <div className={locked ? "invisible contents" : "contents"}>{children}</div>
      {locked && me && <Lock name={me.name} member={who} onOpen={open} />}
    </>
  );
}

/** Nobody goes on from here without the password: not by another page, nor by a reload. */
function Lock({ name, member, onOpen }: { name: string; member: string; onOpen: () => void }) {
  const away = useStore(network, (state) => state.away);
  const [password, setPassword] = useState("");
  const [trouble, setTrouble] = useState("");
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    try {
      if (away) {
        if (!(await openByPassword(member, password)))
          throw new Error("The password is not right.");
      } else unwrap(await api.POST("/api/session/confirm", { body: { password } }));
      onOpen();
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    } finally {
      setBusy(false);
      setPassword("");
    }
  };
  return (
    <Dialog.Root open>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-[90] bg-paper" />
        <Dialog.Content
          aria-describedby={undefined}
          onEscapeKeyDown={(event) => event.preventDefault()}
          onInteractOutside={(event) => event.preventDefault()}
          onKeyDown={(event) => event.stopPropagation()}
          className="fixed top-1/2 left-1/2 z-[91] w-[min(400px,94vw)] -translate-x-1/2 -translate-y-1/2 border border-ink/60 bg-ground p-6"
        >
          <Dialog.Title className="text-xl">Locked</Dialog.Title>
          <form onSubmit={(event) => void submit(event)} className="mt-2 space-y-4">
            <p>
              Nobody has touched this page for a while. It is kept as it was, {name}: your password
              opens it.
            </p>
            <LabelledInput
              label="Password"
              type="password"
              autoComplete="current-password"
              required
              autoFocus
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
            {trouble && <Notice role="alert">{trouble}</Notice>}
            <Button type="submit" look="next" className="w-full" disabled={busy}>
              Open
            </Button>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Somebody else may come now: what locked the page was the last one's. */
export function forgetLock(): void {
  write(LOCKED, null);
}
