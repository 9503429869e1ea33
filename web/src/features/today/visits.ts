import { msg, plural, t } from "@lingui/core/macro";
import type { Schemas } from "@/shared/api/client";
import { dayOf, daysBetween, daysLater } from "@/shared/dates";
import { matches } from "@/shared/search";
import { said } from "@/shared/words/said";

export type Line = Schemas["VisitLineView"];

export const STATE_WORDS: Record<Line["state"], string> = said({
  new: msg`Not started`,
  draft: msg`In progress`,
  signed: msg`Signed`,
  changed: msg`Changed since signing`,
});

export type Group = {
  id: "sign" | "call" | "worse" | "today" | "due" | "open" | "done";
  title: string;
  lines: Line[];
};

/** What a line of a group waits for: when it is due, or what is next. */
export function whenDue(line: Line, today = dayOf(new Date())): string {
  return dueOn(line.follow_up, today);
}

/** When something is due on a day, counted from today. */
export function dueOn(day: string | null, today = dayOf(new Date())): string {
  if (!day) return "";
  const days = daysBetween(today, day);
  if (days === 0) return t`due today`;
  const many = Math.abs(days);
  const counted = plural(many, { one: "# day", other: "# days" });
  return days < 0 ? t`${counted} overdue` : t`due in ${counted}`;
}

/** Visits by what they wait for; those with a red flag that nobody has answered come first. */
export function groupVisits(lines: readonly Line[], today = dayOf(new Date())): Group[] {
  const soon = daysLater(today, 14);
  // a client who has come since has been followed up
  const cameSince = (line: Line) =>
    lines.some(
      (visitLine) =>
        visitLine.client_id === line.client_id && visitLine.started_on > line.started_on,
    );
  const open = lines.filter((line) => line.state !== "signed");
  const due = lines
    .filter(
      (line) =>
        line.follow_up !== null &&
        line.follow_up <= soon &&
        line.state === "signed" &&
        !cameSince(line),
    )
    .sort((a, b) => (a.follow_up ?? "").localeCompare(b.follow_up ?? ""));
  const call = lines
    .filter((line) => line.call_back !== null && line.call_back <= daysLater(today, 3))
    .sort((a, b) => (a.call_back ?? "").localeCompare(b.call_back ?? ""));
  const signs = lines.filter((line) => line.sign !== null && !call.includes(line));
  const worse = open.filter(
    (line) => line.worse.length > 0 && !signs.includes(line) && !call.includes(line),
  );
  const done = lines.filter((line) => line.state === "signed" && !due.includes(line));
  const groups: Group[] = [
    { id: "sign", title: t`Unanswered red flags`, lines: signs },
    { id: "call", title: t`Call back`, lines: call },
    { id: "worse", title: t`Worse than last time`, lines: worse },
    {
      id: "today",
      title: t`Visits today`,
      lines: open.filter((line) => line.started_on === today),
    },
    { id: "due", title: t`Follow-ups due`, lines: due },
    { id: "open", title: t`To finish`, lines: open.filter((line) => line.started_on !== today) },
    { id: "done", title: t`Signed`, lines: done },
  ];
  // who stands first stands in no second place
  const first = [...signs, ...call, ...worse];
  return groups
    .map((group) =>
      group.id === "sign" || group.id === "call" || group.id === "worse"
        ? group
        : { ...group, lines: group.lines.filter((line) => !first.includes(line)) },
    )
    .filter((group) => group.lines.length > 0);
}

/** How long a draft has been lying; nothing for one of today. */
export function ageOf(line: Line, today = dayOf(new Date())): string {
  const days = daysBetween(line.started_on, today);
  if (line.state !== "draft" || days < 1) return "";
  return plural(days, { one: "# day old", other: "# days old" });
}

/** The lines somebody looks for: by client or work, everybody's or one's own. */
export function sought(lines: readonly Line[], words: string, mine: string | null): Line[] {
  return lines.filter(
    (line) =>
      (mine === null || line.practitioner === mine) && matches(words, line.client, line.work),
  );
}
