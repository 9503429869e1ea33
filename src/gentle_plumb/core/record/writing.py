"""Writing a value as it would be typed, so that it reads back as the same."""

from __future__ import annotations

from ..language import filled, numeral
from ..units import LengthUnit
from .fields import Field


def as_kept(kind: str, typed: str, unit: LengthUnit) -> str:
    """Return typed text as it is kept: trimmed, and a bare length with the unit it was typed in.

    >>> as_kept("length", " 46,5 ", "cm"), as_kept("length", "5'9", "cm"), as_kept("number", "3", "cm")
    ('46,5 cm', "5'9", '3')
    """
    clean = typed.strip()
    bare = kind == "length" and clean[-1:].isdigit() and "'" not in clean
    return f"{clean} {unit}" if bare else clean


def typed_of(field: Field[object], value: float | str) -> str:
    """Return a value as it would be typed, with its unit where it has one.

    Lengths in mm to a ten-thousandth, times of day as on a clock, anything else as it is.
    """
    if isinstance(value, str):
        return value
    if field.kind == "length":
        return f"{value:.4f}".rstrip("0").rstrip(".") + " mm"
    if field.kind == "time":
        return filled(
            "{round}:{round2}", round=round(value) // 60, round2=numeral(f"{round(value) % 60:02d}")
        )
    return f"{value:.10g}"
