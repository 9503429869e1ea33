"""Reading what was typed into a field, and saying what is wrong with it."""

from __future__ import annotations

import re
from datetime import date

from ..body import TWINS
from ..errors import AmbiguousValue, UnknownName, UnreadableValue, ValueOutOfRange
from ..language import filled, joined, msg, numeral, or_list
from ..plain_text import check_text
from ..tolerances import END_ROUNDING, ROUNDING
from ..units import (
    LengthUnit,
    format_length,
    in_other_units,
    other_readings,
    parse_length,
    parse_number,
)
from .fields import FIELDS, Field
from .fields.measure import dimension

LONGEST_TEXT = 4000
_OTHER_POSTURE: dict[str, Field[float]] = {
    mine.id: other
    for pair in TWINS.items()
    for here, there in (pair, pair[::-1])
    for mine, other in zip(dimension[here].readings, dimension[there].readings, strict=True)
}
"""The same reading of the dimension that is its twin in the other posture."""


def _fits(field: Field[object], value: float) -> bool:
    low, high = field.low, field.high
    return low is None or high is None or low - ROUNDING <= value <= high + ROUNDING


def _in_range(
    field: Field[object], typed: str, value: float, unit: LengthUnit, choices: tuple[str, ...] = ()
) -> float:
    low, high = field.low, field.high
    if low is None or high is None or _fits(field, value):
        return value
    belongs = _belongs(field, value)
    if field.kind == "length":
        ends = msg(
            "{low} to {high}",
            low=format_length(low, unit),
            high=format_length(high, unit, with_unit=True),
        )
        shown = format_length(value, unit, with_unit=True)
    else:
        ends, shown = (
            msg(
                "{low} to {high} {unit}",
                low=numeral(f"{low:g}"),
                high=numeral(f"{high:g}"),
                unit=field.unit,
            ),
            f"{value:g} {field.unit}",
        )
    raise ValueOutOfRange(
        field=field.id,
        value=typed,
        low=low,
        high=high,
        unit="mm" if field.kind == "length" else field.unit,
        message=msg(
            "{named}: {shown} is outside {ends}.{perhaps}",
            named=named(field),
            shown=shown,
            ends=ends,
            perhaps=_perhaps(choices, belongs),
        ),
        choices=choices,
        belongs=belongs,
    )


def named(field: Field[object]) -> str:
    """A reading needs its dimension's name with it."""
    return (
        filled("{group}, {label}", group=field.group, label=field.label.lower())
        if field.section == "reading"
        else field.label
    )


def _belongs(field: Field[object], value: float) -> str:
    """The field of the other posture that the value would suit; empty for most."""
    other = _OTHER_POSTURE.get(field.id)
    return other.id if other is not None and _fits(other, value) else ""


def _perhaps(choices: tuple[str, ...], belongs: str) -> str:
    said = list(choices)
    if belongs:
        said.append(msg("under {group}", group=FIELDS[belongs].group.lower()))
    return msg(" Perhaps {said}?", said=or_list(said)) if said else ""


def _length(field: Field[object], typed: str, text: str, unit: LengthUnit) -> float:
    """A length; asks where what was typed could be two things that both suit the field."""
    suits = {}
    for meant in (*other_readings(text), *in_other_units(text)):
        mm = parse_length(meant, field=field.id)
        if _fits(field, mm):
            suits[meant] = mm
    try:
        value = parse_length(text, default=unit, field=field.id)
    except UnreadableValue:
        if not suits:
            raise
        raise _ambiguous(field, typed, unit, tuple(suits)) from None
    others = tuple(meant for meant, mm in suits.items() if abs(mm - value) > END_ROUNDING)
    # only a fraction without its inch can be read in two ways that are both near at hand
    inch = others and re.fullmatch(r"[\d\s]*\d/\d+", text) is not None
    if inch and _fits(field, value):
        raise _ambiguous(field, typed, unit, (f"{text} {unit}", *others))
    return _in_range(field, typed, value, unit, others)


def _ambiguous(
    field: Field[object], typed: str, unit: LengthUnit, choices: tuple[str, ...]
) -> AmbiguousValue:
    return AmbiguousValue(
        field=field.id,
        value=typed,
        low=field.low,
        high=field.high,
        unit=unit,
        choices=choices,
        message=msg(
            "{named}: “{typed}” is not clear. Is it {choices}?",
            named=named(field),
            typed=typed.strip(),
            choices=or_list(choices),
        ),
    )


