import { t } from "@lingui/core/macro";
import { Plural, Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { Outlet } from "@tanstack/react-router";
import { lazy, Suspense, useEffect, useState } from "react";
import { eraseLeavers, SESSION_KEY, useMe } from "@/shared/api/account";
import { onSessionEnd, type Schemas } from "@/shared/api/client";
import { install } from "@/shared/device/installed";
import { whenBack } from "@/shared/device/network";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { Skeleton } from "@/shared/ui/skeleton";
import { Toasts } from "@/shared/ui/toasts";
import { SignInPage } from "../features/sign-in/sign-in-page";
import { merge } from "../features/visit/saving/merge";
import { forgetLock, IdleLock, tellWhetherInUse } from "./idle-lock";
import { OfflineDoor } from "./offline-door";
import { usePlacesAhead } from "./use-places-ahead";

const SecondFactor = lazy(() =>
  import("../features/people/second-factor").then((file) => ({ default: file.SecondFactor })),
);

/** Nothing is shown to anybody who is not signed in; a session that ended leads back here. */
export function Gate() {
  const me = useMe();
  const queries = useQueryClient();
  const [ended, setEnded] = useState(false);
  useEffect(() => {
    onSessionEnd(() => {
      setEnded(true);
      queries.setQueryData(SESSION_KEY, null);
    });
    return () => onSessionEnd(() => undefined);
  }, [queries]);
  const there = !!me.data;
  useEffect(() => {
    if (there) setEnded(false);
  }, [there]);
  usePlacesAhead(there);
  const nobody = me.data === null;
  useEffect(() => {
    if (nobody) forgetLock(); // the sign-in asks for more than the lock does
  }, [nobody]);
  const answered = me.dataUpdatedAt;
  const [leavers, setLeavers] = useState<readonly string[]>([]);
  useEffect(() => {
    if (answered === 0) return;
    void eraseLeavers()
      .then((names) => names.length > 0 && setLeavers(names))
      .catch(() => undefined);
  }, [answered]);
  useMerging(me.data?.device_key ?? "");
  if (me.isPending)
    return (
      <main id="main" className="max-w-md p-8">
        <Skeleton page lines={4} label={t`Loading`} />
      </main>
    );
  if (me.isError && !me.data)
    return (
      <OfflineDoor
        again={
          <Button onClick={() => void me.refetch()} disabled={me.isFetching}>
            {t`Try again`}
          </Button>
        }
      />
    );
  if (!me.data)
    return (
      <SignInPage
        notice={
          leavers.length > 0 ? (
            <Notice role="status">
              <Trans>
                {leavers.join(", ")} <Plural value={leavers.length} one="has" other="have" /> left
                the practice. Their data has been deleted from this device.
              </Trans>
            </Notice>
          ) : (
            ended && (
              <Notice role="status">
                {t`Your session has ended. Sign in again to carry on; your entries are still on this device.`}
              </Notice>
            )
          )
        }
      />
    );
  if (me.data.must_enrol)
    return (
      <main id="main" className="mx-auto max-w-md p-6">
        <h1 className="mb-4 text-2xl">{t`One more step`}</h1>
        <p className="mb-6">{t`Your practice requires two-step sign-in. Set it up to continue.`}</p>
        <Suspense fallback={<Skeleton lines={4} />}>
          <SecondFactor />
        </Suspense>
      </main>
    );
  return (
    <>
      <a
        href="#main"
        className="fixed top-2 start-2 z-50 -translate-y-20 bg-ink px-4 py-2.5 text-ground focus:translate-y-0"
      >
        {t`Skip to main content`}
      </a>
      <IdleLock>
        <Outlet />
      </IdleLock>
      <Toasts />
    </>
  );
}

/** Once the server is there and knows who is here, what was done without it is sent. */
function useMerging(session: string): void {
  const queries = useQueryClient();
  useEffect(
    () =>
      whenBack(async () => {
        await tellWhetherInUse();
        await queries.refetchQueries({ queryKey: SESSION_KEY });
        const me = queries.getQueryData<Schemas["Me"]>(SESSION_KEY);
        if (me && !me.locked) await merge(queries, { wasAway: true });
      }),
    [queries],
  );
  useEffect(() => {
    if (!session) return;
    install();
    void merge(queries, { wasAway: false }).catch(() => undefined);
  }, [session, queries]);
}
