"""What coming in needs from outside: one-time links with their letters, and who sees which client."""

from __future__ import annotations

from datetime import datetime
from typing import Protocol
from uuid import UUID

from ..models import ClientAccess, OneTimeLink, StaffLetter


class OneTimeLinks(Protocol):
    """Invitations and resets, with the letters that carry them."""

    def add(self, link: OneTimeLink, letter: StaffLetter | None) -> None:
        """Keep a link, and queue its letter, both or neither.

        What was open of the same kind for the same address is closed.
        """

    def waiting(
        self, practice_id: UUID, now: datetime
    ) -> list[tuple[OneTimeLink, StaffLetter | None]]:
        """A practice's links that were not used and have not run out, the latest first."""

    def by_token(self, token_hash: bytes) -> OneTimeLink | None: ...

    def link(self, practice_id: UUID, link_id: UUID) -> OneTimeLink:
        """Raises NotFound."""

    def use(self, link_id: UUID, now: datetime) -> bool:
        """Use a link up; False where it was used before, also when it is tried twice at once."""

    def drop(self, practice_id: UUID, link_id: UUID) -> None:
        """Raises NotFound."""

    def claim_letter(self, letter_id: UUID) -> tuple[StaffLetter, OneTimeLink] | None:
        """Take a waiting letter in hand and count the try; None where it is in hand, sent, or gone."""

    def settle_letter(self, letter: StaffLetter) -> None:
        """Put how far a letter has got."""


class ClientAccesses(Protocol):
    """Clients that are open to some of their practice only."""

    def hidden(self, practice_id: UUID, member_id: UUID) -> frozenset[UUID]:
        """The clients that a member does not see."""

    def restricted(self, practice_id: UUID) -> list[ClientAccess]:
        """Clients that some see only, by name."""

    def of(self, practice_id: UUID, client_id: UUID) -> ClientAccess:
        """Raises NotFound."""

    def put(self, practice_id: UUID, access: ClientAccess) -> None:
        """Put who sees a client; raises NotFound."""
