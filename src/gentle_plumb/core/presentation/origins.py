"""Where a value is from and how old it is, in words."""

from __future__ import annotations

from datetime import date

from ..body import DIMENSIONS, BodyValue
from ..language import and_list, filled, joined, msg, numeral
from ..record import Record, fields
from ..record.fields.measure import Origin
from ..visit import spoken_date

DAYS_A_MONTH = 30.4


def age_words(taken: date, today: date) -> str:
    """How old a value is.

    >>> age_words(date(2026, 5, 4), date(2026, 11, 25))
    '7 months old'
    """
    days = (today - taken).days
    if days < 2:
        return msg("of today") if days < 1 else msg("of yesterday")
    if days < 60:
        return msg("{days} days old", days=days)
    months = round(days / DAYS_A_MONTH)
    return (
        msg("{months} months old", months=months)
        if months < 24
        else msg("{days} years old", days=numeral(f"{days / 365.25:.0f}"))
    )


def elsewhere_text(record: Record, name: str, today: date) -> str | None:
    """Where a value that was not taken here is from; None for one that was."""
    asked = fields.measure.dimension[name]
    origin = record[asked.origin]
    if origin is None or origin == Origin.MEASURED:
        return None
    words = origin.label
    taken, by = record[asked.taken_on], record[asked.taken_by]
    parts = [words]
    if taken:
        since = "from" if origin == Origin.CARRIED_OVER else "on"
        parts = [
            filled("{words} {since} {taken}", words=words, since=since, taken=spoken_date(taken)),
            age_words(date.fromisoformat(taken), today),
        ]
    if by:
        parts.append(msg("taken by {by}", by=by))
    return joined(", ", parts)


def origin_text(record: Record, value: BodyValue, name: str, today: date) -> str:
    """Where a value is from: measured today, carried over with its age, or estimated from what."""
    if value.source == "estimated":
        basis = and_list(DIMENSIONS[text].label.lower() for text in value.basis)
        return msg("estimated from {basis}", basis=basis)
    return elsewhere_text(record, name, today) or msg("measured today")
