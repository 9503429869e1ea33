import type { Schemas } from "@/shared/api/client";
import { dayOf, daysLater } from "@/shared/dates";

type Line = Schemas["VisitLineOut"];

export const STATE_WORDS: Record<Line["state"], string> = {
  new: "Not started",
  draft: "In progress",
  signed: "signed",
  changed: "Signed, then changed",
};

/** Visits by what they wait for. */
export function groupVisits(lines: readonly Line[], today = dayOf(new Date())) {
  const soon = daysLater(today, 14);
  // a client who has come since has been followed up
  const cameSince = (line: Line) =>
    lines.some((one) => one.client_id === line.client_id && one.started_on > line.started_on);
  const due = lines.filter(
    (line) =>
      line.follow_up !== null &&
      line.follow_up <= soon &&
      line.state === "signed" &&
      !cameSince(line),
  );
  const open = lines
    .filter((line) => line.state !== "signed")
    .sort((a, b) => Number(b.sign !== null) - Number(a.sign !== null));
  const done = lines.filter((line) => line.state === "signed" && !due.includes(line));
  return [
    { title: "To finish", says: "Not signed yet, or changed since signing.", lines: open },
    { title: "Follow-up due", says: "Due within two weeks or overdue.", lines: due },
    { title: "Signed", says: "Nothing open.", lines: done },
  ].filter((group) => group.lines.length > 0);
}
