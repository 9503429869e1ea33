import { msg, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import Bowser from "bowser";
import { type FormEvent, useState } from "react";
import { CalendarFeed } from "@/features/agenda/calendar-feed";
import { useMe, usePassword, useRegistration, useSessions } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { clockTime, shortDate } from "@/shared/dates";
import { type Colours, changeSettings, useSettings } from "@/shared/settings";
import { Button } from "@/shared/ui/button";
import { Failure } from "@/shared/ui/fetched";
import { LabelledInput } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { Segments } from "@/shared/ui/segments";
import { said } from "@/shared/words/said";
import { LanguageChoice } from "./language-choice";
import { SecondFactor } from "./second-factor";

/** One's own account: the password, and where one is signed in. */
export function AccountPage() {
  const me = useMe().data;
  return (
    <>
      <PageHead title={t`Your account`} says={`${me?.name}, ${me?.email}`} />
      <div className="grid max-w-[880px] gap-12 desk:grid-cols-[340px_1fr]">
        <div className="space-y-10">
          {me && <LanguageChoice me={me} />}
          <ColourChoice />
          {me && <Registration me={me} />}
          <Password />
          <SecondFactor />
        </div>
        <div className="space-y-10">
          <Sessions />
          <CalendarFeed />
        </div>
      </div>
    </>
  );
}

const COLOUR_CHOICES = said([
  { value: "light", label: msg`Always light` },
  { value: "dark", label: msg`Always dark` },
  { value: "system", label: msg`As the system` },
]);

/** Light, dark, or by day and by night as the system has it: in this browser. */
function ColourChoice() {
  const { colours } = useSettings();
  return (
    <section aria-label={t`Colours`} className="space-y-3">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Colours`}</h2>
      <Segments
        label={t`Colours in this browser`}
        value={colours}
        choices={COLOUR_CHOICES}
        onChange={(colours) => changeSettings({ colours: colours as Colours })}
      />
    </section>
  );
}

/** Profession and registration: they stand beside one's name on what one signs. */
function Registration({ me }: { me: Schemas["Me"] }) {
  const change = useRegistration();
  const [typed, setTyped] = useState(me.registration);
  const [title, setTitle] = useState(me.title);
  const same = typed.trim() === me.registration && title.trim() === me.title;
  return (
    <form
      aria-label={t`Signature`}
      className="space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        change.mutate({ body: { title: title.trim(), registration: typed.trim() } });
      }}
    >
      <h2 className="border-b border-ink pb-1 text-lg">{t`Signature`}</h2>
      <LabelledInput
        label={t`Profession`}
        maxLength={200}
        value={title}
        onChange={(event) => setTitle(event.target.value)}
        help={t`As it should appear under your name, for example “Occupational therapist”.`}
      />
      <LabelledInput
        label={t`Registration number`}
        maxLength={60}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        help={t`As on your register or licence. Signed reports are not changed.`}
      />
      <Failure of={change} />
      <Button type="submit" disabled={same || change.isPending}>
        {t`Save`}
      </Button>
    </form>
  );
}

const BLANK = { current: "", password: "", again: "" };

function Password() {
  const change = usePassword();

  const [given, setGiven] = useState(BLANK);
  const differs = given.again !== "" && given.again !== given.password;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const { current, password } = given;
    change.mutate({ body: { current, password } }, { onSuccess: () => setGiven(BLANK) });
  };
  const line = (key: keyof typeof given, label: string, complete: string, help = "") => (
    <LabelledInput
      label={label}
      type="password"
      required
      autoComplete={complete}
      {...(help ? { help, minLength: 12 } : {})}
      value={given[key]}
      onChange={(event) => setGiven({ ...given, [key]: event.target.value })}
    />
  );
  return (
    <form onSubmit={submit} className="space-y-4" aria-label={t`Change password`}>
      <h2 className="border-b border-ink pb-1 text-lg">{t`Password`}</h2>
      {line("current", t`Current password`, "current-password")}
      {line(
        "password",
        t`New password`,
        "new-password",
        t`At least 12 characters. Four unrelated words work well.`,
      )}
      {line("again", t`Repeat new password`, "new-password")}
      {differs && <Notice role="alert">{t`The passwords don’t match.`}</Notice>}
      <Failure of={change} />
      {change.isSuccess && given === BLANK && (
        <Notice role="status">{t`Password changed. All other sessions have been signed out.`}</Notice>
      )}
      <Button type="submit" disabled={differs || !given.again || change.isPending}>
        {t`Change password`}
      </Button>
    </form>
  );
}

/** A browser and its system, from the words it introduces itself with. */
function named(agent: string): string {
  if (!agent) return t`Unknown browser`;
  const { browser, os } = Bowser.parse(agent);
  return [browser.name ?? t`Unknown app`, os.name && `on ${os.name}`].filter(Boolean).join(" ");
}

function Sessions() {
  const { list, end } = useSessions();
  const others = (list.data ?? []).filter((session) => !session.here);
  const at = (moment: string) => `${shortDate(moment)}, ${clockTime(new Date(moment))}`;
  return (
    <section aria-label={t`Active sessions`}>
      <h2 className="border-b border-ink pb-1 text-lg">{t`Active sessions`}</h2>
      <Failure of={end} />
      {others.length > 1 && (
        <Button
          className="mt-3"
          disabled={end.isPending}
          onClick={() => {
            for (const { id } of others) end.mutate({ params: { path: { session_id: id } } });
          }}
        >
          {t`Sign out all other sessions`}
        </Button>
      )}
      <ul>
        {list.data?.map((session) => (
          <li
            key={session.id}
            className="flex min-h-13 items-center justify-between gap-4 border-b border-hair py-1"
          >
            <span>
              <b>{named(session.browser)}</b>
              <span className="figures block text-sm text-soft">
                <Trans>
                  since {at(session.started_at)}, ends {at(session.expires_at)}
                </Trans>
              </span>
            </span>
            {session.here ? (
              <span className="text-soft">{t`this device`}</span>
            ) : (
              <Button
                className="shrink-0"
                disabled={end.isPending}
                onClick={() => end.mutate({ params: { path: { session_id: session.id } } })}
              >
                {t`Sign out this session`}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
