import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import type { Schemas } from "@/shared/api/client";
import { fieldId } from "@/shared/api/field-ids";
import { DAY, PROGRAMME, useDay } from "@/shared/api/queries";
import { ofVisit, outdate } from "@/shared/api/stale";
import { Button } from "@/shared/ui/button";
import { Download } from "@/shared/ui/download";
import { Failure } from "@/shared/ui/fetched";
import { Notice } from "@/shared/ui/notice";
import { PartTabs } from "@/shared/ui/part-tabs";
import { Segments } from "@/shared/ui/segments";
import { Skeleton } from "@/shared/ui/skeleton";
import { FieldsForm } from "../../fields-form";
import { PanelFoot, StepHead } from "../../panel-parts";
import { PACE_PARTS, type PacePart } from "../../parts";
import { useVisitFacts } from "../../state/facts";
import { useNavigation } from "../../state/navigation";
import { useCells } from "../../state/recording";
import { useWorkup } from "../../state/workup";
import { useRoomWidth } from "../../use-room-width";
import { DayBar } from "./day-bar";
import { LimitsOfTheDay } from "./limits";
import { Movements } from "./movements";
import { OwnSpell, type Spell } from "./own-spell";
import { Rhythms } from "./rhythms";
import { Spells } from "./spells";
import { Tasks } from "./tasks";

const ORDER = Object.keys(PACE_PARTS) as PacePart[];
/** The fields of a part of Pace. */
const FIELDS: Partial<Record<PacePart, RegExp>> = {
  hours: /^pace\.(start|lunch|meeting)/,
  eyes: /^pace\.(eye_|far_point)/,
};

/** Pace: the client's working day, laid out within their limits. */
export function PacePanel() {
  const { visit, place, fields } = useVisitFacts();
  const drawnVisit = useWorkup();
  const { part, setPart, go, seek } = useNavigation();
  /** Who has to get used to standing begins with the first week. */
  const [week, setWeek] = useState(1);
  const [room, width] = useRoomWidth();
  const queries = useQueryClient();
  const revision = drawnVisit?.revision;
  const answer = useDay(visit.id, { place, week, width: width || 900 }, width > 0);
  const laidOutFor = useRef(revision);
  useEffect(() => {
    const before = laidOutFor.current;
    laidOutFor.current = revision;
    if (before === undefined || before === revision) return;
    for (const path of [DAY, PROGRAMME] as const)
      void outdate(queries, { queryKey: ofVisit(path, visit.id) });
  }, [queries, visit.id, revision]);
  const page = answer.data;
  const [picked, setPicked] = useState<Spell | null>(null);
  /** Spells are taken in hand in the whole day; the weeks that lead to it follow. */
  const pick = (spell: Spell) => {
    setWeek(0);
    setPicked(spell);
  };
  const spell = page?.day?.week ? null : spellOf(page?.day, picked);
  const chosen = useCells().get(fieldId("pace.rhythm"))?.typed;
  const present = ORDER.find((text) => text === part) ?? "rhythm";
  const group = fields.filter((field) => FIELDS[present]?.test(field.id));
  return (
    <div ref={room} className="flex min-h-full flex-col">
      <StepHead
        aside={
          page?.day ? (
            <Download
              href={`/api/visits/${visit.id}/day.ics?place=${place}`}
              file="working-day.ics"
            >
              {t`Calendar file`}
            </Download>
          ) : (
            <span className="inline-flex min-h-11 items-center">{t` `}</span> // its place meanwhile
          )
        }
        says={page?.day ? summary(page.day) : t`No single posture is comfortable for hours.`}
      >
        {t`Pace`}
      </StepHead>
      <LimitsOfTheDay />
      <Failure of={answer} />
      {!page && !answer.isError && <Skeleton lines={8} label={t`Loading`} />}
      {page && !page.day && (
        <Notice>
          <Trans>Record hours by task to lay out the day. </Trans>
          <Button className="ms-2" onClick={() => seek("ask.hours.typing")}>
            {t`Hours by task`}
          </Button>
        </Notice>
      )}
      {page?.day && page.bar && (
        <>
          {page.doubt && <Notice role="alert">{page.doubt}</Notice>}
          <DayBar bar={page.bar} day={page.day} picked={spell} onPick={pick} />
          {spell && (
            <OwnSpell
              key={spell.id}
              spell={spell}
              stands={page.day.stands}
              onLeave={() => setPicked(null)}
            />
          )}
          <div className="mb-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
            <Totals page={page} day={page.day} />
            {page.day.weeks.length > 0 && (
              <Segments
                label={t`Week of getting used to standing`}
                value={String(page.day.week)}
                choices={page.day.weeks.map((week) => ({
                  value: String(week.week),
                  label: week.label,
                }))}
                onChange={(value) => setWeek(Number(value))}
              />
            )}
          </div>
          {page.day.week > 0 && (
            <p className="mb-2 text-sm">
              {page.day.weeks.find((week) => week.week === page.day?.week)?.says}
            </p>
          )}
        </>
      )}
      <PartTabs
        label={t`Sections of this step`}
        parts={ORDER.map((id) => ({
          id,
          name: PACE_PARTS[id],
          ...(id === "rhythm" ? { open: !chosen } : {}),
        }))}
        present={present}
        onChoose={setPart}
      >
        {present === "rhythm" && page?.day && <Rhythms page={page} day={page.day} />}
        {present === "tasks" && page?.day && <Tasks day={page.day} />}
        {FIELDS[present] && (
          <div className="grid max-w-[880px] gap-x-10 desk:grid-cols-2">
            <FieldsForm fields={group} />
            {present === "eyes" && page?.day && (
              <p className="mt-2 self-start border-s-2 border-ink ps-3">{page.day.eyes}</p>
            )}
          </div>
        )}
        {present === "movements" && <Movements />}
        {present === "spells" && page?.day && <Spells day={page.day} onPick={pick} />}
        <PanelFoot>
          <Button
            look="next"
            className="w-full desk:max-w-[440px]"
            data-next=""
            onClick={() => go("report")}
          >
            {t`Continue to Report`}
          </Button>
        </PanelFoot>
      </PartTabs>
    </div>
  );
}

