"""What the use cases need from outside."""

from __future__ import annotations

from collections.abc import Callable
from datetime import datetime
from typing import Any, Protocol
from uuid import UUID

from .models import (
    Change,
    Client,
    Entry,
    Member,
    Practice,
    Report,
    ReportHead,
    Session,
    Visit,
    VisitLine,
    Working,
)

Clock = Callable[[], datetime]


class Accounts(Protocol):
    """Practices, members and sessions."""

    def practice(self, practice_id: UUID) -> Practice: ...
    def add_practice(self, practice: Practice) -> None: ...
    def member_by_email(self, email: str) -> Member | None: ...
    def members(self, practice_id: UUID) -> list[Member]: ...

    def add_member(self, member: Member) -> None:
        """Raises AlreadyThere if the address is taken."""

    def note_failure(self, member_id: UUID, failures: int, locked_until: datetime | None) -> None:
        """Keep how many wrong passwords there were in a row."""

    def add_session(self, session: Session) -> None: ...

    def session(self, token_hash: bytes, now: datetime) -> tuple[Session, Member, Practice] | None:
        """A live session, whose it is, and their practice."""

    def drop_session(self, token_hash: bytes) -> None: ...


class Records(Protocol):
    """Clients, visits, their entries and reports. Everything is asked within one practice."""

    def clients(self, practice_id: UUID) -> list[Client]: ...

    def client(self, practice_id: UUID, client_id: UUID) -> Client:
        """Raises NotFound."""

    def add_client(self, client: Client) -> None: ...
    def add_visit(self, visit: Visit) -> None: ...
    def visits(self, practice_id: UUID) -> list[VisitLine]: ...

    def open(
        self, practice_id: UUID, visit_id: UUID
    ) -> tuple[Visit, Client, list[Entry], list[ReportHead]]:
        """A visit with its client, entries and signed versions; raises NotFound."""

    def working(self, practice_id: UUID, visit_id: UUID) -> Working:
        """A visit with its values only; raises NotFound."""

    def write(self, practice_id: UUID, change: Change, now: datetime) -> tuple[Entry, int]:
        """Apply a change in one transaction; the entry as it is now and the visit's revision.

        A change seen before changes nothing and answers with the entry as it is now.

        Raises
        ------
        NotFound
            If the practice has no such visit.
        StaleChange
            If the entry's version is not the expected one.
        ReusedChange
            If the id was used for another path or text.

        """

    def report_pdf(self, practice_id: UUID, report_id: UUID) -> tuple[Report, bytes]:
        """Raises NotFound."""

    def add_report(self, report: Report, pdf: bytes) -> None:
        """Raises AlreadyThere if this number exists."""


class Press(Protocol):
    """Makes a PDF of a report's content."""

    def print(self, content: dict[str, Any]) -> bytes: ...
