"""From the entries of a visit to the body: readings, shoes taken off, where each value is from."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from math import hypot

from ..body import (
    BRITISH_ADULTS,
    DIMENSIONS,
    Body,
    BodyValue,
    Resolved,
    Sex,
    Table,
    resolve_readings,
)
from ..body.person import ValueSource
from ..choices import one_of
from .fields import MEASURED

Entries = Mapping[str, float | str | None]
"""Path of a field to its value: mm, number, choice, text."""

SELF_MEASURED_SD_MM = 12.0
"""What an unpractised hand adds to the error of a reading, mm. Source: house-origin."""
AGED_SHARE = 0.5
"""Share of what a body may change between visits that a carried-over value is less sure by.
Source: house-origin."""


@dataclass(frozen=True, kw_only=True)
class Measuring:
    """What a visit's measuring rests on beside its entries.

    ``errors`` is the practitioner's error of one reading by dimension, mm; ``table`` the
    population for estimates and doubts.
    """

    errors: Mapping[str, float] = field(default_factory=dict)
    table: Table = BRITISH_ADULTS


ORIGIN_SOURCES: tuple[ValueSource, ...] = ("measured", "carried_over", "self_measured")
HOUSE = Measuring()


def number_at(entries: Entries, path: str) -> float | None:
    """A number of the record, None where there is none."""
    value = entries.get(path)
    return float(value) if isinstance(value, (int, float)) else None


def text_at(entries: Entries, path: str) -> str | None:
    """A text of the record, None where there is none."""
    value = entries.get(path)
    return value if isinstance(value, str) else None


def readings_of(entries: Entries, name: str) -> list[float]:
    """The readings of one dimension in the order they were taken, mm, as read."""
    first = entries.get(f"measure.{name}.first")
    second = entries.get(f"measure.{name}.second")
    third = entries.get(f"measure.{name}.third")
    return [float(one) for one in (first, second, third) if isinstance(one, (int, float))]


def heel_of(entries: Entries, name: str) -> float | None:
    """What the shoe adds to a dimension, mm: 0 barefoot; None in a shoe whose heel nobody noted."""
    if not DIMENSIONS[name].from_floor or entries.get("measure.footwear") != "shoes":
        return 0.0
    return number_at(entries, "measure.heel")


def resolved_of(entries: Entries, name: str, measuring: Measuring = HOUSE) -> Resolved:
    """What the readings of one dimension come to, shoes and all."""
    return resolve_readings(
        readings_of(entries, name),
        repeat_limit_mm=DIMENSIONS[name].repeat_limit_mm,
        error_mm=measuring.errors.get(name),
    )


def _value(entries: Entries, name: str, measuring: Measuring) -> BodyValue | None:
    resolved = resolved_of(entries, name, measuring)
    if resolved.value_mm is None:
        return None
    origin = one_of(ORIGIN_SOURCES, entries.get(f"measure.{name}.origin")) or "measured"
    sd, heel = resolved.sd_mm, heel_of(entries, name) or 0.0
    if origin == "carried_over":
        sd, heel = hypot(sd, AGED_SHARE * DIMENSIONS[name].change_mm), 0.0
    elif origin == "self_measured":
        sd = hypot(sd, SELF_MEASURED_SD_MM)
    return BodyValue(mm=resolved.value_mm - heel, sd_mm=sd, source=origin)


def body_from(entries: Entries, sex: Sex | None, measuring: Measuring = HOUSE) -> Body:
    """The body as measured so far; two readings that disagree count once there is a third.

    Heights from the floor are barefoot: what the shoe added is taken off, except from a value
    carried over, which was barefoot already.
    """
    found = {name: _value(entries, name, measuring) for name in MEASURED}
    return Body(
        values={name: value for name, value in found.items() if value is not None},
        sex=sex,
        posture="erect" if entries.get("measure.posture") == "erect" else "as_they_work",
        table=measuring.table,
        guessed=frozenset(
            name for name in MEASURED if entries.get(f"measure.{name}.guess") == "yes"
        ),
    )


def other_sides(entries: Entries) -> dict[str, float]:
    """The other arm's or leg's value where it was taken, mm, shoes taken off."""
    return {
        name: value - (heel_of(entries, name) or 0.0)
        for name in MEASURED
        if (value := number_at(entries, f"measure.{name}.other")) is not None
    }


def settled(entries: Entries, name: str) -> bool:
    """Whether a dimension needs no more readings.

    It has two that agree, or three, or one that was taken elsewhere, or is left out.
    """
    if entries.get(f"measure.{name}.skip") is not None:
        return True
    resolved = resolved_of(entries, name)
    if resolved.value_mm is None:
        return False
    elsewhere = entries.get(f"measure.{name}.origin") in ("carried_over", "self_measured")
    return resolved.by != "one" or elsewhere
