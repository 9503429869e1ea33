"""Signing in, people and the practice."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field, StringConstraints

from ..core.units import LengthUnit
from ..services.models import (
    OFFICE,
    WRITERS,
    Member,
    MemberView,
    Practice,
    PracticeSettings,
    Role,
    Session,
    view_of,
)
from ..services.models.texts import Address, Line, Name, New, Password
from .common import RequestModel

AnyText = Annotated[str, StringConstraints(max_length=200)]
"""A password as it is typed: what is wrong with it is said later."""


class SignIn(RequestModel):
    """Credentials; ``code`` of the second factor, where there is one."""

    email: AnyText
    password: AnyText
    code: Annotated[str, StringConstraints(max_length=40)] = ""


@dataclass(frozen=True, kw_only=True)
class DemoPerson:
    """Credentials shown in demo mode."""

    email: str
    password: str
    says: str


@dataclass(frozen=True, kw_only=True)
class Welcome:
    """What the sign-in page may know; ``mails``: a forgotten password can be reset by mail."""

    product: str = "Gentle Plumb"
    mails: bool = False
    demo: Sequence[DemoPerson] = ()


@dataclass(frozen=True, kw_only=True)
class Me(MemberView, PracticeSettings):
    """The signed-in member; ``writes``: they work with clients, ``office``: they keep names, contact data and the shelf.

    ``must_enrol``: the practice asks everybody for a second factor, and they have none; ``recovery_left`` counts the
    recovery codes. ``device_key`` opens, for as long as the session lasts, what this browser keeps; it is never written
    down there. ``locked``: nothing goes on before the password is given, and neither token nor key is told.
    """

    writes: bool
    office: bool
    practice: str
    unit: LengthUnit
    must_enrol: bool
    recovery_left: int
    locked: bool
    csrf: str
    device_key: str

    @classmethod
    def of(
        cls, session: Session, member: Member, practice: Practice, *, locked: bool = False
    ) -> Me:
        """From the records."""
        return cls(
            **vars(view_of(MemberView, member)),
            **vars(view_of(PracticeSettings, practice)),
            writes=member.role in WRITERS,
            office=member.role in OFFICE,
            practice=practice.name,
            unit=practice.unit,
            must_enrol=practice.second_factor and not member.has_second_factor,
            recovery_left=len(member.recovery),
            locked=locked,
            csrf="" if locked else session.csrf,
            device_key="" if locked else session.device_key,
        )


class Registration(RequestModel):
    """How a member signs: profession, and the number they are registered under; empty for none."""

    title: Line
    registration: Annotated[str, StringConstraints(strip_whitespace=True, max_length=60)]


class LanguageChoice(RequestModel):
    """The language a member reads; empty for their browser's."""

    language: Literal["", "en", "de", "es"]


class PasswordChange(RequestModel):
    """The present password and the next one."""

    current: AnyText
    password: Password


class HealthGrant(RequestModel):
    """Whether a reader sees health data."""

    sees_health: bool


class Confirmation(RequestModel):
    """The password, typed once more."""

    password: AnyText


class DeviceMembers(RequestModel):
    """Members whose things a device keeps."""

    members: Annotated[list[UUID], Field(max_length=50)]


@dataclass(frozen=True, kw_only=True)
class SecondFactorOffer:
    """A secret for an authenticator: to type, and to scan; it counts once it is confirmed."""

    secret: str
    svg: str


class NewSecondFactor(Confirmation):
    """A secret with its first code, and one's password."""

    secret: Annotated[str, StringConstraints(pattern=r"^[A-Z2-7]{16,64}$")]
    code: Annotated[str, StringConstraints(max_length=20)]


@dataclass(frozen=True, kw_only=True)
class RecoveryCodes:
    """Codes that each open once where the authenticator is lost; told this once."""

    codes: list[str]


@dataclass(frozen=True, kw_only=True)
class NewMember(New):
    """A new member."""

    email: Address
    name: Name
    title: Line = ""
    role: Role
    password: Password
