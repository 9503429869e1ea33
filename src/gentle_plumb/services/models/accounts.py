"""People of a practice and their sessions."""

from __future__ import annotations

import hmac
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Annotated, Literal
from uuid import UUID
from zoneinfo import ZoneInfo

from pydantic import Field, StringConstraints

from ...core.plans import Prices
from ...core.units import LengthUnit
from .texts import FromOutside

Role = Literal["owner", "practitioner", "assistant", "reader"]
DateOrder = Literal["dmy", "mdy"]
WRITERS: tuple[Role, ...] = ("owner", "practitioner")
OFFICE: tuple[Role, ...] = (*WRITERS, "assistant")
"""Who keeps names, contact data and the shelf: an assistant does, and sees no health data."""


IDLE_MINUTES = 15
"""How long a page is left alone before it locks, where a practice has set nothing else, minutes. House value."""
DEVICE_DAYS = 14
"""How long a device opens what it keeps without having seen the server, where a practice has set nothing else, days.
House value."""
UNNOTED = timedelta(minutes=2)
"""A session is locked this much later than its page, because its use is noted once a minute. House value."""

OPENS_AT, CLOSES_AT, OPEN_DAYS = 8 * 60, 18 * 60, "12345"
"""A practice's hours where it has set nothing else: 8 to 18, Monday to Friday. House values."""


Sum = Annotated[float, Field(ge=0, le=1_000_000)]
Years = Annotated[int, Field(ge=1, le=100)]
Months = Annotated[int, Field(ge=1, le=1200)]


@dataclass(frozen=True, kw_only=True)
class PracticeSettings:
    """What an owner sets for a practice.

    ``time_zone`` is an IANA name; days are the practice's own, wherever the server stands. ``date_order`` is how a
    day typed in numbers is read, 3/4: day first or month first. ``local_wording`` is the practice's own sentence
    about local rules for reports, ``letterhead`` are the lines under its name on papers, ``contact`` says whom to
    call. ``second_factor``: everybody signs in with one.
    ``idle_minutes`` is how long a page is left alone before it locks, ``device_days`` how long a device opens what it
    keeps without having seen the server.
    ``opens_at`` and ``closes_at`` are minutes after midnight, ``open_days`` the numbers of the weekdays, 1 for Monday:
    within them times are offered. ``rooms`` are the names of the rooms, one a line.
    A price is what a thing of its class usually costs, in ``currency``; None where it is not known.
    """

    time_zone: Annotated[str, StringConstraints(max_length=60)] = "UTC"
    date_order: DateOrder = "dmy"
    local_wording: Annotated[str, StringConstraints(strip_whitespace=True, max_length=1000)]
    letterhead: Annotated[str, StringConstraints(strip_whitespace=True, max_length=500)] = ""
    contact: Annotated[str, StringConstraints(strip_whitespace=True, max_length=200)] = ""
    second_factor: bool = False
    idle_minutes: Annotated[int, Field(ge=1, le=240)] = IDLE_MINUTES
    device_days: Annotated[int, Field(ge=1, le=60)] = DEVICE_DAYS
    price_small: Sum | None = None
    price_medium: Sum | None = None
    price_large: Sum | None = None
    currency: Annotated[str, StringConstraints(strip_whitespace=True, max_length=8)] = ""
    opens_at: Annotated[int, Field(ge=0, le=1425)] = OPENS_AT
    closes_at: Annotated[int, Field(ge=15, le=1440)] = CLOSES_AT
    open_days: Annotated[str, StringConstraints(pattern="^1?2?3?4?5?6?7?$")] = OPEN_DAYS
    rooms: Annotated[str, StringConstraints(strip_whitespace=True, max_length=500)] = ""


@dataclass(frozen=True, kw_only=True)
class RetentionPeriods:
    """After how long without anything new a client's records are due to go; None where no period is set.

    Where a report is signed, where none is, and their photographs.
    """

    keep_signed_years: Years | None = None
    keep_unsigned_years: Years | None = None
    keep_photographs_months: Months | None = None


@dataclass(frozen=True, kw_only=True)
class ChangedSettings(PracticeSettings, FromOutside):
    """Settings as an owner sends them."""


@dataclass(frozen=True, kw_only=True)
class ChangedPeriods(RetentionPeriods, FromOutside):
    """Periods as an owner sends them."""


@dataclass(frozen=True, kw_only=True)
class Practice(PracticeSettings, RetentionPeriods):
    """A practice."""

    id: UUID
    name: str
    unit: LengthUnit

    @property
    def room_names(self) -> list[str]:
        """The rooms by name."""
        return [room for line in self.rooms.splitlines() if (room := line.strip())]

    @property
    def prices(self) -> Prices:
        """What a thing of each price class costs here."""
        return Prices(
            small=self.price_small,
            medium=self.price_medium,
            large=self.price_large,
            currency=self.currency,
        )

    def local(self, moment: datetime) -> datetime:
        """A moment by the clock on the practice's wall."""
        return moment.astimezone(ZoneInfo(self.time_zone))

    def day(self, moment: datetime) -> date:
        """The practice's day of a moment."""
        return self.local(moment).date()


@dataclass(frozen=True, kw_only=True)
class MemberFacts:
    """Somebody who signs in; ``sees_health`` is granted to readers one by one.

    ``registration`` is the registration number printed beside their signature; ``language`` the tag of the language
    they read, empty for their browser's.
    """

    id: UUID
    email: str
    name: str
    title: str
    role: Role
    sees_health: bool = True
    registration: str = ""
    language: str = ""


@dataclass(frozen=True, kw_only=True)
class MemberView(MemberFacts):
    """A member as colleagues see them."""

    has_second_factor: bool


@dataclass(frozen=True, kw_only=True)
class Member(MemberFacts):
    """A member with their secrets.

    ``sealed_totp`` is the encrypted secret shared with their authenticator app, empty if there is none;
    ``totp_last`` is the time step of the last code accepted, and ``recovery`` holds the digests of the unused
    recovery codes.
    """

    practice_id: UUID
    password_hash: str
    sealed_totp: str = ""
    totp_last: int = 0
    recovery: tuple[str, ...] = ()

    @property
    def has_second_factor(self) -> bool:
        """Whether an authenticator is set up."""
        return self.sealed_totp != ""


@dataclass(frozen=True, kw_only=True)
class SessionFacts:
    """A signed-in browser, and what it calls itself."""

    id: UUID
    started_at: datetime
    expires_at: datetime
    browser: str = ""


@dataclass(frozen=True, kw_only=True)
class SessionView(SessionFacts):
    """A session in the list of one's own; ``here`` is the one that asks."""

    here: bool


@dataclass(frozen=True, kw_only=True)
class Session(SessionFacts):
    """A session; only a hash of its token is stored.

    ``used_at`` is when it was used last, to the minute; ``locked``: its page was locked, and only the password opens it.
    """

    token_hash: bytes
    member_id: UUID
    csrf: str
    used_at: datetime
    locked: bool = False

    def is_locked(self, practice: Practice, now: datetime) -> bool:
        """Whether it has been locked, or left alone for longer than its practice allows."""
        return self.locked or self.is_idle(practice, now)

    def is_idle(self, practice: Practice, now: datetime) -> bool:
        """Whether it has been left alone for longer than its practice allows."""
        return now - self.used_at > timedelta(minutes=practice.idle_minutes) + UNNOTED

    @property
    def device_key(self) -> str:
        """What opens, for as long as this session lasts, what its browser keeps: 64 hexadecimal digits."""
        return hmac.new(self.csrf.encode(), b"device key", "sha256").hexdigest()
