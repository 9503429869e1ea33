import { t } from "@lingui/core/macro";
import { ChevronLeft, ChevronRight } from "lucide-react";
import { useState } from "react";
import { useMe } from "@/shared/api/account";
import { type Appointment, useAgenda } from "@/shared/api/agenda";
import { Refused } from "@/shared/api/client";
import { daysLater, weekdayAndDay, weekStart } from "@/shared/dates";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { usePhone } from "@/shared/use-media";
import { AppointmentDialog } from "./appointment-dialog";
import { DayList } from "./day-list";
import { daysShown } from "./week";
import { WeekGrid } from "./week-grid";

/** The day in order, and the week beside it. */
export function AgendaSection({
  day,
  onDay,
  mine,
}: {
  day: string;
  onDay: (day: string) => void;
  /** Only one's own appointments. */
  mine: boolean;
}) {
  const me = useMe().data;
  const phone = usePhone();
  const asked = useAgenda(weekStart(day));
  const [opened, setOpened] = useState<Appointment | null>(null);
  const [free, setFree] = useState<{ on: string; at: number } | null>(null);
  if (!asked.data) {
    if (asked.error instanceof Refused)
      return (
        <Notice role="alert" className="mb-4">
          {asked.error.message}
        </Notice>
      );
    // without network the list below says so; until the answer is there, its room is kept
    return asked.fetchStatus === "fetching" ? (
      <div className="h-[520px]" aria-hidden="true" />
    ) : null;
  }
  const agenda = mine
    ? {
        ...asked.data,
        appointments: asked.data.appointments.filter(({ member_id }) => member_id === me?.id),
      }
    : asked.data;
  const today = agenda.today;
  const changes = me?.office ?? false;
  const linesOf = (on: string) => agenda.appointments.filter((line) => line.on === on);
  const others = daysShown(agenda).filter((each) => each !== day && linesOf(each).length > 0);
  return (
    <div className="mb-8 grid gap-x-8 gap-y-6 desk:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <section aria-label={t`Agenda for the day`}>
        <div className="flex min-h-11 flex-wrap items-center justify-between gap-2">
          <h2 className="text-lg">
            {day === today ? t`Today’s agenda` : weekdayAndDay(day, "long")}
          </h2>
          {changes && (
            <Button onClick={() => setFree({ on: day, at: nextQuarter(day === today, agenda) })}>
              {t`New appointment`}
            </Button>
          )}
        </div>
        <DayList lines={linesOf(day)} onOpen={setOpened} />
      </section>
      <section aria-label={t`Week`}>
        <div className="flex min-h-11 items-center gap-1">
          <h2 className="me-auto text-lg">{t`Week of ${weekdayAndDay(weekStart(day))}`}</h2>
          {day !== today && (
            <Button look="quiet" onClick={() => onDay(today)}>
              {t`Today`}
            </Button>
          )}
          <Button
            look="quiet"
            aria-label={t`Previous week`}
            onClick={() => onDay(daysLater(day, -7))}
          >
            <ChevronLeft size={18} className="rtl:rotate-180" aria-hidden="true" />
          </Button>
          <Button look="quiet" aria-label={t`Next week`} onClick={() => onDay(daysLater(day, 7))}>
            <ChevronRight size={18} className="rtl:rotate-180" aria-hidden="true" />
          </Button>
        </div>
        {phone ? (
          others.map((each) => (
            <div key={each} className="mt-3">
              <h3 className="figures font-semibold">{weekdayAndDay(each, "long")}</h3>
              <DayList lines={linesOf(each)} onOpen={setOpened} />
            </div>
          ))
        ) : (
          <WeekGrid
            agenda={agenda}
            day={day}
            onDay={onDay}
            onOpen={(line) => changes && setOpened(line)}
            onFree={(on, at) => setFree({ on, at })}
            changes={changes}
          />
        )}
      </section>
      {opened && <AppointmentDialog agenda={agenda} line={opened} onDone={() => setOpened(null)} />}
      {free && <AppointmentDialog agenda={agenda} free={free} onDone={() => setFree(null)} />}
    </div>
  );
}

/** The next quarter of an hour today, within the hours; on another day when the practice opens. */
function nextQuarter(today: boolean, { now, opens_at }: { now: number; opens_at: number }): number {
  return today ? Math.max(opens_at, Math.min(1425, Math.ceil(now / 15) * 15)) : opens_at;
}
