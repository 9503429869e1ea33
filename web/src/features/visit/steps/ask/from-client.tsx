import { Trans } from "@lingui/react/macro";
import { Link } from "@tanstack/react-router";
import { type Link as OwnLink, ROUND_WORDS, useLinks } from "@/shared/api/own";
import { dayOf, shortDate } from "@/shared/dates";
import { Notice } from "@/shared/ui/notice";
import { within } from "@/shared/words/within";
import { useVisitFacts } from "../../state/facts";

/** The way to what the client answered on their own page, where there is something. */
export function FromClient() {
  const { visit } = useVisitFacts();
  const links = useLinks(visit.client.id).data ?? [];
  // what was answered before this visit, or after the one before it
  const about = (link: OwnLink, sent: string) =>
    link.kind === "before"
      ? link.visit_id === visit.id
      : link.visit_id !== visit.id && dayOf(new Date(sent)) <= visit.started_on;
  const [last] = links
    .flatMap((link) => link.rounds.filter((round) => round.sent_at && about(link, round.sent_at)))
    .sort((a, b) => (b.sent_at ?? "").localeCompare(a.sent_at ?? ""));
  if (!last) return null;
  return (
    <Notice className="mb-3">
      <Link
        to="/clients/checks/$checkId"
        params={{ checkId: last.id }}
        className="inline-flex min-h-9 items-center underline"
      >
        <Trans>
          The client’s own answers, {within(ROUND_WORDS[last.round])} (
          {shortDate(last.sent_at ?? "")}): review and copy
        </Trans>
      </Link>
    </Notice>
  );
}