def read_typed(field: Field[object], typed: str, *, unit: LengthUnit = "cm") -> float | str | None:
    """Read what was typed into a field.

    Parameters
    ----------
    field : Field
    typed : str
        As typed; empty clears the field.
    unit : {"mm", "cm", "in"}
        Of a bare length, and for the error's range.

    Returns
    -------
    float, str or None
        mm for a length, the number, the choice, the text, an ISO date; None if cleared.

    Raises
    ------
    UnreadableValue, AmbiguousValue, ValueOutOfRange, UnknownName
        Naming field, value, range and unit; with what may have been meant.

    """
    check_text(typed, field.id)
    text = typed.strip()
    if not text:
        return None
    match field.kind:
        case "length":
            return _length(field, typed, text, unit)
        case "number":
            number = parse_number(text, field=field.id, what=msg("a number"), unit=field.unit)
            if field.unit == "min" and not number.is_integer():
                raise UnreadableValue(
                    field=field.id,
                    value=typed,
                    unit=field.unit,
                    message=msg(
                        "{label}: {number} min. Give whole minutes.",
                        label=field.label,
                        number=numeral(f"{number:g}"),
                    ),
                )
            return _in_range(field, typed, number, unit)
        case "time":
            return _time(field, text)
        case "choice":
            names = [name for name, _ in field.choices]
            if text not in names:
                raise UnknownName(
                    field=field.id,
                    value=typed,
                    message=msg(
                        "{label}: “{text}” is none of {names}.",
                        label=field.label,
                        text=text,
                        names=joined(", ", names),
                    ),
                )
            return text
        case "date":
            return _date(field, text)
        case "point":
            return _point(field, text)
        case "text":
            if len(text) > LONGEST_TEXT:
                raise ValueOutOfRange(
                    field=field.id,
                    value=f"{text[:20]}…",
                    low=0,
                    high=LONGEST_TEXT,
                    unit="characters",
                    message=msg(
                        "{label}: {len} characters are more than {longest_text}.",
                        label=field.label,
                        len=len(text),
                        longest_text=LONGEST_TEXT,
                    ),
                )
            return text


def _point(field: Field[object], text: str) -> str:
    """A point of a picture, as ``x y`` in px from its upper left corner, to a tenth."""
    match = re.fullmatch(r"(\d{1,6}(?:\.\d{1,4})?)[ ,]+(\d{1,6}(?:\.\d{1,4})?)", text)
    if match is None:
        raise UnreadableValue(
            field=field.id,
            value=text,
            unit=field.unit,
            message=msg(
                "{label}: “{text}” is no point. Give x and y in px, as 812.5 344.",
                label=field.label,
                text=text,
            ),
        )
    x, y = (_in_range(field, text, float(part), "mm") for part in match.groups())
    return f"{x:.1f} {y:.1f}"


def _time(field: Field[object], text: str) -> float:
    """A time of day in minutes after midnight: 9, 930, 9:30, 9.30, 9 h 30, 2:15 pm."""
    match = re.fullmatch(
        r"(\d{1,2})(?:(?:\s*[:.h]\s*)?(\d{2}))?\s*h?\s*([ap])?\.?m?\.?", text, re.IGNORECASE
    )
    hour, minute = (int(match[1]), int(match[2] or 0)) if match else (99, 0)
    if match and match[3]:
        hour = hour % 12 + (12 if match[3].lower() == "p" else 0) if 1 <= hour <= 12 else 99
    if hour * 60 + minute > 24 * 60 or minute > 59:
        raise UnreadableValue(
            field=field.id,
            value=text,
            message=msg(
                "{label}: “{text}” is no time of day. Type 0:00 to 24:00, as 9:30.",
                label=field.label,
                text=text,
            ),
        )
    return float(hour * 60 + minute)


def _date(field: Field[object], text: str) -> str:
    if re.fullmatch(r"\d{4}-\d{2}-\d{2}", text):
        try:
            return date.fromisoformat(text).isoformat()
        except ValueError:
            pass
    raise UnreadableValue(
        field=field.id,
        value=text,
        message=msg(
            "{label}: “{text}” is not a date. Type year-month-day, as 2026-12-14.",
            label=field.label,
            text=text,
        ),
    )
