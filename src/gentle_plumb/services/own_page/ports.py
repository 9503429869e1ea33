"""What clients' own pages need from outside: a store, a mail server, the simulated one's inbox."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from datetime import datetime
from typing import Protocol
from uuid import UUID

from ..models import (
    Check,
    CheckRound,
    Client,
    ClientLink,
    GivenAnswer,
    LetterOut,
    MessageCatalogue,
    OutgoingMail,
    Practice,
)


class OwnPages(Protocol):
    """Clients' own pages: links, rounds of questions, answers, languages, and mail about them."""

    def add_link(self, link: ClientLink, rounds: Sequence[CheckRound]) -> None: ...

    def links(self, practice_id: UUID, client_id: UUID) -> list[ClientLink]:
        """A client's links, the latest first."""

    def link(self, practice_id: UUID, link_id: UUID) -> ClientLink:
        """Raises NotFound."""

    def link_by_token(self, token: str) -> ClientLink | None: ...
    def whose(self, link: ClientLink) -> tuple[Practice, Client]: ...

    def change_link(self, link: ClientLink) -> None:
        """Put a link as it is now; one that is revoked loses its sessions."""

    def add_session(
        self, token_hash: bytes, link: ClientLink, until: datetime, now: datetime
    ) -> None:
        """Keep one; sessions that have run out are forgotten, the first one dates the link's opening."""

    def session(self, token_hash: bytes, now: datetime) -> ClientLink | None: ...
    def drop_session(self, token_hash: bytes) -> None: ...

    def rounds(self, link_ids: Iterable[UUID]) -> list[CheckRound]:
        """The rounds of some links by the day they are due."""

    def check(self, practice_id: UUID, round_id: UUID) -> Check:
        """A round with its answers; raises NotFound."""

    def undecided(self, practice_id: UUID) -> list[Check]:
        """Rounds that were sent and that nobody has decided on, the first sent first."""

    def answer(self, round_id: UUID, answer: GivenAnswer) -> GivenAnswer:
        """Put an answer upon the version before its own; the one that is held then.

        The same change sent again, and the same words upon an older version, change nothing. Raises NotAllowed once
        the round is sent, Stale with the held answer where another device has changed it.
        """

    def forget_answers(self, link_id: UUID) -> None: ...
    def send_round(self, round_id: UUID, now: datetime) -> None: ...
    def decide(self, round: CheckRound) -> None: ...

    def queue_mail(self, mails: Sequence[OutgoingMail]) -> None:
        """Keep mails and queue them, all or none."""

    def mails(self, practice_id: UUID, client_id: UUID) -> list[OutgoingMail]: ...

    def claim_mail(self, mail_id: UUID) -> OutgoingMail | None:
        """Take a waiting mail in hand and count the try; None where it is in hand, sent, or gone."""

    def settle_mail(self, mail: OutgoingMail) -> None:
        """Put how far a mail has got."""

    def catalogues(self, practice_id: UUID) -> list[MessageCatalogue]: ...
    def put_catalogue(self, practice_id: UUID, catalogue: MessageCatalogue) -> None: ...

    def drop_catalogue(self, practice_id: UUID, language: str) -> None:
        """Raises NotFound."""


class MailBox(Protocol):
    """The simulated mail server's inbox."""

    def letters(self) -> list[LetterOut]:
        """What has arrived, the latest first."""
