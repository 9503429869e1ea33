"""Both ends of a range, typed one by one: the lowest never above the highest."""

from __future__ import annotations

from ..errors import ValueOutOfRange
from ..language import msg
from ..units import LengthUnit, format_length
from .fields import Field
from .reading import named

LOWEST, HIGHEST = "_min", "_max"
"""What the paths of a range's ends end with."""


def other_end(path: str) -> str | None:
    """The path of the other end of a range; None for what is no end of one.

    >>> other_end("look.chair.seat_min"), other_end("look.found.seat")
    ('look.chair.seat_max', None)

    """
    for mine, other in ((LOWEST, HIGHEST), (HIGHEST, LOWEST)):
        if path.endswith(mine):
            return path.removesuffix(mine) + other
    return None


def check_range(
    field: Field[object], typed: str, value: object, other: object, *, unit: LengthUnit = "cm"
) -> None:
    """Refuse an end of a range that lies beyond the other end; one alone is a fixed piece.

    Parameters
    ----------
    field : Field
        Of the end that was typed.
    typed : str
        As typed.
    value, other : float or None
        What was read, and what the other end holds; in the field's unit, mm for a length.
    unit : {"mm", "cm", "in"}
        For the error's lengths.

    Raises
    ------
    ValueOutOfRange
        Naming both ends.

    """
    if not isinstance(value, int | float) or not isinstance(other, int | float):
        return
    lowest = field.id.endswith(LOWEST)
    if (value <= other) if lowest else (value >= other):
        return

    def shown(amount: float) -> str:
        if field.kind == "length":
            return format_length(amount, unit, with_unit=True)
        return f"{amount:g} {field.unit}".strip()

    sides = (msg("above the highest"), "highest") if lowest else (msg("below the lowest"), "lowest")
    raise ValueOutOfRange(
        field=field.id,
        value=typed,
        low=None if lowest else other,
        high=other if lowest else None,
        unit="mm" if field.kind == "length" else field.unit,
        message=msg(
            "{named}: {shown} is {sides}, {shown2}. Correct the {sides2} first where that is wrong.",
            named=named(field),
            shown=shown(value),
            sides=sides[0],
            shown2=shown(other),
            sides2=sides[1],
        ),
    )
