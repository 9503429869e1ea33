"""The client's own page: its link, what is asked on it in rounds, what was answered, mail about it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from datetime import date, datetime
from typing import Literal
from uuid import UUID

from ...core.own_page import Level, Round
from ...core.record import Value

LinkKind = Literal["before", "after", "workplace"]
Direction = Literal["ltr", "rtl"]
MailKind = Literal["before", "after", "check", "appointment", "reminder", "cancelled"]
MailState = Literal["waiting", "sending", "sent", "failed", "dropped"]


@dataclass(frozen=True, kw_only=True)
class LinkFacts:
    """A private link for one client: to answer before a visit, or to look things up after it."""

    id: UUID
    visit_id: UUID
    kind: LinkKind
    language: str
    made_at: datetime
    ends_on: date
    opened_at: datetime | None = None
    revoked_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class ClientLink(LinkFacts):
    """A link of a practice.

    ``token`` is what the link ends in; ``code_hash`` of the code that is given separately. ``agreed_at`` is when
    the client agreed to their answers being kept, ``photos_agreed_at`` to photographs.
    """

    practice_id: UUID
    client_id: UUID
    token: str
    code_hash: str
    member_id: UUID
    agreed_at: datetime | None = None
    photos_agreed_at: datetime | None = None

    def open_on(self, today: date) -> bool:
        """Whether it still opens the page on a day of the practice."""
        return self.revoked_at is None and today <= self.ends_on


@dataclass(frozen=True, kw_only=True)
class RoundView:
    """One round of questions of a link: when it is due, sent, and what the practitioner decided."""

    id: UUID
    round: Round
    due_on: date
    sent_at: datetime | None = None
    decided: Level | None = None


@dataclass(frozen=True, kw_only=True)
class DecidedRound(RoundView):
    """A round with who decided what, and when."""

    note: str = ""
    decided_by: str = ""
    decided_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class CheckRound(DecidedRound):
    """A round of a link."""

    link_id: UUID


@dataclass(frozen=True, kw_only=True)
class GivenAnswer:
    """What a client answered to one question: as typed, and as it reads.

    ``version`` counts its changes from 1 on, ``change_id`` is the last one's: sent twice it counts once.
    """

    question: str
    typed: str
    value: Value
    changed_at: datetime
    version: int
    change_id: UUID | None = None


@dataclass(frozen=True, kw_only=True)
class Check:
    """A round with its link, whose it is, and its answers by question."""

    link: ClientLink
    round: CheckRound
    client: str
    answers: Mapping[str, GivenAnswer]

    @property
    def values(self) -> dict[str, Value]:
        """The answers' values by question."""
        return {id: answer.value for id, answer in self.answers.items()}


@dataclass(frozen=True, kw_only=True)
class MailView:
    """A message to a client, as far as it got."""

    id: UUID
    kind: MailKind
    recipient: str
    due_at: datetime
    state: MailState = "waiting"
    tries: int = 0
    trouble: str = ""
    sent_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class OutgoingMail(MailView):
    """A message of a practice: it holds the link and nothing else of its client's; ``url`` is empty once it is sent.

    ``round_id`` is the round it asks for, None for the link itself. One about an appointment holds no link:
    ``about`` is the time and place that it tells.
    """

    practice_id: UUID
    client_id: UUID
    link_id: UUID | None
    round_id: UUID | None
    appointment_id: UUID | None = None
    about: str = ""
    url: str
    made_at: datetime


@dataclass(frozen=True, kw_only=True)
class LetterOut:
    """A mail as it leaves; ``id`` is the same each time it is tried, ``calendar`` a calendar file that goes with it."""

    id: UUID
    to: str
    subject: str
    text: str
    calendar: bytes = b""


@dataclass(frozen=True, kw_only=True)
class MessageCatalogue:
    """The words of a practice in one language; what it leaves out is as built in, or in English.

    ``messages`` are those of the client's page by name, ``words`` all others by :func:`~.core.language.word_key`.
    """

    language: str
    name: str
    direction: Direction
    messages: Mapping[str, str]
    words: Mapping[str, str] = field(default_factory=dict)
