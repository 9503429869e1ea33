"""What signing in needs of the outside: members and sessions kept, secrets sealed."""

from __future__ import annotations

from collections.abc import Collection
from datetime import datetime
from typing import Protocol
from uuid import UUID

from .models import Member, Practice, Session
from .throttle import AttemptStore


class Accounts(AttemptStore, Protocol):
    """Practices, members and sessions."""

    def practice(self, practice_id: UUID) -> Practice: ...
    def add_practice(self, practice: Practice) -> None: ...
    def change_practice(self, practice: Practice) -> None: ...

    def member_by_email(self, email: str) -> Member | None:
        """Return the current member with an email address, or None; former members are not found."""

    def members(self, practice_id: UUID) -> list[Member]:
        """Who is in the practice now, by name."""

    def add_member(self, member: Member) -> Member:
        """Add one; sent again with the same id it is the one that is there.

        Raises AlreadyThere if the address is taken, or the id by somebody else.
        """

    def change_member(self, member: Member) -> Member:
        """Put name, title, password and what they see; raises NotFound."""

    def take_code(self, member_id: UUID, step: int) -> bool:
        """Note a code's step as used; False where that step, or a later one, was used before."""

    def take_recovery(self, member_id: UUID, digest: str) -> bool:
        """Use a recovery code up; False where there is none such any more."""

    def remove_member(self, practice_id: UUID, member_id: UUID, now: datetime) -> None:
        """End sessions and browsers, free the address; the name stays. Raises NotFound."""

    def knows_browser(self, token_hash: bytes, member_id: UUID, now: datetime) -> bool: ...
    def remember_browser(self, token_hash: bytes, member_id: UUID, until: datetime) -> None: ...

    def add_session(self, session: Session, now: datetime) -> None:
        """Keep one; sessions that have run out are forgotten."""

    def sessions(self, member_id: UUID, now: datetime) -> list[Session]:
        """A member's live sessions, the latest first."""

    def session(self, token_hash: bytes, now: datetime) -> tuple[Session, Member, Practice] | None:
        """A live session, whose it is, and their practice."""

    def mark_session(
        self, session_id: UUID, used_at: datetime, *, locked: bool | None = None
    ) -> None:
        """Note when a session was used last, and whether it is locked; None leaves that as it is."""

    def left(self, member_ids: Collection[UUID]) -> set[UUID]:
        """Those of these members who are let in no more."""

    def drop_sessions(
        self, member_id: UUID, *, only: UUID | None = None, but: UUID | None = None
    ) -> None:
        """End one session of a member, all but one, or all; all but one and all forget browsers."""


class Secrets(Protocol):
    """Seals what must not be readable in the database."""

    def seal(self, secret: str) -> str:
        """Raises NoKey where the key is missing or can't be kept."""

    def opened(self, sealed: str) -> str | None:
        """None where the key that sealed it is not here; raises NoKey where the key can't be used."""