/** The spell that was picked: by its name, else what lies at its time now. */
function spellOf(day: Schemas["DayView"] | null | undefined, picked: Spell | null): Spell | null {
  if (!day || !picked) return null;
  const there = (spell: Spell) =>
    spell.start <= picked.start && picked.start < spell.start + spell.minutes;
  return (
    day.spells.find((spell) => spell.id === picked.id) ??
    day.spells.find((spell) => there(spell) && (spell.kind === "rhythm" || spell.kind === "own")) ??
    null
  );
}

function summary(day: Schemas["DayView"]): string {
  return t`${day.rhythm_label}, ${day.start} to ${day.end}. No single posture is comfortable for hours.`;
}

/** What the day comes to, in figures. */
function Totals({ page, day }: { page: Schemas["DayPage"]; day: Schemas["DayView"] }) {
  const { totals } = day;
  const figures: [string, string][] = [
    ["sitting", t`${totals.sit} min`],
    ["standing", t`${totals.stand} min`],
    ["moving", t`${totals.move} min`],
    ["changes", `${totals.changes}`],
    [t`longest sitting`, t`${totals.longest_sit} min`],
    ...(totals.longest_stand
      ? [[t`longest standing`, t`${totals.longest_stand} min`] as [string, string]]
      : []),
  ];
  if (page.strain_before !== null && page.strain_after !== null)
    figures.push([t`strain, found → planned`, t`${page.strain_before} → ${page.strain_after} min`]);
  return (
    <dl className="flex flex-wrap gap-x-6 gap-y-1 text-sm">
      {figures.map(([name, value]) => (
        <div key={name}>
          <dt className="text-soft">{name}</dt>
          <dd className="figures text-base font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
