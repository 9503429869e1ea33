import { t } from "@lingui/core/macro";
import { type FormEvent, type ReactNode, useState } from "react";
import { useSignIn, useWelcome } from "@/shared/api/account";
import { Refused } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Logo } from "@/shared/ui/logo";
import { Forgotten } from "./forgotten";

/** Sign in; `notice` says why one is here again. */
export function SignInPage({ notice }: { notice?: ReactNode }) {
  const welcome = useWelcome().data;
  const signIn = useSignIn();
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const [asked, setAsked] = useState(false);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    signIn.mutate(
      { email, password, code },
      {
        onError: (error) => {
          if (error instanceof Refused && error.problem.type === "needs-code") setAsked(true);
        },
      },
    );
  };
  return (
    <main className="grid min-h-full place-items-center bg-ground p-6">
      <div className="w-full max-w-[400px]">
        <div className="mb-8 flex items-end gap-4">
          <Logo size={34} />
          <div>
            <h1 className="text-2xl">{t`Gentle Plumb`}</h1>
            <p className="text-soft">{t`Workstations fitted to the person.`}</p>
          </div>
        </div>
        <form onSubmit={submit} className="space-y-4" aria-label={t`Sign in`}>
          {notice}
          <LabelledInput
            label={t`Email`}
            type="email"
            autoComplete="username"
            required
            value={email}
            onChange={(event) => setEmail(event.target.value)}
          />
          <LabelledInput
            label={t`Password`}
            type="password"
            autoComplete="current-password"
            required
            value={password}
            onChange={(event) => setPassword(event.target.value)}
          />
          {asked && (
            <LabelledInput
              label={t`Code`}
              inputMode="numeric"
              autoComplete="one-time-code"
              maxLength={40}
              autoFocus
              value={code}
              onChange={(event) => setCode(event.target.value)}
              help={t`The 6 digits from your authenticator app, or a recovery code.`}
            />
          )}
          <Failure of={signIn} />
          <Button type="submit" look="next" className="w-full" disabled={signIn.isPending}>
            {t`Sign in`}
          </Button>
        </form>
        {welcome && <Forgotten email={email} mails={welcome.mails ?? false} />}
        {welcome && (welcome.demo?.length ?? 0) > 0 && (
          <section className="mt-10 border-t border-hair pt-4" aria-label={t`Demo`}>
            <h2 className="mb-1">{t`Demo: choose an account`}</h2>
            <p className="mb-2 text-sm text-soft">
              {t`All demo data is fictional. Choose an account to fill in the form.`}
            </p>
            {welcome.demo?.map((person) => (
              <button
                key={person.email}
                type="button"
                className="block min-h-11 w-full border-t border-hair py-1.5 text-start text-sm hover:bg-deep"
                onClick={() => {
                  setEmail(person.email);
                  setPassword(person.password);
                }}
              >
                <span className="block font-semibold">{person.says}</span>
                <span className="figures text-soft">
                  {person.email} · {person.password}
                </span>
              </button>
            ))}
          </section>
        )}
      </div>
    </main>
  );
}
