"""What all formats share: which entries of a dimension there are, and what is wrong with a line."""

from __future__ import annotations

import re
from datetime import date

from ...core.body import DIMENSIONS
from ...core.errors import FieldError
from ...core.language import msg
from ...core.units import parse_length
from ...services.models import FileRead, MeasurementSheet

READINGS = ("first", "second", "third", "other")
Read = FileRead

ABOUT = ("origin", "taken_on", "taken_by", "with", "skip", "guess", "kept", "kept_at")
"""What is said of a dimension beside its readings: last parts of the paths."""
WHOLE = ("posture", "footwear", "heel", "list")
"""What is said of a visit's readings together."""


DOTTED = re.compile(r"(\d{1,2})\.(\d{1,2})\.(\d{4})")


def mm_of(typed: str) -> float:
    """A kept text's length, mm; kept texts carry their unit. Raises FieldError."""
    return parse_length(typed)


def mm_text(mm: float) -> str:
    """Millimetres as plain text, to a thousandth.

    >>> mm_text(462.0), mm_text(461.9628)
    ('462', '461.963')
    """
    return f"{round(mm, 3):.3f}".rstrip("0").rstrip(".")


def dimensions_in(sheet: MeasurementSheet) -> list[str]:
    """The dimensions a sheet says anything of, in the order of measuring."""
    said = {path.split(".")[1] for path in sheet.entries if path.count(".") == 2}
    return [name for name in DIMENSIONS if name in said]


def day(text: str) -> date | None:
    """A date year-month-day, or day.month.year with points, which nobody writes month first; None for anything else."""
    try:
        if (match := DOTTED.fullmatch(text)) is not None:
            return date(int(match[3]), int(match[2]), int(match[1]))
        return date.fromisoformat(text)
    except ValueError:
        return None


def agreeing(typed: str, value_mm: str) -> tuple[str, str | None]:
    """The text for a reading given as typed, as a number of mm, or both; and what is wrong.

    >>> agreeing("46.2 cm", "462"), agreeing("", "462"), agreeing("46.2 cm", "480")[1] is None
    (('46.2 cm', None), ('462 mm', None), False)
    """
    if not value_mm:
        return typed, None
    try:
        said = float(value_mm)
    except ValueError:
        return "", msg("“{value_mm}” is no number of mm", value_mm=value_mm)
    if not typed:
        return f"{value_mm} mm", None
    try:
        if abs(mm_of(typed) - said) > 0.05:
            return "", msg("typed “{typed}” is not {value_mm} mm", typed=typed, value_mm=value_mm)
    except FieldError as error:
        return "", error.message
    return typed, None
