import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useState } from "react";
import { useCalendar } from "@/shared/api/agenda";
import { shortDate } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { CheckBox } from "@/shared/ui/check-box";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";

/** One's appointments in a calendar program, by a secret address that is shown once. */
export function CalendarFeed() {
  const { held, make, close } = useCalendar();
  const [names, setNames] = useState(false);
  const made = make.data;
  const on = held.data?.made_at ?? null;
  return (
    <section aria-label={t`Private calendar`} className="space-y-3">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Private calendar`}</h2>
      <p className="text-sm text-soft">
        {t`Shows your appointments in your own calendar program. Anyone who has the address can read it, so treat it like a password.`}
      </p>
      {on && (
        <p>
          <Trans>
            On since {shortDate(on)}.{" "}
            {held.data?.names ? t`Clients are named.` : t`No client is named.`}
          </Trans>
        </p>
      )}
      {made && on && (
        <LabelledInput
          label={t`Address`}
          readOnly
          value={made.url}
          onFocus={(event) => event.target.select()}
          help={t`Copy it now: it is not shown again. Add it to your calendar program as a calendar from the internet.`}
        />
      )}
      <CheckBox checked={names} onChange={setNames}>
        {t`Include clients’ names and addresses`}
      </CheckBox>
      <Failure of={make} />
      <Failure of={close} />
      <div className="flex flex-wrap gap-2">
        <Button disabled={make.isPending} onClick={() => make.mutate({ body: { names } })}>
          {on ? t`New address` : t`Create address`}
        </Button>
        {on && (
          <Button look="quiet" disabled={close.isPending} onClick={() => close.mutate({})}>
            {t`Turn off`}
          </Button>
        )}
      </div>
      {on && (
        <p className="text-sm text-soft">{t`With a new address, the old one stops working.`}</p>
      )}
    </section>
  );
}
