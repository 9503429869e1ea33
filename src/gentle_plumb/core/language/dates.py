"""Days as one says them."""

from __future__ import annotations

from datetime import date

from .text import msg, pgettext

MONTHS = (
    msg("January"),
    msg("February"),
    msg("March"),
    msg("April"),
    msg("May"),
    msg("June"),
    msg("July"),
    msg("August"),
    msg("September"),
    msg("October"),
    msg("November"),
    msg("December"),
)


WEEKDAYS = (
    msg("Monday"),
    msg("Tuesday"),
    msg("Wednesday"),
    msg("Thursday"),
    msg("Friday"),
    msg("Saturday"),
    msg("Sunday"),
)


def weekday(day: date) -> str:
    """Return the name of a day's weekday.

    >>> weekday(date(2026, 12, 4))
    'Friday'

    """
    return WEEKDAYS[day.weekday()]


def spoken_day(day: date) -> str:
    """Return a day with its month in words.

    >>> spoken_day(date(2026, 12, 4))
    '4 December 2026'

    """
    return msg("{day} {month} {year}", day=day.day, month=MONTHS[day.month - 1], year=day.year)


SHORT = (
    pgettext("month, short", "Jan"),
    pgettext("month, short", "Feb"),
    pgettext("month, short", "Mar"),
    pgettext("month, short", "Apr"),
    pgettext("month, short", "May"),
    pgettext("month, short", "Jun"),
    pgettext("month, short", "Jul"),
    pgettext("month, short", "Aug"),
    pgettext("month, short", "Sep"),
    pgettext("month, short", "Oct"),
    pgettext("month, short", "Nov"),
    pgettext("month, short", "Dec"),
)


def short_day(day: date) -> str:
    """Return a day with the first letters of its month, for where there is little room.

    >>> short_day(date(2026, 12, 4))
    '4 Dec 2026'

    """
    return msg("{day} {month} {year}", day=day.day, month=SHORT[day.month - 1], year=day.year)
