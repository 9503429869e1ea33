"""One-time links, clients open to some only, periods of keeping, erasures, and how the program runs."""

from __future__ import annotations

from datetime import date, datetime
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from ..services.access import Door, MadeDoor
from ..services.keeping import DueErasure, counts_in_words
from ..services.models import (
    BulkJob,
    ClientAccess,
    DoorKind,
    ErasedWhat,
    Erasure,
    MailState,
    OneTimeLink,
    Practice,
    StaffLetter,
)
from ..services.models.bulk import BulkKind, BulkState
from ..services.paper_models import Copy
from .common import Address, Line, Name, Password, RequestModel

Token = Annotated[
    str, StringConstraints(min_length=20, max_length=100, pattern=r"^[A-Za-z0-9_-]+$")
]
RoleIn = Literal["owner", "practitioner", "assistant", "reader"]


class InvitationIn(RequestModel):
    """Who is to come in, and as what."""

    email: Address
    name: Name
    title: Line = ""
    role: RoleIn


class OneTimeLinkOut(BaseModel):
    """A link that waits, and how far its mail got; ``letter`` is empty where it was handed over by hand."""

    id: UUID
    kind: DoorKind
    email: str
    name: str
    role: str
    made_by: str
    made_at: datetime
    ends_at: datetime
    letter: MailState | Literal[""]
    trouble: str

    @classmethod
    def of(cls, link: OneTimeLink, letter: StaffLetter | None) -> OneTimeLinkOut:
        """From the records."""
        return cls(
            id=link.id,
            kind=link.kind,
            email=link.email,
            name=link.name,
            role=link.role,
            made_by=link.made_by,
            made_at=link.made_at,
            ends_at=link.ends_at,
            letter=letter.state if letter else "",
            trouble=letter.trouble if letter else "",
        )


class MadeDoorOut(BaseModel):
    """A link just made: mailed, or to be handed over by hand, which is told this once."""

    email: str
    mailed: bool
    url: str
    ends_at: datetime

    @classmethod
    def of(cls, made: MadeDoor) -> MadeDoorOut:
        """From the service's answer."""
        return cls(
            email=made.link.email, mailed=made.mailed, url=made.url, ends_at=made.link.ends_at
        )


class EntranceIn(RequestModel):
    """The token of a link."""

    token: Token


class EntranceOut(BaseModel):
    """What a link opens."""

    kind: DoorKind
    practice: str
    name: str
    email: str

    @classmethod
    def of(cls, door: Door) -> EntranceOut:
        """From the service's answer."""
        return cls(**vars(door))


class EnterIn(RequestModel):
    """The token of a link, and the password chosen."""

    token: Token
    password: Password


class ForgottenIn(RequestModel):
    """Whose password is forgotten."""

    email: Annotated[str, StringConstraints(strip_whitespace=True, max_length=200)]


class AccessOut(BaseModel):
    """Who sees a client: everybody in the practice, or the members named.

    ``working`` are those with a visit of the client that is not signed.
    """

    client_id: UUID
    client: str
    restricted: bool
    members: list[UUID]
    working: list[UUID]

    @classmethod
    def of(cls, access: ClientAccess) -> AccessOut:
        """From the record."""
        return cls(
            client_id=access.client_id,
            client=access.client,
            restricted=access.restricted,
            members=sorted(access.members, key=str),
            working=sorted(access.working, key=str),
        )


class AccessIn(RequestModel):
    """Who is to see a client."""

    restricted: bool
    members: Annotated[frozenset[UUID], Field(max_length=500)] = frozenset()
    knowing: bool = Field(
        default=False, description="Leave out somebody with an open visit, having been told so."
    )


Years = Annotated[int, Field(ge=1, le=100)]
Months = Annotated[int, Field(ge=1, le=1200)]


class PeriodsIn(RequestModel):
    """How long records are kept after the last thing that came to them; none for no period."""

    signed_years: Years | None
    unsigned_years: Years | None
    photographs_months: Months | None


class DueOut(BaseModel):
    """Records, or photographs, whose period is over."""

    client_id: UUID
    client: str
    what: ErasedWhat
    signed: int
    photographs: int
    last_on: date
    due_on: date

    @classmethod
    def of(cls, due: DueErasure) -> DueOut:
        """From the service's answer."""
        return cls(**vars(due))


class ErasureOut(BaseModel):
    """Something erased; ``client`` is told only to who has just erased it."""

    id: UUID
    client: str
    what: ErasedWhat
    reason: str
    at: datetime
    by: str
    counts: list[str]
    left_over: int
    backups_until: datetime | None

    @classmethod
    def of(cls, erasure: Erasure, client: str = "") -> ErasureOut:
        """From the record."""
        return cls(
            id=erasure.id,
            client=client,
            what=erasure.what,
            reason=erasure.reason,
            at=erasure.at,
            by=erasure.by_name,
            counts=counts_in_words(erasure.counts),
            left_over=erasure.left_over,
            backups_until=erasure.backups_until,
        )


class KeepingOut(BaseModel):
    """A practice's periods, what is due, and what was erased."""

    signed_years: int | None
    unsigned_years: int | None
    photographs_months: int | None
    due: list[DueOut]
    erased: list[ErasureOut]

    @classmethod
    def of(cls, practice: Practice, due: list[DueErasure], erased: list[Erasure]) -> KeepingOut:
        """From the service's answers."""
        return cls(
            signed_years=practice.keep_signed_years,
            unsigned_years=practice.keep_unsigned_years,
            photographs_months=practice.keep_photographs_months,
            due=[DueOut.of(one) for one in due],
            erased=[ErasureOut.of(one) for one in erased],
        )


class ProofIn(RequestModel):
    """The name that is to stand on the proof: it is kept nowhere."""

    client: Name


class PapersIn(RequestModel):
    """Which copy, of everything signed on the days of which period."""

    since: date
    until: date
    which: Copy = "client"


class BulkJobOut(BaseModel):
    """Something that a worker does: how far it is, and what came of it in words."""

    id: UUID
    kind: BulkKind
    since: date | None
    until: date | None
    which: str
    state: BulkState
    says: str
    made_at: datetime
    done_at: datetime | None

    @classmethod
    def of(cls, job: BulkJob) -> BulkJobOut:
        """From the record."""
        return cls(
            id=job.id,
            kind=job.kind,
            since=job.since,
            until=job.until,
            which=job.copy,
            state=job.state,
            says=job.says,
            made_at=job.made_at,
            done_at=job.done_at,
        )


class FailedMailOut(BaseModel):
    """A mail that was given up."""

    id: UUID
    to: str
    what: str
    client_id: UUID | None
    trouble: str
    at: datetime


class BackupOut(BaseModel):
    """The last backup that was read back."""

    at: datetime
    megabytes: float


class TroubleOut(BaseModel):
    """Something that went wrong: when, and what was said of it."""

    at: datetime
    detail: str


class RunningOut(BaseModel):
    """How the program runs: its backups, what waits, and what was given up.

    ``backups`` says whether they are made; ``late`` that the last one is older than two days;
    ``backup_trouble`` is why the last try failed. ``worker_heard`` is when the queue's worker last reported,
    ``worker_lost`` that this is too long ago.
    """

    version: str
    backups: bool
    last_backup: BackupOut | None
    late: bool
    backup_trouble: TroubleOut | None
    worker_heard: datetime | None
    worker_lost: bool
    kept_days: int
    waiting: int
    failed_jobs: int
    failed: list[FailedMailOut]
