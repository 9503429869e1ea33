import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link } from "@tanstack/react-router";
import { type FormEvent, useEffect, useState } from "react";
import { server } from "@/shared/api/client";
import { useTitle } from "@/shared/title";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Logo } from "@/shared/ui/logo";
import { Notice } from "@/shared/ui/notice";
import { Skeleton } from "@/shared/ui/skeleton";

/** The token of the link; it goes from the address bar at once, so that it stays in no history. */
function takeToken(): string {
  const token = location.hash.slice(1);
  if (token) history.replaceState(null, "", location.pathname);
  return token;
}

/** Choose a password by a one-time link: as somebody invited, or who has forgotten theirs. */
export function EnterPage() {
  const [token] = useState(takeToken);
  const look = server.useMutation("post", "/api/entrance");
  const enter = server.useMutation("put", "/api/entrance");
  const [password, setPassword] = useState("");
  const [again, setAgain] = useState("");
  const { mutate } = look;
  useTitle(t`Choose your password`);
  useEffect(() => {
    if (token) mutate({ body: { token } });
  }, [token, mutate]);
  const door = look.data;
  const differs = again !== "" && again !== password;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (password === again) enter.mutate({ body: { token, password } });
  };
  const over = !token || look.isError;
  return (
    <main id="main" className="grid min-h-full place-items-center bg-ground p-6">
      <div className="w-full max-w-[400px]">
        <div className="mb-8 flex items-end gap-4">
          <Logo size={34} />
          <div>
            <h1 className="text-2xl">{t`Gentle Plumb`}</h1>
            <p className="text-soft">{door?.practice ?? t`Workstations fitted to the person.`}</p>
          </div>
        </div>
        {over && (
          <>
            <Notice role="alert" className="mb-4">
              {look.error?.message ?? t`This link is incomplete. Open it again from the email.`}
            </Notice>
            <ToSignIn />
          </>
        )}
        {!over && !door && <Skeleton lines={4} label={t`Loading`} />}
        {door && enter.isSuccess && (
          <>
            <Notice role="status" className="mb-4">
              <Trans>Your password has been set. Sign in with {door.email}.</Trans>
            </Notice>
            <ToSignIn />
          </>
        )}
        {door && !enter.isSuccess && (
          <form onSubmit={submit} className="space-y-4" aria-label={t`Choose your password`}>
            <p>
              {door.kind === "invitation"
                ? t`Welcome, ${door.name}. Choose the password you will sign in with.`
                : t`Choose a new password, ${door.name}. You will be signed out everywhere.`}
            </p>
            <LabelledInput
              label={t`Email`}
              type="email"
              autoComplete="username"
              readOnly
              value={door.email}
            />
            <LabelledInput
              label={t`Password`}
              type="password"
              autoComplete="new-password"
              required
              minLength={12}
              help={t`At least 12 characters, hard to guess. Several unrelated words work well.`}
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
            <LabelledInput
              label={t`Repeat password`}
              type="password"
              autoComplete="new-password"
              required
              value={again}
              onChange={(event) => setAgain(event.target.value)}
            />
            {differs && <p role="alert">{t`The passwords don’t match.`}</p>}
            <Failure of={enter} />
            <Button
              type="submit"
              look="next"
              className="w-full"
              disabled={enter.isPending || password !== again}
            >
              {t`Set password`}
            </Button>
          </form>
        )}
      </div>
    </main>
  );
}

function ToSignIn() {
  return (
    <Link to="/" className="inline-flex min-h-11 items-center underline">
      {t`Go to sign-in`}
    </Link>
  );
}
