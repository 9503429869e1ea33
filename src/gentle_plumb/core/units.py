"""Lengths as people type them, and as they are shown. Millimetres inside.

Every length that enters goes through :func:`parse_length`, every length that is shown
through :func:`format_length`; nothing else converts or rounds.
"""

from __future__ import annotations

import re
from typing import Literal, get_args

from .errors import UnreadableValue
from .language import filled, msg, numeral

LengthUnit = Literal["mm", "cm", "in"]
UNITS: tuple[LengthUnit, ...] = get_args(LengthUnit)

MM_PER: dict[str, float] = {"mm": 1.0, "cm": 10.0, "m": 1000.0, "in": 25.4, "ft": 304.8}
_NAMES = {
    '"': "in",
    "″": "in",
    "”": "in",
    "in": "in",
    "inch": "in",
    "inches": "in",
    "'": "ft",
    "′": "ft",
    "’": "ft",
    "ft": "ft",
    "foot": "ft",
    "feet": "ft",
    "mm": "mm",
    "cm": "cm",
    "m": "m",
}
_VULGAR = {"½": "1/2", "¼": "1/4", "¾": "3/4", "⅛": "1/8", "⅜": "3/8", "⅝": "5/8", "⅞": "7/8"}
_AMOUNT = r"(?:\d+\s+\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?|[.,]\d+)"
_PART = re.compile(rf"\s*({_AMOUNT})\s*([a-z]+|[\"'″′”’])?\.?\s*")
_DOUBLE_PRIME = re.compile(r"''|’’|′′|‘‘|´´|``")
"""Inches typed as two single marks. They read as one double mark."""
_BETWEEN = re.compile(r"(?<=[a-z.\"'″′”’])\s*(?:,|-|&|\band\b)\s*(?=\d)")
"""What people put between feet and inches, after the first unit."""


def _amount(text: str) -> float:
    whole, _, fraction = text.rpartition(" ")
    if "/" in fraction:
        top, bottom = fraction.split("/")
        if int(bottom) == 0:
            raise ZeroDivisionError
        return (float(whole) if whole.strip() else 0.0) + int(top) / int(bottom)
    return float(text.replace(",", "."))


def parse_length(text: str, *, default: LengthUnit = "cm", field: str = "length") -> float:
    r"""Read a length in any unit a tape shows.

    Parameters
    ----------
    text : str
        For example ``46.2``, ``462mm``, ``46,2 cm``, ``18 3/16 in``, ``1'6"``, ``5'9''``,
        ``5 feet and 8 inches``, ``-3 mm``.
    default : {"mm", "cm", "in"}
        Unit of a bare number.
    field : str
        Named in the error.

    Returns
    -------
    float
        Millimetres.

    Raises
    ------
    UnreadableValue
        If it is no length.

    Examples
    --------
    >>> parse_length("46,2 cm"), parse_length("462mm"), parse_length("46.2")
    (462.0, 462.0, 462.0)
    >>> round(parse_length("18 3/16 in"), 4), round(parse_length("1'6\""), 4)
    (461.9625, 457.2)
    >>> round(parse_length("5'9''")), round(parse_length("5 feet and 8 inches"))
    (1753, 1727)

    """
    cleaned = _DOUBLE_PRIME.sub('"', text.strip().lower())
    for sign, fraction in _VULGAR.items():
        cleaned = cleaned.replace(sign, f" {fraction}")
    negative = cleaned.startswith(("-", "−"))
    cleaned = _BETWEEN.sub(" ", cleaned.lstrip("-−+").strip())
    bad = UnreadableValue(
        field=field,
        value=text,
        unit=default,
        message=msg(
            "“{text}” is not a length. Type for example 46.2, 462 mm or 18 3/16 in.",
            text=text.strip(),
        ),
    )
    parts: list[tuple[float, str | None]] = []
    position = 0
    while position < len(cleaned):
        match = _PART.match(cleaned, position)
        if match is None or match.end() == position:
            raise bad
        unit = match.group(2)
        if unit is not None and unit not in _NAMES:
            raise bad
        try:
            parts.append((_amount(match.group(1)), _NAMES[unit] if unit else None))
        except (ValueError, ZeroDivisionError):
            raise bad from None
        position = match.end()
    match parts:
        case [(amount, None)]:
            total = amount * MM_PER[default]
        case [(amount, str(name))]:
            total = amount * MM_PER[name]
        case [(feet, "ft"), (inches, "in" | None)] if inches < 12:
            total = feet * MM_PER["ft"] + inches * MM_PER["in"]
        case _:
            raise bad
    if total > 1e6:
        raise bad
    return -total if negative else total


_BARE = re.compile(r"(\d+)(?:([.,])(\d+))?\s*(mm|cm|m|in|ft|\"|')?")
_TWO_BARE = re.compile(r"(\d+)[ \-.,](\d{1,2})(?:\s*(?:ft|'))?")


