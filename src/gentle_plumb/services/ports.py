"""What the use cases need from outside."""

from __future__ import annotations

from collections.abc import Callable
from datetime import datetime
from typing import Any, Protocol
from uuid import UUID

from .models import (
    Change,
    Client,
    Developed,
    Entry,
    Lux,
    Member,
    PhotoHead,
    Practice,
    Report,
    ReportHead,
    Session,
    ShelfItem,
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
    ) -> tuple[Visit, Client, list[Entry], list[ReportHead], list[PhotoHead]]:
        """A visit with its client, entries, signed versions and photographs; raises NotFound."""

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
        NeedsConsent
            If the consent it needs is not given.

        """

    def add_photo(self, practice_id: UUID, photo: PhotoHead, jpeg: bytes, *, member_id: UUID,
                  consent: str) -> PhotoHead:  # fmt: skip
        """Keep a photograph; the same one sent again counts once.

        Raises NotFound, NeedsConsent; AlreadyThere if the id holds another picture.
        """

    def photo(self, practice_id: UUID, photo_id: UUID) -> tuple[PhotoHead, bytes]:
        """Raises NotFound."""

    def drop_photo(self, practice_id: UUID, photo_id: UUID) -> None:
        """Erase a photograph and what was placed on it; raises NotFound."""

    def report_pdf(self, practice_id: UUID, report_id: UUID) -> tuple[Report, bytes]:
        """Raises NotFound."""

    def add_report(self, report: Report, pdf: bytes) -> None:
        """Raises AlreadyThere if this number exists."""


class Shelf(Protocol):
    """The practice's own pieces and shared workstations."""

    def items(self, practice_id: UUID) -> list[ShelfItem]: ...

    def add_item(self, item: ShelfItem) -> None:
        """Raises AlreadyThere if the practice has one of this piece and name."""

    def change_item(self, item: ShelfItem) -> ShelfItem:
        """Put name, place and values upon the version it names.

        Raises NotFound, AlreadyThere, StaleItem.
        """

    def drop_item(self, practice_id: UUID, item_id: UUID) -> None:
        """Raises NotFound."""


class Darkroom(Protocol):
    """Makes a picture fit to be kept."""

    def develop(self, picture: bytes) -> Developed:
        """Raises BadPicture."""


class LightMeter(Protocol):
    """A light meter near the desk."""

    def read(self) -> Lux:
        """Raises NoAnswer."""


class Press(Protocol):
    """Makes a PDF of a report's content."""

    def print(self, content: dict[str, Any]) -> bytes: ...
