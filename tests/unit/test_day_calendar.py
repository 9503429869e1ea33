"""The calendar file, read back by another parser: the day as it was laid, quiet, without health."""

from datetime import date, datetime

import vobject

from gentle_plumb.core.fit import Case
from gentle_plumb.core.intake import person_limits
from gentle_plumb.core.language import language_of
from gentle_plumb.core.record import Record
from gentle_plumb.core.visit import working_day
from gentle_plumb.documents.day_calendar import FOLLOW_UP, day_calendar
from strategies import mean_body

HOURS = {"ask.hours.typing": 4.0, "ask.hours.calls": 2.0, "ask.hours.thinking": 2.0}
VISITED = date(2026, 11, 26)


def read_back(held=(), follow_up=None, language="en", **entries):
    person = person_limits({id: {} for id in held})
    case = Case(body=mean_body(), person=person)
    day = working_day(Record(HOURS | entries), case, desk_stands=True)
    made = day_calendar(
        day,
        key="visit",
        visited_on=VISITED,
        follow_up=follow_up,
        walks=person.walks,
        language=language_of(language),
    )
    return day, made, vobject.readOne(made.decode()).vevent_list


def test_every_spell_of_standing_and_moving_is_an_event_at_its_time():
    day, _, events = read_back(**{"ask.sit_stand": "used"})
    told = [spell for spell in day.spells if spell.posture in ("stand", "move")]
    assert len(events) == len(told)
    for event, spell in zip(events, told, strict=True):
        start = event.dtstart.value
        assert (start.date(), start.hour * 60 + start.minute) == (date(2026, 11, 30), spell.at)
        assert start.tzinfo is None
        assert (event.dtend.value - start).total_seconds() == spell.minutes * 60
        assert event.summary.value == {"stand": "Stand", "move": "Move"}[spell.posture]
        days = list(event.getrruleset(addRDate=True))
        assert len(days) == 40
        assert {day.weekday() for day in days} == {0, 1, 2, 3, 4}


def test_the_weeks_of_getting_used_come_one_after_the_other_and_the_file_is_quiet():
    day, made, events = read_back(follow_up=date(2026, 12, 15), **{"ask.sit_stand": "new"})
    begins = sorted(
        {event.dtstart.value.date() for event in events if event.summary.value != FOLLOW_UP}
    )
    assert begins == [date(2026, 11, 30), *(date(2026, 12, 7 * n) for n in (1, 2, 3, 4))]
    assert len(day.weeks) == 4
    last = events[-1]
    assert (last.summary.value, last.dtstart.value) == (FOLLOW_UP, date(2026, 12, 15))
    assert b"VALARM" not in made
    assert all(event.transp.value == "TRANSPARENT" for event in events)
    assert len({event.uid.value for event in events}) == len(events)
    assert read_back(follow_up=date(2026, 12, 15), **{"ask.sit_stand": "new"})[1] == made


def test_titles_hold_no_word_about_health():
    for held in (("dizziness",), ("wheelchair",), ("pregnancy", "veins")):
        _, made, events = read_back(held)
        assert {event.summary.value for event in events} <= {"Stand", "Move", "Shift the weight"}
        assert all(isinstance(event.dtstart.value, datetime) for event in events)
        assert not any(word in made.lower() for word in (b"dizz", b"wheel", b"pregn", b"vein"))
        assert ("wheelchair" in held) == (b"SUMMARY:Shift the weight" in made)


def test_titles_are_in_the_language_of_the_client():
    _, _, events = read_back(
        follow_up=date(2026, 12, 14), language="de", **{"ask.sit_stand": "used"}
    )
    assert {event.summary.value.split(":")[0] for event in events} == {
        "Stehen",
        "Bewegen",
        "Nachkontrolle am Arbeitsplatz",
    }
