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
        className="mt-3 -ml-4"
        onClick={() => {
          setAddress(email);
          setOpen(true);
        }}
      >
        Forgotten your password?
      </Button>
    );
  if (!mails)
    return (
      <Notice className="mt-4">
        An owner of your practice can send you a link to reset it, under Practice. Where nobody can
        sign in, your administrator sets it: ./plumb password
      </Notice>
    );
  if (ask.isSuccess)
    return (
      <Notice role="status" className="mt-4">
        If {address} signs in here, a mail with a link is on its way. It opens once, within an hour.
      </Notice>
    );
  return (
    <form onSubmit={submit} className="mt-6 space-y-4" aria-label="Forgotten password">
      <LabelledInput
        label="Address to send a link to"
        type="email"
        autoComplete="username"
        required
        value={address}
        onChange={(event) => setAddress(event.target.value)}
      />
      <Failure of={ask} />
      <Button type="submit" disabled={ask.isPending}>
        Send the link
      </Button>
    </form>
  );
}
