"""Appointments: when, how long, where, with whom. No word about health."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Annotated, Literal
from uuid import UUID
from zoneinfo import ZoneInfo

from pydantic import Field

from ...core.agenda import Slot
from .texts import Changed, Line, New

PlaceKind = Literal["room", "address", "call"]
AppointmentKind = Literal["visit", "follow_up", "check", "call_back"]
USUAL_MINUTES: dict[AppointmentKind, int] = {
    "visit": 60,
    "follow_up": 45,
    "check": 20,
    "call_back": 15,
}
"""How long each usually takes, minutes. House values."""
REMINDED_BEFORE = timedelta(days=1)
"""The client is reminded so long before. House value."""

Minute = Annotated[int, Field(ge=0, le=1439, description="Minutes after midnight.")]
Minutes = Annotated[int, Field(ge=5, le=720, description="Minutes.")]


@dataclass(frozen=True, kw_only=True)
class AppointmentFacts:
    """A time that is kept for a client.

    ``on`` and ``at`` are the practice's own day and clock, ``place`` the room, the address or the number to call.
    ``mail_client``: the client gets it, each change to it, and a reminder the day before by email.
    """

    client_id: UUID
    member_id: UUID
    on: date
    at: Minute
    minutes: Minutes = USUAL_MINUTES["visit"]
    kind: AppointmentKind = "visit"
    place_kind: PlaceKind = "room"
    place: Line = ""
    mail_client: bool = True


@dataclass(frozen=True, kw_only=True)
class AppointmentView(AppointmentFacts):
    """An appointment as it is kept; the visit that begins with it has its ``id``."""

    id: UUID
    version: int = 1

    @property
    def slot(self) -> Slot:
        """The time it takes."""
        return Slot(
            key=self.id,
            on=self.on,
            at=self.at,
            minutes=self.minutes,
            member=self.member_id,
            client=self.client_id,
            room=self.place if self.place_kind == "room" else "",
        )

    def starts(self, time_zone: str) -> datetime:
        """The moment it begins, in a practice's time zone."""
        midnight = datetime(self.on.year, self.on.month, self.on.day, tzinfo=ZoneInfo(time_zone))
        return midnight.replace(hour=self.at // 60, minute=self.at % 60)

    def ends(self, time_zone: str) -> datetime:
        """The moment it is over: so many minutes later by any clock."""
        begins = self.starts(time_zone).astimezone(ZoneInfo("UTC"))
        return (begins + timedelta(minutes=self.minutes)).astimezone(ZoneInfo(time_zone))


@dataclass(frozen=True, kw_only=True)
class Appointment(AppointmentView):
    """One of a practice."""

    practice_id: UUID


@dataclass(frozen=True, kw_only=True)
class NewAppointment(AppointmentFacts, New):
    """An appointment to be made."""


@dataclass(frozen=True, kw_only=True)
class ChangedAppointment(AppointmentFacts, Changed):
    """An appointment moved or changed."""


@dataclass(frozen=True, kw_only=True)
class PlannedAppointment(AppointmentView):
    """An appointment in the agenda: for whom, with whom, and whether its visit has begun."""

    client: str
    work: str
    email: bool
    member: str
    begun: bool


@dataclass(frozen=True, kw_only=True)
class CalendarFeed:
    """A member's private calendar: a digest of its secret address, and whether it names clients."""

    member_id: UUID
    token_hash: bytes
    names: bool
    made_at: datetime
