import { DayPicker } from "react-day-picker";
import { de, enGB, es } from "react-day-picker/locale";
import { dateOrder } from "../dates";
import { writing } from "../words/language";

/** A day as the calendar works with it, at noon so that no zone moves it. */
const at = (day: string) => new Date(`${day}T12:00:00`);
const of = (date: Date) =>
  [date.getFullYear(), date.getMonth() + 1, date.getDate()]
    .map((part) => `${part}`.padStart(2, "0"))
    .join("-");

const cell = "size-11 rounded-[3px] hover:bg-deep disabled:opacity-40";

/** A month of days; arrow keys move by day and week, Page up and down by month. */
export default function Calendar({
  day,
  today,
  from,
  onChoose,
}: {
  day: string;
  today: string;
  /** Days before it can't be chosen. */
  from: string | null;
  onChoose: (day: string) => void;
}) {
  return (
    <DayPicker
      mode="single"
      locale={LOCALES[writing()] ?? enGB}
      weekStartsOn={dateOrder() === "mdy" ? 0 : 1}
      autoFocus
      today={at(today)}
      selected={day ? at(day) : undefined}
      defaultMonth={at(day || today)}
      disabled={from ? { before: at(from) } : []}
      onSelect={(chosen) => chosen && onChoose(of(chosen))}
      classNames={{
        months: "relative",
        month_caption: "flex min-h-11 items-center justify-center font-semibold",
        nav: "absolute inset-x-0 top-0 flex justify-between",
        button_previous: `${cell} grid place-items-center`,
        button_next: `${cell} grid place-items-center`,
        chevron: "size-4 fill-current",
        month_grid: "figures border-collapse",
        weekday: "size-9 text-sm font-normal text-soft",
        day: "p-0 text-center",
        day_button: `${cell} aria-selected:bg-ink`,
        today: "font-semibold underline underline-offset-4",
        selected: "bg-ink text-ground [&>button]:hover:bg-ink",
        outside: "text-soft opacity-60",
      }}
    />
  );
}
const LOCALES: Record<string, typeof enGB> = { de, es };
