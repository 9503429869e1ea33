import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { type FormEvent, useState } from "react";
import { server } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";

/** The way out for who has forgotten their password: a link by mail, or a colleague. */
export function Forgotten({ email, mails }: { email: string; mails: boolean }) {
  const [open, setOpen] = useState(false);
  const [address, setAddress] = useState(email);
  const ask = server.useMutation("post", "/api/forgotten");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    ask.mutate({ body: { email: address } });
  };
  if (!open)
    return (
      <Button
        look="quiet"
        className="mt-3 -ms-4"
        onClick={() => {
          setAddress(email);
          setOpen(true);
        }}
      >
        {t`Forgotten your password?`}
      </Button>
    );
  if (!mails)
    return (
      <Notice className="mt-4">
        {t`Ask an owner of your practice for a reset link. If nobody can sign in, ask your administrator.`}
      </Notice>
    );
  if (ask.isSuccess)
    return (
      <Notice role="status" className="mt-4">
        <Trans>
          If {address} has an account here, an email with a single-use link is on its way. It is
          valid for one hour.
        </Trans>
      </Notice>
    );
  return (
    <form onSubmit={submit} className="mt-6 space-y-4" aria-label={t`Forgotten password`}>
      <LabelledInput
        label={t`Email`}
        type="email"
        autoComplete="username"
        required
        value={address}
        onChange={(event) => setAddress(event.target.value)}
      />
      <Failure of={ask} />
      <Button type="submit" disabled={ask.isPending}>
        {t`Send link`}
      </Button>
    </form>
  );
}
