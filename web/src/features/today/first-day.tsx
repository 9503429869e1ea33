import { t } from "@lingui/core/macro";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { Button } from "@/shared/ui/button";

const LATER = "plumb:first-day-later";

/** What an owner sets once, before the first report is signed. */
export function missingOf(me: Schemas["Me"]): { to: string; what: string; why: string }[] {
  const each = [
    {
      missing: me.letterhead === "",
      to: "/people",
      what: t`Letterhead`,
      why: t`the practice’s address, on every paper`,
    },
    {
      missing: me.contact === "",
      to: "/people",
      what: t`Contact`,
      why: t`a name and number for clients’ questions, on every paper`,
    },
    {
      missing: me.title === "",
      to: "/account",
      what: t`Your profession`,
      why: t`it stands under your signature`,
    },
    {
      missing: me.registration === "",
      to: "/account",
      what: t`Your registration number`,
      why: t`beside your signature, if your register gives you one`,
    },
    {
      missing: me.currency === "",
      to: "/people",
      what: t`Typical prices`,
      why: t`so that plans can say what a purchase comes to`,
    },
    {
      missing: !me.has_second_factor,
      to: "/account",
      what: t`Two-step sign-in for your account`,
      why: t`so that a stolen password opens nothing`,
    },
  ];
  return each.filter((one) => one.missing);
}

/** An owner's first list: gone once it is done, or put off until the next time. */
export function FirstDay() {
  const me = useMe().data;
  const [later, setLater] = useState(() => sessionStorage.getItem(LATER) !== null);
  if (me?.role !== "owner" || later) return null;
  const missing = missingOf(me);
  // papers are complete without the rest, which alone is no reason to ask
  if (!missing.some(({ what }) => /^(Letterhead|Whom|Your profession)/.test(what))) return null;
  return (
    <section aria-label={t`Before your first report`} className="mb-8 max-w-[760px]">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Before your first report`}</h2>
      <ul>
        {missing.map(({ to, what, why }) => (
          <li key={what} className="border-b border-hair py-2">
            <Link to={to} className="font-semibold underline">
              {what}
            </Link>
            <span className="text-soft">: {why}</span>
          </li>
        ))}
        <li className="border-b border-hair py-2">
          <b>{t`Two key files`}</b>
          <span className="text-soft">
            {t`: keep copies of backup.key and secrets.key somewhere safe, away from the server. Without backup.key, backups can’t be opened.`}
          </span>
        </li>
      </ul>
      <Button
        look="quiet"
        className="-ms-4"
        onClick={() => {
          sessionStorage.setItem(LATER, "1");
          setLater(true);
        }}
      >
        {t`Not now`}
      </Button>
    </section>
  );
}
