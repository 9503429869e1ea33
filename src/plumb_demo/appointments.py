"""The demo practice's agenda: this week and the next, with one room taken twice."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date, timedelta
from uuid import uuid4

from gentle_plumb.services.agenda import AgendaStore
from gentle_plumb.services.models import (
    Appointment,
    AppointmentKind,
    Client,
    Member,
    PlaceKind,
    Practice,
)

ROOMS = "Chart room\nSail loft"
"""The demo practice's rooms, one a line."""
DEMO_APPOINTMENTS: tuple[tuple[int, int, int, str, int, AppointmentKind, PlaceKind, str], ...] = (
    (0, 9 * 60, 60, "Saskia", 0, "visit", "room", "Chart room"),
    (0, 11 * 60, 45, "Odile", 0, "follow_up", "address", "Compilation room, desk 14"),
    (0, 11 * 60 + 15, 30, "Wilma", 1, "check", "room", "Sail loft"),
    (0, 14 * 60, 15, "Elif", 0, "call_back", "call", "extension 412"),
    (1, 8 * 60 + 30, 90, "Bram", 1, "visit", "room", "Chart room"),
    (1, 9 * 60 + 30, 45, "Hugo", 0, "follow_up", "room", "Chart room"),
    (1, 13 * 60, 60, "Nadia", 0, "visit", "address", "Watch office"),
    (2, 10 * 60, 60, "Mirela", 1, "visit", "room", "Sail loft"),
    (5, 9 * 60, 45, "Otis", 0, "follow_up", "room", "Chart room"),
    (6, 15 * 60, 60, "Saskia", 1, "visit", "room", "Sail loft"),
)
"""Days of work from today, start and length in minutes, whose, with whom, what, where. Names that no client has are left out."""


def load_appointments(
    store: AgendaStore,
    practice: Practice,
    members: Sequence[Member],
    clients: Sequence[Client],
    today: date,
) -> None:
    """Keep the appointments; none is mailed."""
    people = [member for member in members if member.role in ("owner", "practitioner")]
    for days, at, minutes, name, whose, kind, place_kind, place in DEMO_APPOINTMENTS:
        client = next((client for client in clients if client.name.startswith(name)), None)
        if client is None:
            continue
        store.add_appointment(
            Appointment(
                id=uuid4(),
                practice_id=practice.id,
                client_id=client.id,
                member_id=people[whose % len(people)].id,
                on=working_day(today, days),
                at=at,
                minutes=minutes,
                kind=kind,
                place_kind=place_kind,
                place=place,
                mail_client=False,
            )
        )


def working_day(today: date, days: int) -> date:
    """Return the day so many working days after today; today itself may be none."""
    day = today
    while days:
        day += timedelta(days=1)
        days -= day.isoweekday() <= 5
    return day
