"""Signing in, people and the practice."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Literal
from uuid import UUID

from pydantic import BaseModel, Field, StringConstraints

from ..core.units import LengthUnit
from ..services.models import (
    DEVICE_DAYS,
    IDLE_MINUTES,
    OFFICE,
    WRITERS,
    DateOrder,
    Member,
    Practice,
    Session,
)
from .common import Address, Line, Name, New, Password, RequestModel


class SignIn(RequestModel):
    """Credentials; ``code`` of the second factor, where there is one."""

    email: Annotated[str, StringConstraints(max_length=200)]
    password: Annotated[str, StringConstraints(max_length=200)]
    code: Annotated[str, StringConstraints(max_length=40)] = ""


class DemoPerson(BaseModel):
    """Credentials shown in demo mode."""

    email: str
    password: str
    says: str


class Welcome(BaseModel):
    """What the sign-in page may know; ``mails``: a forgotten password is set anew by mail."""

    product: str = "Gentle Plumb"
    mails: bool = False
    demo: list[DemoPerson] = []


class Me(BaseModel):
    """The signed-in member; ``writes``: they work with clients, ``office``: they keep names, contact data and the shelf.

    ``second_factor``: they have one; ``second_factor_asked``: the practice asks everybody for one; ``must_enrol``: both
    that and that they have none; ``recovery_left`` counts the recovery codes. ``device_key`` opens, for as long as the
    session lasts, what this browser keeps; it is never written down there. ``locked``: nothing goes on before the
    password is given, and neither token nor key is told.
    """

    id: UUID
    name: str
    title: str
    email: str
    role: str
    sees_health: bool
    writes: bool
    office: bool
    practice: str
    time_zone: str
    date_order: DateOrder
    local_wording: str
    letterhead: str
    contact: str
    registration: str
    price_small: float | None
    price_medium: float | None
    price_large: float | None
    currency: str
    unit: LengthUnit
    second_factor: bool
    second_factor_asked: bool
    must_enrol: bool
    recovery_left: int
    idle_minutes: int
    device_days: int
    locked: bool
    csrf: str
    device_key: str

    @classmethod
    def of(
        cls, session: Session, member: Member, practice: Practice, *, locked: bool = False
    ) -> Me:
        """From the records."""
        return cls(
            id=member.id,
            name=member.name,
            title=member.title,
            email=member.email,
            role=member.role,
            sees_health=member.sees_health,
            writes=member.role in WRITERS,
            office=member.role in OFFICE,
            practice=practice.name,
            time_zone=practice.time_zone,
            date_order=practice.date_order,
            local_wording=practice.local_wording,
            letterhead=practice.letterhead,
            contact=practice.contact,
            registration=member.registration,
            price_small=practice.price_small,
            price_medium=practice.price_medium,
            price_large=practice.price_large,
            currency=practice.currency,
            unit=practice.unit,
            second_factor=member.sealed_totp != "",
            second_factor_asked=practice.second_factor,
            must_enrol=practice.second_factor and not member.sealed_totp,
            recovery_left=len(member.recovery),
            idle_minutes=practice.idle_minutes,
            device_days=practice.device_days,
            locked=locked,
            csrf="" if locked else session.csrf,
            device_key="" if locked else session.device_key,
        )


class RegistrationIn(RequestModel):
    """How a member signs: profession, and the number they are registered under; empty for none."""

    title: Line
    registration: Annotated[str, StringConstraints(strip_whitespace=True, max_length=60)]


class PasswordChange(RequestModel):
    """The present password and the next one."""

    current: Annotated[str, StringConstraints(max_length=200)]
    password: Password


class SessionOut(BaseModel):
    """A place where one is signed in; ``here`` is the one that asks."""

    id: UUID
    started_at: datetime
    expires_at: datetime
    browser: str
    here: bool


class HealthGrant(RequestModel):
    """Whether a reader sees health data."""

    sees_health: bool


Sum = Annotated[float, Field(ge=0, le=1_000_000)]


class PracticeIn(RequestModel):
    """What an owner sets for the practice: time zone (an IANA name), order of dates, wording, letterhead, sums.

    ``letterhead`` are lines under its name on papers, ``contact`` says whom to call; ``second_factor`` asks everybody
    for one, ``idle_minutes`` is how long a page is left alone before it locks, ``device_days`` how long a device opens
    what it keeps without having seen the server.
    A sum is what a thing of a price class usually costs, in ``currency``; left out, it is not known.
    """

    time_zone: Annotated[str, StringConstraints(max_length=60)]
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


class MemberOut(BaseModel):
    """A member, without secrets."""

    id: UUID
    name: str
    title: str
    email: str
    role: str
    sees_health: bool
    second_factor: bool

    @classmethod
    def of(cls, member: Member) -> MemberOut:
        """From the record."""
        return cls(
            id=member.id,
            name=member.name,
            title=member.title,
            email=member.email,
            role=member.role,
            sees_health=member.sees_health,
            second_factor=member.sealed_totp != "",
        )


class Confirmation(RequestModel):
    """The password, typed once more."""

    password: Annotated[str, StringConstraints(max_length=200)]


class DeviceMembers(RequestModel):
    """Members whose things a device keeps."""

    members: Annotated[list[UUID], Field(max_length=50)]


class SecondFactorOffer(BaseModel):
    """A secret for an authenticator: to type, and to scan; it counts once it is confirmed."""

    secret: str
    svg: str


class SecondFactorIn(RequestModel):
    """A secret with its first code, and one's password."""

    secret: Annotated[str, StringConstraints(pattern=r"^[A-Z2-7]{16,64}$")]
    code: Annotated[str, StringConstraints(max_length=20)]
    password: Annotated[str, StringConstraints(max_length=200)]


class SecondFactorOff(RequestModel):
    """One's password, to sign in by it alone again."""

    password: Annotated[str, StringConstraints(max_length=200)]


class RecoveryCodes(BaseModel):
    """Codes that each open once where the authenticator is lost; told this once."""

    codes: list[str]


class MemberIn(New):
    """A new member."""

    email: Address
    name: Name
    title: Line = ""
    role: Literal["owner", "practitioner", "assistant", "reader"]
    password: Password
