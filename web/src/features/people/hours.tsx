import { t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { clockMinutes, typedClock } from "@/shared/clock";
import { weekdayName } from "@/shared/dates";
import { CheckBox } from "@/shared/ui/check-box";
import { LabelledInput, LabelledText } from "@/shared/ui/labelled";

export type Hours = Pick<Schemas["Me"], "opens_at" | "closes_at" | "open_days" | "rooms">;

export const hoursOf = ({ opens_at, closes_at, open_days, rooms }: Schemas["Me"]): Hours => ({
  opens_at,
  closes_at,
  open_days,
  rooms,
});

const DAYS = [1, 2, 3, 4, 5, 6, 7];

/** When the practice is open, and its rooms: within the hours, times are offered. */
export function HoursFields({
  hours,
  onChange,
}: {
  hours: Hours;
  onChange: (hours: Hours) => void;
}) {
  const openOn = (day: number, open: boolean) =>
    DAYS.filter((each) => (each === day ? open : hours.open_days.includes(`${each}`))).join("");
  return (
    <fieldset className="space-y-3">
      <legend className="mb-1 font-semibold">{t`Opening hours and rooms`}</legend>
      <div className="grid grid-cols-2 gap-3">
        <LabelledInput
          label={t`Opens`}
          type="time"
          required
          step={900}
          value={typedClock(hours.opens_at)}
          onChange={(event) => onChange({ ...hours, opens_at: clockMinutes(event.target.value) })}
        />
        <LabelledInput
          label={t`Closes`}
          type="time"
          required
          step={900}
          value={typedClock(hours.closes_at)}
          onChange={(event) => onChange({ ...hours, closes_at: clockMinutes(event.target.value) })}
        />
      </div>
      <div className="flex flex-wrap gap-x-4">
        {DAYS.map((day) => (
          <CheckBox
            key={day}
            checked={hours.open_days.includes(`${day}`)}
            onChange={(open) => onChange({ ...hours, open_days: openOn(day, open) })}
          >
            {weekdayName(day)}
          </CheckBox>
        ))}
      </div>
      <LabelledText
        label={t`Rooms`}
        rows={2}
        maxLength={500}
        value={hours.rooms}
        onChange={(event) => onChange({ ...hours, rooms: event.target.value })}
        help={t`One room per line. The agenda offers them and points out when one is taken twice.`}
      />
    </fieldset>
  );
}
