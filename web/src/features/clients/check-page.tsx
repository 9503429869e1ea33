import { msg, plural, t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { Link, useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import type { Schemas } from "@/shared/api/client";
import { LEVELS, type Level, ROUND_WORDS, useCheck, useCheckDeeds } from "@/shared/api/own";
import { useVisits } from "@/shared/api/queries";
import { longDate, shortDate } from "@/shared/dates";
import { useUnitSwitch } from "@/shared/settings";
import { Button } from "@/shared/ui/button";
import { BOX, Labelled } from "@/shared/ui/labelled";
import { Notice } from "@/shared/ui/notice";
import { PageHead } from "@/shared/ui/page-head";
import { PhraseBox } from "@/shared/ui/phrase-box";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { said } from "@/shared/words/said";
import { within } from "@/shared/words/within";

type Check = Schemas["CheckView"];

const SECTIONS: Record<Schemas["AnswerView"]["section"], string> = said({
  signs: msg`Warning signs`,
  reason: msg`In their own words`,
  felt: msg`Discomfort`,
  conditions: msg`Conditions`,
  work: msg`Work`,
  station: msg`Workplace`,
  room: msg`Room`,
  lengths: msg`Measured by the client`,
  still: msg`Still the same?`,
  requests: msg`Requested from the workplace`,
  habits: msg`Habits`,
});

/** What a client answered on their own page: how it is sorted and why, and what the practitioner decides. */
export function CheckPage() {
  const { checkId } = useParams({ from: "/shell/clients/checks/$checkId" });
  const me = useMe().data;
  const { unit } = useUnitSwitch(me?.unit ?? "cm");
  const check = useCheck(checkId, unit);
  if (check.isError && !check.data)
    return (
      <>
        <PageHead title={t`Answers not found`} says={check.error.message} />
        <Link to="/" className="underline">
          {t`Back to Today`}
        </Link>
      </>
    );
  if (!check.data) return <Skeleton page lines={8} label={t`Loading`} />;
  return <Seen check={check.data} writes={me?.writes ?? false} />;
}

function Seen({ check, writes }: { check: Check; writes: boolean }) {
  const sections = [...new Set(check.answers.map((answer) => answer.section))];
  return (
    <>
      <PageHead
        back={{
          to: "/clients/$clientId",
          params: { clientId: check.client_id },
          children: check.client,
        }}
        title={`${check.client}: ${within(ROUND_WORDS[check.round])}`}
        says={
          check.sent_at
            ? t`Completed by the client on ${longDate(check.sent_at)}. ${check.open} questions unanswered.`
            : t`Not sent yet. Answers so far:`
        }
      />
      <div className="grid gap-x-12 gap-y-8 desk:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
        <div>
          <section aria-label={t`Triage`} className="mb-6">
            <h2 className="border-b border-ink pb-1 text-lg">
              <Trans>
                Sorted as: <b>{check.level_says}</b>
              </Trans>
            </h2>
            {check.reasons.length === 0 && (
              <p className="py-2">{t`No follow-up suggested by the rules.`}</p>
            )}
            <ul>
              {check.reasons.map((reason) => (
                <li key={reason.says} className="border-b border-hair py-2">
                  <p>
                    <b className="me-2 border border-ink px-1.5 text-sm">{LEVELS[reason.level]}</b>
                    {reason.says}
                  </p>
                  <p className="text-sm text-soft">{reason.answers.join(" · ")}</p>
                </li>
              ))}
            </ul>
            <p className="mt-2 text-sm text-soft">
              {t`Suggested by fixed rules from the client’s answers. The decision is yours.`}
            </p>
          </section>
          {writes && check.sent_at && <Decide key={check.decided_at ?? ""} check={check} />}
          {writes && check.sent_at && <TakeOver check={check} />}
        </div>
        <div>
          {check.doubts.length > 0 && (
            <Notice className="mb-4">
              <Trans>
                Measure again: {within(check.doubts.join(", "))}. The client’s readings don’t match.
              </Trans>
            </Notice>
          )}
          {sections.map((section) => (
            <section key={section} aria-label={SECTIONS[section]} className="mb-5">
              <h2 className="border-b border-ink pb-1 text-lg">{SECTIONS[section]}</h2>
              <dl>
                {check.answers
                  .filter((answer) => answer.section === section)
                  .map((answer) => (
                    <div
                      key={answer.question}
                      className="grid grid-cols-[minmax(0,1fr)_minmax(0,auto)] gap-4 border-b border-hair py-1"
                    >
                      <dt>{answer.says}</dt>
                      <dd className="figures max-w-80 text-end font-semibold" dir="auto">
                        {answer.answer}
                      </dd>
                    </div>
                  ))}
              </dl>
            </section>
          ))}
        </div>
      </div>
    </>
  );
}

function Decide({ check }: { check: Check }) {
  const { decide } = useCheckDeeds();
  const [level, setLevel] = useState<Level>(check.decided ?? check.level);
  const [note, setNote] = useState(check.note);
  const changed = level !== check.decided || note !== check.note;
  return (
    <section aria-label={t`Decision`} className="mb-6">
      <h2 className="border-b border-ink pb-1 text-lg">{t`Your decision`}</h2>
      {check.decided && (
        <p className="pt-2">
          <Trans>
            {LEVELS[check.decided]}, decided by {check.decided_by} on{" "}
            {shortDate(check.decided_at ?? "")}.
          </Trans>
        </p>
      )}
      <div className="space-y-3 pt-3">
        <Segments
          label={t`Your decision`}
          value={level}
          onChange={(to) => setLevel(to as Level)}
          choices={Object.entries(LEVELS).map(([value, label]) => ({ value, label }))}
        />
        <Labelled label={t`Note`}>
          {(ids) => (
            <PhraseBox
              {...ids}
              client={check.client}
              className={`block py-2 ${BOX}`}
              rows={2}
              maxLength={4000}
              value={note}
              onText={setNote}
            />
          )}
        </Labelled>
        {decide.error && <Notice role="alert">{decide.error.message}</Notice>}
        <Button
          look={check.decided ? "plain" : "next"}
          disabled={decide.isPending || !changed}
          onClick={() =>
            decide.mutate({ params: { path: { check_id: check.id } }, body: { level, note } })
          }
        >
          <Trans>Record decision: {within(LEVELS[level])}</Trans>
        </Button>
      </div>
    </section>
  );
}

function TakeOver({ check }: { check: Check }) {
  const { takeOver } = useCheckDeeds();
  const navigate = useNavigate();
  const visits = useVisits({ client_id: check.client_id }).data ?? [];
  const open = visits.filter(
    (line) =>
      line.client_id === check.client_id && line.state !== "signed" && line.state !== "changed",
  );
  const target = open.find((line) => line.id === check.visit_id) ?? open[0];
  const done = takeOver.data;
  return (
    <section aria-label={t`Copy to the visit`}>
      <h2 className="border-b border-ink pb-1 text-lg">{t`Copy to the visit`}</h2>
      {!target ? (
        <p className="pt-2 text-soft">
          {t`There is no open visit. Start one on the client’s page, then copy the answers.`}
        </p>
      ) : (
        <div className="space-y-3 pt-2">
          <p>
            <Trans>
              Answers fill the empty fields of the visit on {longDate(target.started_on)}, marked as
              reported by the client. Existing entries are never overwritten.
            </Trans>
          </p>
          {takeOver.error && <Notice role="alert">{takeOver.error.message}</Notice>}
          {done && (
            <Notice role="status">
              {done.taken === 0
                ? t`Nothing new to copy.`
                : plural(done.taken, { one: "# entry copied.", other: "# entries copied." })}
              {done.kept.length > 0 && t` Already recorded, not changed: ${done.kept.join(", ")}.`}
            </Notice>
          )}
          <div className="flex flex-wrap gap-2">
            <Button
              disabled={takeOver.isPending}
              onClick={() =>
                takeOver.mutate({
                  params: { path: { check_id: check.id } },
                  body: { visit_id: target.id },
                })
              }
            >
              {t`Copy answers`}
            </Button>
            <Button
              look="quiet"
              onClick={() =>
                void navigate({
                  to: "/visits/$visitId/$step",
                  params: { visitId: target.id, step: "ask" },
                })
              }
            >
              {t`Open the visit`}
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
