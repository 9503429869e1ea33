"""Numbers with their units: the one place where lengths, angles, shares and minutes are said."""

from __future__ import annotations

from math import floor

from ..catalogue import JOINTS, Quantity
from ..language import filled, numeral
from ..units import NO_BREAK, LengthUnit, format_difference, format_length
from .messages import say


def with_unit(number: str, unit: str) -> str:
    r"""Return a finished number with its unit: no space before a degree sign, an unbreaking one else.

    >>> with_unit("46.2", "cm"), with_unit("95", "°"), with_unit("7", "")
    ('46.2\xa0cm', '95°', '7')

    """
    between = "" if unit in ("°", "") else NO_BREAK
    return filled("{number}{between}{unit}", number=numeral(number), between=between, unit=unit)


def say_length(value_mm: float, unit: LengthUnit) -> str:
    r"""Return a length with its unit.

    >>> say_length(462.04, "cm")
    '46.2\xa0cm'

    """
    return format_length(value_mm, unit, with_unit=True)


def say_degrees(value: float, digits: int = 0) -> str:
    """Return degrees with their sign, never minus nought.

    >>> say_degrees(-4.6), say_degrees(-0.04, 1)
    ('−5°', '0.0°')

    """
    text = f"{abs(value):.{digits}f}"
    return numeral(f"{'−' if value < 0 and float(text) else ''}{text}°")


def bare_degrees(value: float, digits: int = 0) -> str:
    """Return degrees without their sign.

    >>> bare_degrees(-4.6)
    '−5'

    """
    return numeral(str(say_degrees(value, digits)).removesuffix("°"))


def say_percent(value: float) -> str:
    r"""Return a whole per cent.

    >>> say_percent(125.0)
    '125\xa0%'

    """
    return f"{value:.0f}{NO_BREAK}%"


def say_minutes(minutes: float) -> str:
    r"""Return strain minutes, halves up; less than none is a true minus.

    >>> say_minutes(178.5), say_minutes(-2.2)
    ('179\xa0min', '−2\xa0min')

    """
    whole = floor(abs(minutes) + 0.5)
    return f"{'−' if minutes < 0 and whole else ''}{whole}{NO_BREAK}min"


def say_amount(quantity: Quantity, value: float, unit: LengthUnit) -> str:
    """Return a value of a quantity with its unit.

    Parameters
    ----------
    quantity : Quantity
    value : float
        mm, degrees or per cent, as the quantity says.
    unit : {"mm", "cm", "in"}
        For lengths.

    """
    if quantity.unit == "mm":
        return say_length(value, unit)
    return say_degrees(value) if quantity.unit == "deg" else say_percent(value)


def bare_amount(quantity: Quantity, value: float, unit: LengthUnit) -> str:
    """Return a value of a quantity without its unit."""
    if quantity.unit == "mm":
        return format_length(value, unit)
    return bare_degrees(value) if quantity.unit == "deg" else f"{value:.0f}"


def unit_of(quantity: Quantity, unit: LengthUnit) -> str:
    """Return the unit that a quantity is shown in: ``cm``, ``°`` or ``%``."""
    return {"mm": unit, "deg": "°", "%": "%"}[quantity.unit]


def say_change(quantity: Quantity, change: float, unit: LengthUnit) -> str:
    """Return a change with its direction, without its unit: ``up 2.0``; ``0`` for none.

    Parameters
    ----------
    quantity : Quantity
    change : float
        Signed, in the quantity's unit.
    unit : {"mm", "cm", "in"}

    """
    if quantity.unit == "mm":
        return format_difference(change, unit, up=quantity.up, down=quantity.down)
    size = f"{abs(change):.0f}"
    if size == "0":
        return "0"
    return filled("{way} {by}", way=quantity.up if change > 0 else quantity.down, by=size)


def say_joint(joint: str, angle: float, digits: int = 0) -> str:
    """Return a joint's angle by the field's term: flexion where extension would be negative.

    >>> say_joint("wrist", -28.0), say_joint("elbow", 95.2, 1)
    ('Wrist flexion 28°', 'Elbow angle 95.2°')

    """
    name = JOINTS[joint]
    if name.negative and angle < 0 and float(f"{angle:.{digits}f}"):
        return filled("{joint} {angle}", joint=name.negative, angle=say_degrees(-angle, digits))
    return filled("{joint} {angle}", joint=name.label, angle=say_degrees(angle, digits))


def say_addition(label: str, ends: tuple[float, float] | None, unit: LengthUnit) -> str:
    r"""Return what is added, with the range it is offered in, mm.

    >>> say_addition("Footrest", (60, 150), "cm")
    'Footrest, 6.0 to 15.0\xa0cm'

    """
    if ends is None:
        return label
    low, high = ends
    return say(
        "addition.range", label=label, low=format_length(low, unit), high=say_length(high, unit)
    )
