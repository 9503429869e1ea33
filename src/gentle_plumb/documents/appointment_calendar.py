"""Appointments as an iCalendar file (RFC 5545): one of a client's, or a member's private calendar."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, datetime, timedelta

from icalendar import Calendar
from icalendar import Event as Entry

from ..services.agenda import Event

PRODUCT = "-//Gentle Plumb//Appointments//EN"
ASKED_AGAIN = timedelta(minutes=15)
"""How often a calendar program is to ask again (RFC 7986, 5.7). House value."""


def appointment_calendar(events: Sequence[Event], *, name: str, made_at: datetime) -> bytes:
    """Return the file; times are in UTC, so that every calendar program shows them right."""
    calendar = Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    calendar.add("name", name)
    calendar.add("x-wr-calname", name)
    calendar.refresh_interval = ASKED_AGAIN
    for event in events:
        entry = Entry()
        entry.add("uid", f"{event.key}@gentle-plumb")
        entry.add("sequence", event.version - 1)
        entry.add("dtstamp", made_at)
        entry.add("dtstart", event.starts.astimezone(UTC))
        entry.add("dtend", event.ends.astimezone(UTC))
        entry.add("summary", event.title)
        if event.place:
            entry.add("location", event.place)
        entry.add("class", "PRIVATE")
        calendar.add_component(entry)
    return bytes(calendar.to_ical())
