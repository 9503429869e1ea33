"""People of a practice and their sessions."""

from __future__ import annotations

import hmac
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Literal
from uuid import UUID
from zoneinfo import ZoneInfo

from ...core.plans import Prices
from ...core.units import LengthUnit

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


@dataclass(frozen=True, kw_only=True)
class Practice:
    """A practice; ``local_wording`` is its own sentence about local rules for reports.

    ``time_zone`` is an IANA name; days are the practice's own, wherever the server stands.
    ``letterhead`` are the lines under its name on papers, ``contact`` says whom to call.
    ``second_factor``: everybody signs in with one.
    The ``keep_`` periods say after how long without anything new a client's records are due to go: where a report
    is signed, where none is, and their photographs; None where the practice has set none.
    ``idle_minutes`` is how long a page is left alone before it locks, ``device_days`` how long a device opens what it
    keeps without having seen the server.
    ``date_order`` is how a day typed in numbers is read, 3/4: day first or month first.
    """

    id: UUID
    name: str
    unit: LengthUnit
    local_wording: str
    time_zone: str = "UTC"
    date_order: DateOrder = "dmy"
    price_small: float | None = None
    price_medium: float | None = None
    price_large: float | None = None
    currency: str = ""
    letterhead: str = ""
    contact: str = ""
    second_factor: bool = False
    idle_minutes: int = IDLE_MINUTES
    device_days: int = DEVICE_DAYS
    keep_signed_years: int | None = None
    keep_unsigned_years: int | None = None
    keep_photographs_months: int | None = None

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
class Member:
    """Somebody who signs in; ``sees_health`` is granted to readers one by one.

    ``registration`` is the registration number printed beside their signature. ``sealed_totp`` is the encrypted secret
    shared with their authenticator app, empty if there is none; ``totp_last`` is the time step of the last code
    accepted, and ``recovery`` holds the digests of the unused recovery codes.
    """

    id: UUID
    practice_id: UUID
    email: str
    name: str
    title: str
    role: Role
    password_hash: str
    sees_health: bool = True
    registration: str = ""
    sealed_totp: str = ""
    totp_last: int = 0
    recovery: tuple[str, ...] = ()

    def __post_init__(self) -> None:
        object.__setattr__(self, "recovery", tuple(self.recovery))  # a list as it is stored


@dataclass(frozen=True, kw_only=True)
class Session:
    """A signed-in browser; only a hash of its token is stored.

    ``used_at`` is when it was used last, to the minute; ``locked``: its page was locked, and only the password opens it.
    """

    id: UUID
    token_hash: bytes
    member_id: UUID
    csrf: str
    started_at: datetime
    expires_at: datetime
    used_at: datetime
    locked: bool = False
    browser: str = ""

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
