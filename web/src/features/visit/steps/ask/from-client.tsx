import { Link } from "@tanstack/react-router";
import { ROUND_WORDS, useLinks } from "@/shared/api/own";
import { shortDate } from "@/shared/dates";
import { Notice } from "@/shared/ui/notice";
import { useVisitFacts } from "../../state/facts";

/** The way to what the client answered on their own page, where there is something. */
export function FromClient() {
  const { visit } = useVisitFacts();
  const links = useLinks(visit.client.id).data ?? [];
  const sent = links.flatMap((link) => link.rounds.filter((one) => one.sent_at));
  const last = sent.sort((a, b) => (b.sent_at ?? "").localeCompare(a.sent_at ?? ""))[0];
  if (!last || visit.started_on < (last.sent_at ?? "").slice(0, 7)) return null;
  return (
    <Notice className="mb-3">
      <Link
        to="/clients/checks/$checkId"
        params={{ checkId: last.id }}
        className="inline-flex min-h-9 items-center underline"
      >
        The client's own answers, {ROUND_WORDS[last.round].toLowerCase()} (
        {shortDate(last.sent_at ?? "")}): look, and take over
      </Link>
    </Notice>
  );
}
