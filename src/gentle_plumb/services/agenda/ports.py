"""What the agenda needs from outside: a store, and what writes calendar files."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime
from typing import Protocol
from uuid import UUID

from ..models import (
    Appointment,
    CalendarFeed,
    Client,
    Member,
    OutgoingMail,
    PlannedAppointment,
    Practice,
)


class AgendaStore(Protocol):
    """Appointments and private calendars. Everything but a calendar's address is asked within one practice."""

    def planned(
        self, practice_id: UUID, start: date, end: date, *, member_id: UUID | None = None
    ) -> list[PlannedAppointment]:
        """Appointments from one day up to another, both included, in order: all, or one member's."""

    def appointment(self, practice_id: UUID, appointment_id: UUID) -> Appointment:
        """Raises NotFound."""

    def add_appointment(self, appointment: Appointment) -> Appointment:
        """Keep one; the one that an earlier sending added. Raises AlreadyThere, NotFound."""

    def change_appointment(self, appointment: Appointment) -> Appointment:
        """Change one upon its version; raises NotFound, Stale."""

    def drop_appointment(self, practice_id: UUID, appointment_id: UUID) -> None:
        """Raises NotFound."""

    def clients_planned(self, practice_id: UUID, start: date) -> frozenset[UUID]:
        """Clients who have an appointment on this day or later."""

    def put_feed(self, feed: CalendarFeed) -> None:
        """Keep a member's calendar; the address before opens nothing any more."""

    def feed(self, member_id: UUID) -> CalendarFeed | None: ...

    def feed_at(self, token_hash: bytes) -> tuple[CalendarFeed, Member, Practice] | None:
        """Whose calendar a secret address is; None for an unknown one, and for somebody who has left."""

    def drop_feed(self, member_id: UUID) -> None: ...

    def client_of(self, appointment: Appointment) -> Client: ...
    def mails_about(self, appointment_id: UUID) -> list[OutgoingMail]:
        """Every mail about an appointment, the latest first."""


@dataclass(frozen=True, kw_only=True)
class Event:
    """One entry of a calendar file."""

    key: str
    version: int
    title: str
    place: str
    starts: datetime
    ends: datetime


class CalendarWriter(Protocol):
    """Writes calendar files."""

    def __call__(self, events: Sequence[Event], *, name: str, made_at: datetime) -> bytes:
        """An iCalendar file (RFC 5545)."""
