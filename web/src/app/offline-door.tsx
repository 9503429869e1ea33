import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, type ReactNode, useEffect, useState } from "react";
import { SESSION_KEY } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { setDateOrder, setTimeZone } from "@/shared/dates";
import { ME } from "@/shared/device/answers";
import type { Lock } from "@/shared/device/device-db";
import { lost } from "@/shared/device/network";
import { countOut } from "@/shared/device/outbox";
import { warm } from "@/shared/device/program";
import { kept, openByPassword, whoIsHere } from "@/shared/device/vault";
import { countWaiting } from "@/shared/device/words";
import { Button } from "@/shared/ui/button";
import { LabelledInput } from "@/shared/ui/labelled";
import { Logo } from "@/shared/ui/logo";
import { Notice } from "@/shared/ui/notice";

/** The server does not answer: what this device keeps is opened by the password; else it is asked again. */
export function OfflineDoor({ again }: { again: ReactNode }) {
  const queries = useQueryClient();
  const [here, setHere] = useState<readonly Lock[] | null>(null);
  const [member, setMember] = useState("");
  const [password, setPassword] = useState("");
  const [state, setState] = useState<"asks" | "opens" | "wrong">("asks");
  useEffect(() => {
    void whoIsHere()
      .catch(() => [])
      .then((each) => {
        setHere(each);
        if (each.length > 0) warm();
        setMember(each[0]?.member ?? "");
      });
  }, []);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    setState("opens");
    if (!(await openByPassword(member, password))) return setState("wrong");
    lost();
    const me = await kept<Schemas["Me"]>(ME);
    if (me) {
      setTimeZone(me.time_zone);
      setDateOrder(me.date_order);
    }
    await countWaiting();
    await countOut();
    queries.setQueryData(SESSION_KEY, me);
  };
  return (
    <main className="grid min-h-full place-items-center bg-ground p-6">
      <div className="w-full max-w-[400px] space-y-4">
        <div className="mb-4 flex items-end gap-4">
          <Logo size={34} />
          <div>
            <h1 className="text-2xl">{t`Gentle Plumb`}</h1>
            <p className="text-soft">{t`You are offline.`}</p>
          </div>
        </div>
        <Notice role="alert">
          <Trans>
            The server isn’t responding.{" "}
            {here &&
              here.length > 0 &&
              t`You can open the visits saved on this device with your password.`}
          </Trans>
        </Notice>
        {here && here.length > 0 && (
          <form onSubmit={(event) => void submit(event)} className="space-y-4" aria-label={t`Open`}>
            {here.length > 1 && (
              <fieldset>
                <legend className="mb-1 text-sm text-soft">{t`Account`}</legend>
                {here.map((lock) => (
                  <label key={lock.member} className="flex min-h-11 items-center gap-3">
                    <input
                      type="radio"
                      name="member"
                      checked={lock.member === member}
                      onChange={() => setMember(lock.member)}
                    />
                    {lock.name}
                  </label>
                ))}
              </fieldset>
            )}
            {here.length === 1 && <p className="font-semibold">{here[0]?.name}</p>}
            <LabelledInput
              label={t`Password`}
              type="password"
              autoComplete="current-password"
              required
              autoFocus
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
            {state === "wrong" && <Notice role="alert">{t`Wrong password.`}</Notice>}
            <Button type="submit" look="next" className="w-full" disabled={state === "opens"}>
              {state === "opens" ? t`Opening…` : t`Open saved visits`}
            </Button>
          </form>
        )}
        {again}
      </div>
    </main>
  );
}
