"""Where a value is from and how old it is, in words."""

from __future__ import annotations

from datetime import date

from ..body import DIMENSIONS, BodyValue
from ..record import Entries, spoken_date

DAYS_A_MONTH = 30.4


def age_words(taken: date, today: date) -> str:
    """How old a value is.

    >>> age_words(date(2026, 5, 4), date(2026, 11, 25))
    '7 months old'
    """
    days = (today - taken).days
    if days < 2:
        return "of today" if days < 1 else "of yesterday"
    if days < 60:
        return f"{days} days old"
    months = round(days / DAYS_A_MONTH)
    return f"{months} months old" if months < 24 else f"{days / 365.25:.0f} years old"


def elsewhere_text(values: Entries, name: str, today: date) -> str | None:
    """Where a value that was not taken here is from; None for one that was."""
    origin = values.get(f"measure.{name}.origin")
    if origin not in ("carried_over", "self_measured"):
        return None
    words = "Carried over" if origin == "carried_over" else "Self-measured"
    taken, by = values.get(f"measure.{name}.taken_on"), values.get(f"measure.{name}.taken_by")
    parts = [words]
    if taken:
        day = date.fromisoformat(str(taken))
        parts = [
            f"{words} {'from' if origin == 'carried_over' else 'on'} {spoken_date(str(taken))}",
            age_words(day, today),
        ]
    if by:
        parts.append(f"taken by {by}")
    return ", ".join(parts)


def origin_text(values: Entries, value: BodyValue, name: str, today: date) -> str:
    """Where a value is from: measured today, carried over with its age, or estimated from what."""
    if value.source == "estimated":
        basis = " and ".join(DIMENSIONS[one].label.lower() for one in value.basis)
        return f"estimated from {basis}"
    return elsewhere_text(values, name, today) or "measured at this visit"
