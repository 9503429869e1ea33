"""From the record of a visit to the body: readings, shoes taken off, where each value is from."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, field
from math import hypot

from ..body import (
    BRITISH_ADULTS,
    DIMENSIONS,
    Body,
    BodyValue,
    MeasuredPosture,
    Resolved,
    Sex,
    Table,
    ValueSource,
    resolve_readings,
)
from ..record import Record, fields
from ..record.fields.measure import MEASURED, Footwear, Origin

SELF_MEASURED_SD_MM = 12.0
"""What an unpractised hand adds to the error of a reading, mm. Source: house-origin."""
AGED_SHARE = 0.5
"""Share of what a body may change between visits that a carried-over value is less sure by.
Source: house-origin."""
VALUE_SOURCES: dict[Origin, ValueSource] = {
    Origin.MEASURED: "measured",
    Origin.CARRIED_OVER: "carried_over",
    Origin.SELF_MEASURED: "self_measured",
}
TAKEN_ELSEWHERE = (Origin.CARRIED_OVER, Origin.SELF_MEASURED)


@dataclass(frozen=True, kw_only=True)
class Measuring:
    """What a visit's measuring rests on beside its record.

    ``errors`` is the practitioner's error of one reading by dimension, mm; ``table`` the
    population for estimates and doubts.
    """

    errors: Mapping[str, float] = field(default_factory=dict)
    table: Table = BRITISH_ADULTS


HOUSE = Measuring()


def readings_of(record: Record, name: str) -> list[float]:
    """Return the readings of one dimension in the order they were taken, mm, as read."""
    read = (record[field] for field in fields.measure.dimension[name].readings)
    return [mm for mm in read if mm is not None]


def heel_of(record: Record, name: str) -> float | None:
    """Return what the shoe adds to a dimension, mm.

    0 barefoot; None in a shoe whose heel nobody noted.
    """
    in_shoes = record[fields.measure.footwear] == Footwear.SHOES
    return record[fields.measure.heel] if in_shoes and DIMENSIONS[name].from_floor else 0.0


def resolved_of(record: Record, name: str, measuring: Measuring = HOUSE) -> Resolved:
    """Return what the readings of one dimension come to, shoes and all."""
    return resolve_readings(
        readings_of(record, name),
        repeat_limit_mm=DIMENSIONS[name].repeat_limit_mm,
        error_mm=measuring.errors.get(name),
    )


def _value(record: Record, name: str, measuring: Measuring) -> BodyValue | None:
    resolved = resolved_of(record, name, measuring)
    if resolved.value_mm is None:
        return None
    origin = record[fields.measure.dimension[name].origin] or Origin.MEASURED
    sd, heel = resolved.sd_mm, heel_of(record, name) or 0.0
    if origin == Origin.CARRIED_OVER:
        sd, heel = hypot(sd, AGED_SHARE * DIMENSIONS[name].change_mm), 0.0
    elif origin == Origin.SELF_MEASURED:
        sd = hypot(sd, SELF_MEASURED_SD_MM)
    return BodyValue(mm=resolved.value_mm - heel, sd_mm=sd, source=VALUE_SOURCES[origin])


def body_from(record: Record, sex: Sex | None, measuring: Measuring = HOUSE) -> Body:
    """Return the body as measured so far; two readings that disagree count once there is a third.

    Heights from the floor are barefoot: what the shoe added is taken off, except from a value
    carried over, which was barefoot already.
    """
    values = {name: _value(record, name, measuring) for name in MEASURED}
    return Body(
        values={name: value for name, value in values.items() if value is not None},
        sex=sex,
        posture=record[fields.measure.posture] or MeasuredPosture.AS_THEY_WORK,
        table=measuring.table,
        guessed=frozenset(
            name
            for name, dimension_fields in fields.measure.dimension.items()
            if dimension_fields.guess is not None and record.yes(dimension_fields.guess)
        ),
    )


def other_sides(record: Record) -> dict[str, float]:
    """Return the other arm's or leg's value where it was taken, mm, shoes taken off."""
    return {
        name: value - (heel_of(record, name) or 0.0)
        for name, dimension_fields in fields.measure.dimension.items()
        if dimension_fields.other is not None
        and (value := record[dimension_fields.other]) is not None
    }


def settled(record: Record, name: str) -> bool:
    """Whether a dimension needs no more readings.

    It has two that agree, or three, or one that was taken elsewhere or is enough, or is left out.
    """
    asked = fields.measure.dimension[name]
    if asked.skip in record:
        return True
    resolved = resolved_of(record, name)
    if resolved.value_mm is None:
        return False
    once = record[asked.origin] in TAKEN_ELSEWHERE or not DIMENSIONS[name].twice
    return once or resolved.by != "one"
