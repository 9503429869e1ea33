"""Days as one says them."""

from __future__ import annotations

from datetime import date

from .text import msg

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


def spoken_day(day: date) -> str:
    """Return a day with its month in words.

    >>> spoken_day(date(2026, 12, 4))
    '4 December 2026'

    """
    return msg("{day} {month} {year}", day=day.day, month=MONTHS[day.month - 1], year=day.year)
