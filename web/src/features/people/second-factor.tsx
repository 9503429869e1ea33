import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Download as Arrow, Copy } from "lucide-react";
import { useState } from "react";
import { useMe, useSecondFactor } from "@/shared/api/account";
import { Button } from "@/shared/ui/button";
import { saveAs } from "@/shared/ui/download";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";

/** A second factor by an authenticator: set up with its first code, recovery codes once, and off again. */
export function SecondFactor() {
  const me = useMe().data;
  const { offer, set, drop, settle } = useSecondFactor();
  const [code, setCode] = useState("");
  const [password, setPassword] = useState("");
  if (!me) return null;
  const codes = set.data?.codes;
  if (codes)
    return (
      <section aria-label={t`Two-step sign-in`} className="space-y-4">
        <h2 className="border-b border-ink pb-1 text-lg">{t`Recovery codes`}</h2>
        <p>
          {t`Store these somewhere other than your phone. Each code works once if you lose your authenticator. They won’t be shown again.`}
        </p>
        <ul className="figures grid grid-cols-1 gap-1 border border-hair p-3">
          {codes.map((code) => (
            <li key={code}>{code}</li>
          ))}
        </ul>
        <TakeAlong codes={codes} />
        <Button
          look="next"
          onClick={() => {
            set.reset();
            offer.reset();
            setCode("");
            setPassword("");
            void settle();
          }}
        >
          {t`I have saved them`}
        </Button>
      </section>
    );
  const secret = (
    <LabelledInput
      label={t`Your password`}
      type="password"
      autoComplete="current-password"
      value={password}
      onChange={(event) => setPassword(event.target.value)}
    />
  );
  const error = set.error ?? drop.error ?? offer.error;
  return (
    <section aria-label={t`Two-step sign-in`} className="space-y-4">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Two-step sign-in`}</h2>
      {error && <Notice role="alert">{error.message}</Notice>}
      {me.has_second_factor ? (
        <>
          <p>
            <Trans>
              On: you sign in with a code from your authenticator app. {me.recovery_left} recovery
              codes are left.
            </Trans>
          </p>
          {me.second_factor ? (
            <p className="text-sm text-soft">{t`Your practice requires this.`}</p>
          ) : (
            <>
              {secret}
              <Button
                disabled={!password || drop.isPending}
                onClick={() =>
                  drop.mutate({ body: { password } }, { onSuccess: () => setPassword("") })
                }
              >
                {t`Turn off`}
              </Button>
            </>
          )}
        </>
      ) : offer.data ? (
        <form
          className="space-y-4"
          onSubmit={(event) => {
            event.preventDefault();
            set.mutate({ body: { secret: offer.data.secret, code, password } });
          }}
        >
          <p>{t`Scan this with an authenticator app on your phone, or type in the letters.`}</p>
          <img
            alt={t`Set-up key to scan`}
            className="size-52 bg-white p-2"
            src={`data:image/svg+xml;utf8,${encodeURIComponent(offer.data.svg)}`}
          />
          <p className="figures break-all">{offer.data.secret}</p>
          <LabelledInput
            label={t`First code`}
            inputMode="numeric"
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
          />
          {secret}
          <Button type="submit" look="next" disabled={!code || !password || set.isPending}>
            {t`Turn on`}
          </Button>
        </form>
      ) : (
        <>
          <p>{t`Off: sign-in needs only your password.`}</p>
          <Button disabled={offer.isPending} onClick={() => offer.mutate({})}>
            {t`Set up`}
          </Button>
        </>
      )}
    </section>
  );
}

/** Recovery codes to the clipboard or into a file: nobody copies 21 signs ten times by hand. */
function TakeAlong({ codes }: { codes: readonly string[] }) {
  const [copied, setCopied] = useState<boolean | null>(null);
  const text = `${codes.join("\n")}\n`;
  const copy = () =>
    navigator.clipboard
      .writeText(text)
      .then(() => setCopied(true))
      .catch(() => setCopied(false));
  return (
    <div className="flex flex-wrap items-center gap-2">
      <Button onClick={() => void copy()}>
        <Copy size={16} aria-hidden="true" /> {t`Copy`}
      </Button>
      <Button
        onClick={() => saveAs(new Blob([text], { type: "text/plain" }), "recovery-codes.txt")}
      >
        <Arrow size={16} aria-hidden="true" /> {t`Save as file`}
      </Button>
      <span role="status" className="text-sm">
        {copied && t`Copied.`}
        {copied === false && t`This browser can’t copy. Save the file, or write the codes down.`}
      </span>
    </div>
  );
}
