import { msg, plural, t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { Link } from "@tanstack/react-router";
import { type FormEvent, useEffect, useState } from "react";
import { useStore } from "zustand";
import { useMe } from "@/shared/api/account";
import { dayOf } from "@/shared/dates";
import { fetchKept } from "@/shared/device/answers";
import { installed } from "@/shared/device/installed";
import { network } from "@/shared/device/network";
import { letGoRefused, outbox } from "@/shared/device/outbox";
import { send } from "@/shared/device/send";
import { letGo, takeAlong } from "@/shared/device/taken";
import { openAside, setAsideOf, vault } from "@/shared/device/vault";
import { countWaiting, waiting } from "@/shared/device/words";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";
import { said } from "@/shared/words/said";
import type { Line } from "./visits";

/** What is only on this device: in which visits, what it waits for, and until when it is kept. */
export function OnThisDevice({ lines }: { lines: readonly Line[] }) {
  const each = useStore(waiting);
  const { count, refused } = useStore(outbox);
  const away = useStore(network, (state) => state.away);
  const days = useMe().data?.device_days ?? 1;
  useTakenAlong(lines);
  const nothing = each.size === 0 && count === 0;
  return (
    <>
      {(away || !nothing) && (
        <section
          aria-label={t`On this device`}
          className="mb-8 border-s-4 border-ink bg-deep px-4 py-3"
        >
          <h2 className="text-lg">{t`On this device`}</h2>
          <p className="text-sm">
            {away
              ? t`Offline. You can work on today’s visits and any opened before; changes are encrypted on this device.`
              : t`Not sent yet.`}
            {!nothing &&
              t` Kept here for ${plural(days, { one: "a day", other: "# days" })}; deleted if you sign out.`}
          </p>
          <ul>
            {[...each].map(([id, { unsent, open }]) => (
              <li key={id}>
                <Link
                  to="/visits/$visitId/$step"
                  params={{ visitId: id, step: "ask" }}
                  className="flex min-h-11 items-center justify-between gap-4 border-t border-hair"
                >
                  <b>{lines.find((line) => line.id === id)?.client ?? t`A visit`}</b>
                  <span className="figures text-sm">{saysOf(unsent, open)}</span>
                </Link>
              </li>
            ))}
          </ul>
          {count > 0 && (
            <p className="figures border-t border-hair pt-2 text-sm">
              <Plural
                value={count}
                one="# step waiting to be sent: new clients, visits and photos."
                other="# steps waiting to be sent: new clients, visits and photos."
              />
            </p>
          )}
          {refused.map(({ name, what, says }) => (
            <Notice key={name} role="alert" className="mt-2">
              <p>
                <Trans>
                  {NAMES[what.kind]} was not accepted: {says}
                </Trans>
              </p>
              <Button className="mt-1" onClick={() => void letGoRefused(name)}>
                {t`Dismiss`}
              </Button>
            </Notice>
          ))}
        </section>
      )}
      <FromBefore />
    </>
  );
}

const NAMES = said({
  client: msg`A client`,
  visit: msg`A visit`,
  photo: msg`A photo`,
  drop: msg`A deletion`,
});

/** What waits in a visit: changes to be sent, and those that somebody has to answer. */
export function saysOf(unsent: number, open: number): string {
  const asks = Math.max(0, open - unsent);
  return [
    unsent > 0 && plural(unsent, { one: "# change to send", other: "# changes to send" }),
    asks > 0 && t`${asks} to resolve`,
  ]
    .filter(Boolean)
    .join(", ");
}

/** So many visits are taken along in advance. House value. */
const MOST = 12;

/** Today's visits, and those to finish, go along before anybody has opened them here. */
function useTakenAlong(lines: readonly Line[]): void {
  const opened = useStore(vault, (state) => state.opened !== null);
  const away = useStore(network, (state) => state.away);
  const ready = useStore(installed, (state) => state.ready);
  const sees = useMe().data?.sees_health ?? false;
  useEffect(() => {
    if (!opened || away || !sees || !ready) return;
    const today = dayOf(new Date());
    const open = lines.filter((line) => line.state !== "signed");
    const first = open.filter((line) => line.started_on === today);
    const wanted = [...first, ...open.filter((line) => !first.includes(line))].slice(0, MOST);
    let gone = false;
    void (async () => {
      await fetchKept(send).catch(() => undefined);
      for (const line of wanted) {
        if (gone) return;
        await takeAlong(line.id, `${line.changed_at}`).catch(() => undefined);
      }
      const waits = [...waiting.getState().keys()];
      const known = new Set([...lines.map((line) => line.id), ...waits]);
      if (lines.length > 0)
        await letGo(known, new Set([...wanted.map((line) => line.id), ...waits]));
    })();
    return () => {
      gone = true;
    };
  }, [lines, opened, away, sees, ready]);
}

/** What an earlier password has sealed here and nobody has sent. */
function FromBefore() {
  const me = useMe().data;
  const [aside, setAside] = useState<readonly string[]>([]);
  const [password, setPassword] = useState("");
  const [wrong, setWrong] = useState(false);
  useEffect(() => {
    if (me) void setAsideOf(me.email).then(setAside);
  }, [me]);
  const first = aside[0];
  if (!first) return null;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void openAside(first, password).then((opened) => {
      setWrong(!opened);
      if (!opened) return;
      setAside(aside.slice(1));
      setPassword("");
      void countWaiting();
    });
  };
  return (
    <Notice className="mb-8">
      <form onSubmit={submit} className="max-w-md space-y-2" aria-label={t`Older data`}>
        <p>{t`This browser holds entries locked with your previous password. Enter it to send them.`}</p>
        <LabelledInput
          label={t`Previous password`}
          type="password"
          autoComplete="off"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
        />
        {wrong && <p role="alert">{t`Wrong password.`}</p>}
        <Button type="submit">{t`Unlock`}</Button>
      </form>
    </Notice>
  );
}
