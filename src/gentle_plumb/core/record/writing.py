"""Writing a value as it would be typed, so that it reads back as the same."""

from __future__ import annotations

from .fields import Field


def typed_of(field: Field[object], value: float | str) -> str:
    """Return a value as it would be typed, with its unit where it has one.

    Lengths in mm to a ten-thousandth, times of day as on a clock, anything else as it is.
    """
    if isinstance(value, str):
        return value
    if field.kind == "length":
        return f"{value:.4f}".rstrip("0").rstrip(".") + " mm"
    if field.kind == "time":
        return f"{round(value) // 60}:{round(value) % 60:02d}"
    return f"{value:.10g}"
