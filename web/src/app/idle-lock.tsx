import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Dialog } from "radix-ui";
import { type FormEvent, type ReactNode, useEffect, useState } from "react";
import { useStore } from "zustand";
import {
  lockSession,
  noteUse,
  SESSION_KEY,
  unlockSession,
  useMe,
  useSignOut,
} from "@/shared/api/account";
import { onSessionLock } from "@/shared/api/client";
import { network } from "@/shared/device/network";
import { outbox } from "@/shared/device/outbox";
import { openByPassword, vault } from "@/shared/device/vault";
import { waiting } from "@/shared/device/words";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";
import { merge } from "../features/visit/saving/merge";

const MINUTE_MS = 60_000;
const LOOK_MS = 5000;
/** The server is told this often that the page is in use, though nothing may have been asked of it. */
const TOLD_MS = 60_000;
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

let onReturn: () => Promise<unknown> = async () => undefined;

/** The server is there again: it learns whether the page was in use meanwhile, or locked. */
export function tellWhetherInUse(): Promise<unknown> {
  return onReturn();
}

/** Left alone, the page stays as it is, behind a lock that asks for the password; the server locks with it. */
export function IdleLock({ children }: { children: ReactNode }) {
  const me = useMe().data;
  const queries = useQueryClient();
  const who = me?.email ?? "";
  const idle = (me?.idle_minutes ?? 15) * MINUTE_MS;
  const onServer = me?.locked ?? false;
  const [lockedHere, setLocked] = useState(() => read(LOCKED) === who);
  const locked = lockedHere || onServer;
  const [entered, setEntered] = useState(!onServer); // after a reload at the lock there is no page behind it yet
  useEffect(() => {
    let last = Date.now();
    let value = Date.now();
    const touched = () => {
      const now = Date.now();
      if (now - last > 1000) write(TOUCHED, `${now}`);
      last = now;
    };
    const inUse = () => Date.now() - Math.max(last, Number(read(TOUCHED) ?? 0)) < idle;
    const lock = () => {
      write(LOCKED, who);
      setLocked(true);
    };
    const look = () => {
      if (read(LOCKED) === who) return;
      if (!inUse()) {
        lock();
        void lockSession();
      } else if (last > value && Date.now() - value > TOLD_MS && !network.getState().away) {
        value = Date.now();
        void noteUse();
      }
    };
    onReturn = () => (read(LOCKED) !== who && inUse() ? noteUse() : lockSession());
    onSessionLock(() => {
      void (async () => {
        if (read(LOCKED) === who) return;
        if (inUse() && (await noteUse())) await merge(queries, { wasAway: true });
        else lock();
      })();
    });
    const other = (event: StorageEvent) => {
      if (event.key === LOCKED) setLocked(event.newValue === who);
    };
    const looking = setInterval(look, LOOK_MS);
    addEventListener("pointerdown", touched);
    addEventListener("keydown", touched);
    addEventListener("storage", other);
    return () => {
      clearInterval(looking);
      onReturn = async () => undefined;
      onSessionLock(() => undefined);
      removeEventListener("pointerdown", touched);
      removeEventListener("keydown", touched);
      removeEventListener("storage", other);
    };
  }, [who, idle, queries]);
  const open = async (password: string, away: boolean) => {
    if (!away) queries.setQueryData(SESSION_KEY, await unlockSession(password));
    else if (!(await openByPassword(who, password))) throw new Error(t`Wrong password.`);
    write(TOUCHED, `${Date.now()}`);
    write(LOCKED, null);
    setLocked(false);
    setEntered(true);
    if (away) return;
    void queries.refetchQueries({ predicate: ({ state }) => state.status === "error" });
    void merge(queries, { wasAway: true }).catch(() => undefined);
  };
  return (
    <>
      <div className={locked ? "invisible contents" : "contents"}>{entered && children}</div>
      {locked && me && <Lock name={me.name} onOpen={open} />}
    </>
  );
}

/** Nobody goes on from here without the password: not by another page, nor by a reload. */
function Lock({
  name,
  onOpen,
}: {
  name: string;
  onOpen: (password: string, away: boolean) => Promise<void>;
}) {
  const away = useStore(network, (state) => state.away);
  const unsent = useStore(waiting, (each) => each.size) + useStore(outbox, ({ count }) => count);
  // after a reload at the lock the device's store is still sealed: there may be unsent work in it
  const opened = useStore(vault, (state) => state.opened !== null);
  const keeps = unsent > 0 || !opened;
  const signOut = useSignOut({ keeps });
  const [password, setPassword] = useState("");
  const [trouble, setTrouble] = useState("");
  const [busy, setBusy] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    try {
      await onOpen(password, away);
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
          <Dialog.Title className="text-xl">{t`Locked`}</Dialog.Title>
          <form onSubmit={(event) => void submit(event)} className="mt-2 space-y-4">
            <p>
              <Trans>
                This page was locked after a period of inactivity. {name}, enter your password to
                carry on where you left off.
              </Trans>
            </p>
            <LabelledInput
              label={t`Password`}
              type="password"
              autoComplete="current-password"
              required
              autoFocus
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
            {trouble && <Notice role="alert">{trouble}</Notice>}
            <Button type="submit" look="next" className="w-full" disabled={busy}>
              {t`Unlock`}
            </Button>
            <p className="text-sm text-soft">
              <Trans>Not {name}? </Trans>
              <button
                type="button"
                className="min-h-11 text-ink underline"
                disabled={signOut.isPending}
                onClick={() => signOut.mutate()}
              >
                {t`Sign out`}
              </button>
              {keeps &&
                `. Anything not yet on the server stays here, sealed, until ${name} signs in again.`}
            </p>
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