def other_readings(text: str) -> list[str]:
    """What else a typed length may have meant, each as a text that can't be misread.

    A number without a unit may be in any of them; a comma or point before three digits may part
    thousands; two bare numbers may be feet and inches; a fraction without a unit is an inch's.
    The most usual meaning first; a length that can't be misread has none.

    Examples
    --------
    >>> other_readings("462")
    ['462 mm', '462 cm', '462 in']
    >>> other_readings("1,750 mm"), other_readings("5 10"), other_readings("46.2 cm")
    (['1750 mm'], ['5 ft 10 in'], [])

    """
    cleaned = text.strip().lower()
    texts: list[str] = []
    if re.fullmatch(r"\d+\s+\d+/\d+|\d+/\d+", cleaned):
        texts.append(f"{cleaned} in")
    bare = _BARE.fullmatch(cleaned)
    if bare is not None:
        whole, mark, rest, unit = bare.groups()
        if mark and len(rest) == 3 and len(whole) <= 2:
            texts += [f"{whole}{rest} {unit}"] if unit else [f"{whole}{rest} mm"]
        if unit is None:
            decimal = f"{whole}.{rest}" if rest else whole
            texts += [f"{decimal} {name}" for name in ("mm", "cm", "in")]
            if mark:
                texts.append(f"{decimal} m")
    two = _TWO_BARE.fullmatch(cleaned)
    if two is not None and int(two[1]) < 9 and int(two[2]) < 12:
        texts.append(f"{int(two[1])} ft {int(two[2])} in")
    return texts


def in_other_units(text: str) -> list[str]:
    """The same number in the other units: for a length whose unit was typed wrong.

    >>> in_other_units("462 cm")
    ['462 mm', '462 in']
    """
    bare = _BARE.fullmatch(text.strip().lower())
    if bare is None or bare[4] is None:
        return []
    amount = f"{bare[1]}.{bare[3]}" if bare[3] else bare[1]
    return [f"{amount} {unit}" for unit in ("mm", "cm", "in") if unit != _NAMES[bare[4]]]


def parse_number(text: str, *, field: str, what: str, unit: str) -> float:
    """Read a plain decimal number, with point or comma.

    Raises
    ------
    UnreadableValue
        Naming ``what`` was expected.

    """
    cleaned = re.sub(rf"\s*({re.escape(unit)}|°|h)?\s*$", "", text.strip().lower())
    if not re.fullmatch(r"[-+−]?(\d{1,10}([.,]\d*)?|[.,]\d+)", cleaned):
        raise UnreadableValue(
            field=field,
            value=text,
            unit=unit,
            message=msg("“{text}” is not {what}.", text=text.strip(), what=what),
        )
    return float(cleaned.replace(",", ".").replace("−", "-"))


NO_BREAK = "\u00a0"
"""Between a number and its unit, so that no line ends between them."""
_DECIMALS: dict[LengthUnit, int] = {"mm": 0, "cm": 1, "in": 2}


def _rounded(value_mm: float, unit: LengthUnit) -> str:
    text = f"{value_mm / MM_PER[unit]:.{_DECIMALS[unit]}f}"
    return text[1:] if text.startswith("-") and float(text) == 0 else text


def format_length(value_mm: float, unit: LengthUnit, *, with_unit: bool = False) -> str:
    r"""Show a length: whole millimetres, tenths of a centimetre, hundredths of an inch.

    Examples
    --------
    >>> format_length(462.04, "cm"), format_length(462.04, "in", with_unit=True)
    ('46.2', '18.19\xa0in')

    """
    text = _rounded(value_mm, unit).replace("-", "−")
    return numeral(f"{text}{NO_BREAK}{unit}" if with_unit else text)


def fine_length(value_mm: float, unit: LengthUnit) -> str:
    """Show a small length to a tenth of a millimetre or its like: errors, not heights.

    >>> fine_length(3.61, "mm"), fine_length(3.61, "cm"), fine_length(3.61, "in")
    ('3.6', '0.36', '0.142')
    """
    if value_mm == float("inf"):
        return msg("open")
    return numeral(f"{value_mm / MM_PER[unit]:.{ {'mm': 1, 'cm': 2, 'in': 3}[unit] }f}")


def format_difference(value_mm: float, unit: LengthUnit, *, up: str, down: str) -> str:
    """Show a signed difference in words, such as ``up 4.0`` or ``nearer 3.5``.

    Examples
    --------
    >>> format_difference(-35, "cm", up="up", down="down")
    'down 3.5'

    """
    text = _rounded(abs(value_mm), unit)
    if float(text) == 0:
        return numeral(text)
    return filled("{way} {by}", way=up if value_mm > 0 else down, by=numeral(text))
