"""The trail: who saw and did what."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime
from typing import Literal
from uuid import UUID

from ...core.language import msg

Act = Literal[
    "sign_in",
    "refused",
    "sign_out",
    "read",
    "carry",
    "change",
    "sign",
    "print",
    "export",
    "import",
    "share",
    "answer",
    "erase",
    "manage",
]
ACTS: dict[Act, str] = {
    "sign_in": msg("Signed in"),
    "refused": msg("Refused"),
    "sign_out": msg("Signed out"),
    "read": msg("Read"),
    "carry": msg("Copied to a device"),
    "change": msg("Changed"),
    "sign": msg("Signed a report"),
    "print": msg("Printed"),
    "export": msg("Exported"),
    "import": msg("Imported"),
    "share": msg("Shared with the client"),
    "answer": msg("Answered by the client"),
    "erase": msg("Erased"),
    "manage": msg("Managed the practice"),
}
"""What is done, as the owner reads it."""

TargetKind = Literal["client", "visit", "report", "photo", "link", "check"]


@dataclass(frozen=True, kw_only=True)
class AuditTarget:
    """What something was done to: whose it is. Identifiers alone; they outlive an erasure."""

    client_id: UUID | None = None
    visit_id: UUID | None = None


@dataclass(frozen=True, kw_only=True)
class AuditFacts:
    """Who did what; ``what`` names a thing, never what it holds."""

    who: str
    act: Act
    what: str


@dataclass(frozen=True, kw_only=True)
class AuditEntry(AuditFacts):
    """Something done, before it stands in the audit log."""

    practice_id: UUID
    member_id: UUID | None
    target: AuditTarget
    request_id: str


@dataclass(frozen=True, kw_only=True)
class AuditLine(AuditEntry):
    """A line of the audit log.

    ``number`` counts a practice's lines without a gap; ``digest`` is of the line and of the digest before it, so that
    a line that is changed or gone shows.
    """

    number: int
    at: datetime
    digest: bytes


@dataclass(frozen=True, kw_only=True)
class AuditLineView(AuditFacts):
    """A line as an owner reads it; ``client`` is a name, as long as they are there, ``digest`` in hex digits."""

    number: int
    at: datetime
    says: str
    client_id: UUID | None
    client: str
    visit_id: UUID | None
    digest: str


@dataclass(frozen=True, kw_only=True)
class AuditQuery:
    """Which lines are looked for; all where nothing is said. ``before`` is the number they lie below.

    ``carried``: with the copies that devices make for work without network, which nobody may have looked at.
    """

    client_id: UUID | None = None
    member_id: UUID | None = None
    act: Act | None = None
    carried: bool = True
    since: date | None = None
    until: date | None = None
    before: int | None = None
    most: int = 200
