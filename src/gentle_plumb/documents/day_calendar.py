"""A working day as an iCalendar file: when to stand, to move, to sit again; and the follow-up.

Quiet: no alarms, and no event makes anybody busy. Titles hold no word about health. Times are local wherever
the file is read. The weeks of getting used to standing come one after the other, then the whole day.
"""

from __future__ import annotations

from collections.abc import Iterator, Mapping, Sequence
from datetime import UTC, date, datetime, time, timedelta
from hashlib import sha256

from icalendar import Calendar, Event

from ..core.language import Language, filled, lowered, msg
from ..core.pace import Spell
from ..core.visit import WorkingDay

PRODUCT = "-//Gentle Plumb//Working day//EN"
WORKDAYS = ("MO", "TU", "WE", "TH", "FR")
WEEKS_OF_THE_WHOLE_DAY = 8
"""How long the day goes on in the file once somebody is used to it, weeks. House value."""
TITLES = {"stand": msg("Stand"), "move": msg("Move"), "sit": msg("Sit")}
FOLLOW_UP = msg("Workplace follow-up")


def day_calendar(
    day: WorkingDay,
    *,
    key: str,
    visited_on: date,
    follow_up: date | None,
    walks: bool,
    language: Language,
    moves: Mapping[int, str] | None = None,
) -> bytes:
    """Return the file.

    Parameters
    ----------
    day : WorkingDay
    key : str
        What the events are told apart by from those of another day; it names nobody.
    visited_on : date
        The day begins on the Monday after it.
    follow_up : date, optional
        A whole day of its own.
    walks : bool
        Whether moving is going; else it is a shift of weight.
    language : Language
        What the titles are in.
    moves : mapping, optional
        Which movement is done at which time of the whole day, minutes after midnight.

    """
    calendar = Calendar()
    calendar.add("prodid", PRODUCT)
    calendar.add("version", "2.0")
    calendar.add("method", "PUBLISH")
    stamp = datetime.combine(visited_on, time(), UTC)
    monday = visited_on + timedelta(days=7 - visited_on.weekday())
    for week, spells, weeks in _phases(day):
        begins = monday + timedelta(weeks=week)
        for spell in _told(spells):
            calendar.add_component(
                _event(
                    spell,
                    begins,
                    weeks=weeks,
                    key=f"{key} {week}",
                    stamp=stamp,
                    title=language.say(_title(spell, (moves or {}).get(spell.at, ""), walks=walks)),
                )
            )
    if follow_up is not None:
        event = Event()
        event.add("summary", language.say(FOLLOW_UP))
        event.add("dtstart", follow_up)
        event.add("dtend", follow_up + timedelta(days=1))
        _quiet(event, f"{key} follow-up", stamp)
        calendar.add_component(event)
    return bytes(calendar.to_ical())


def _phases(day: WorkingDay) -> Iterator[tuple[int, Sequence[Spell], int]]:
    """Yield each phase: the week it begins in, its day, how many weeks it lasts."""
    for week in day.weeks:
        yield week.week - 1, day.week(week.week), 1
    yield len(day.weeks), day.spells, WEEKS_OF_THE_WHOLE_DAY


def _told(spells: Sequence[Spell]) -> Iterator[Spell]:
    """Yield what one is told of: standing and moving; sitting follows from their ends."""
    return (spell for spell in spells if spell.posture in ("stand", "move") and not spell.lunch)


def _title(spell: Spell, movement: str, *, walks: bool) -> str:
    """Return what an event is called: which movement, where one is done then."""
    title = TITLES[spell.posture] if walks or spell.posture != "move" else msg("Shift the weight")
    return (
        filled("{title}: {movement}", title=title, movement=lowered(movement))
        if movement
        else title
    )


def _event(
    spell: Spell, begins: date, *, weeks: int, key: str, stamp: datetime, title: str
) -> Event:
    event = Event()
    start = datetime.combine(begins, time()) + timedelta(minutes=spell.at)
    event.add("summary", title)
    event.add("dtstart", start)
    event.add("dtend", start + timedelta(minutes=spell.minutes))
    event.add("rrule", {"freq": "weekly", "byday": list(WORKDAYS), "count": weeks * len(WORKDAYS)})
    _quiet(event, f"{key} {spell.at} {spell.posture}", stamp)
    return event


def _quiet(event: Event, key: str, stamp: datetime) -> None:
    event.add("uid", f"{sha256(key.encode()).hexdigest()[:32]}@gentle-plumb")
    event.add("dtstamp", stamp)
    event.add("transp", "TRANSPARENT")
    event.add("class", "PRIVATE")
