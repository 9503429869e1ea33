"""Who comes in and sees what: one-time links, clients open to some, what is due to go, what was erased."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date, datetime
from typing import Literal
from uuid import UUID

from .accounts import Role
from .own_page import MailState

DoorKind = Literal["invitation", "reset"]


@dataclass(frozen=True, kw_only=True)
class OneTimeLinkView:
    """A link that opens once: an invitation says who will come in and as what, a reset is for a member.

    ``made_by`` is the name of who made it, empty where somebody asked for it at the door.
    """

    id: UUID
    kind: DoorKind
    email: str
    name: str
    role: Role | Literal[""] = ""
    made_by: str = ""
    made_at: datetime
    ends_at: datetime


@dataclass(frozen=True, kw_only=True)
class WaitingLink(OneTimeLinkView):
    """A link that waits, and how far its mail got; ``letter`` is empty where it was handed over by hand."""

    letter: MailState | Literal[""]
    trouble: str


@dataclass(frozen=True, kw_only=True)
class OneTimeLink(OneTimeLinkView):
    """A link of a practice; only a digest of its token is kept."""

    token_hash: bytes
    practice_id: UUID
    title: str = ""
    member_id: UUID | None = None
    used_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class StaffLetter:
    """A mail with a one-time link; ``url`` is empty once it is sent or given up."""

    id: UUID
    link_id: UUID
    url: str
    state: MailState = "waiting"
    tries: int = 0
    trouble: str = ""
    sent_at: datetime | None = None


@dataclass(frozen=True, kw_only=True)
class ClientAccess:
    """Who sees a client: everybody in the practice, or the members named.

    ``working`` are the members who have a visit with this client that is unsigned, or changed since it was signed.
    """

    client_id: UUID
    client: str
    restricted: bool
    members: frozenset[UUID]
    working: frozenset[UUID] = frozenset()


@dataclass(frozen=True, kw_only=True)
class ClientStanding:
    """How long nothing has come to a client's records, and what they hold.

    ``last_on`` is the last day on which a visit was held, something typed, or a report signed;
    ``photographs_on`` the last day on which one was added.
    """

    client_id: UUID
    client: str
    last_on: date
    signed: int
    photographs: int
    photographs_on: date | None


ErasedWhat = Literal["client", "photographs"]


@dataclass(frozen=True, kw_only=True)
class Erasure:
    """What was erased, without a name.

    ``counts`` is how many there were of each thing, ``left_over`` how many rows still named it when all tables were
    searched afterwards. Backups made before hold it until ``backups_until``, where backups are made.
    """

    id: UUID
    practice_id: UUID
    client_id: UUID
    what: ErasedWhat
    reason: str
    at: datetime
    by_name: str
    counts: Mapping[str, int]
    left_over: int
    backups_until: datetime | None


@dataclass(frozen=True, kw_only=True)
class FailedMail:
    """A mail that was given up: to whom, what it was, and why."""

    id: UUID
    to: str
    what: str
    client_id: UUID | None
    trouble: str
    at: datetime
