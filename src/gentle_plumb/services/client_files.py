"""What of a client stands beside their visits: what they answered on their own page, and who saw and did what."""

from __future__ import annotations

import json
from collections.abc import Callable, Sequence
from datetime import UTC, datetime
from uuid import UUID

from .audit_log import AuditLog, lines_as_csv
from .models import Check, ClientLink, Member
from .models.audit_log import AuditLine, AuditQuery
from .own_page import OwnPages

OWN_PAGE, TRAIL = "own-page.json", "trail.csv"
MOST_LINES = 100_000
"""More lines than anybody's trail has. House value."""
Beside = Callable[[Member, UUID], dict[str, str]]


def client_files(pages: OwnPages, trail: AuditLog) -> Beside:
    """Return what makes these files of a client: texts by file name."""

    def made(member: Member, client_id: UUID) -> dict[str, str]:
        practice = member.practice_id
        links = pages.links(practice, client_id)
        checks = [
            pages.check(practice, check_round.id)
            for check_round in pages.rounds([link.id for link in links])
        ]
        query = AuditQuery(client_id=client_id, most=MOST_LINES)
        files = {TRAIL: _trail(trail.lines(practice, query))}
        if links:
            files[OWN_PAGE] = own_page_file(links, checks)
        return files

    return made


def own_page_file(links: Sequence[ClientLink], checks: Sequence[Check]) -> str:
    """Return links and rounds as JSON, the first made first; neither the link's address nor its code is in it."""
    said = [
        {
            "kind": link.kind,
            "language": link.language,
            "made_at": _at(link.made_at),
            "ends_on": link.ends_on.isoformat(),
            "opened_at": _at(link.opened_at),
            "agreed_at": _at(link.agreed_at),
            "closed_at": _at(link.revoked_at),
            "rounds": [
                {
                    "round": version.round.round,
                    "due_on": version.round.due_on.isoformat(),
                    "sent_at": _at(version.round.sent_at),
                    "decided": version.round.decided,
                    "decided_at": _at(version.round.decided_at),
                    "answers": {
                        name: {"typed": answer.typed, "changed_at": _at(answer.changed_at)}
                        for name, answer in sorted(version.answers.items())
                    },
                }
                for version in sorted(
                    checks, key=lambda check: (check.round.due_on, str(check.round.id))
                )
                if version.link.id == link.id
            ],
        }
        for link in sorted(links, key=lambda link: (link.made_at, str(link.id)))
    ]
    return json.dumps({"format": "gentle-plumb-own-page-1", "links": said}, indent=1)


def _at(moment: datetime | None) -> str | None:
    return None if moment is None else moment.astimezone(UTC).isoformat(timespec="seconds")


def _trail(lines: Sequence[AuditLine]) -> str:
    """The lines about one client, the first one first, by UTC."""
    return lines_as_csv(
        [(line, "") for line in reversed(lines)], lambda moment: moment.astimezone(UTC)
    )
