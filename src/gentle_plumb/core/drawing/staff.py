"""The staff between the figures, and the ground rule along the floor."""

from __future__ import annotations

from math import ceil

from ..units import MM_PER, LengthUnit, format_length
from .lettering import text_width
from .marks import Mark, number

STAFF_W = 34.0
RULE_STEP = 21.0
NUMERAL_ROOM = 8.0
"""Width of the staff and distance between two lines of the ground rule; least
room for a numeral under the staff's top; px."""


def _line(
    role: str, x1: float, y1: float, x2: float, y2: float, part: str = "", posture: str = ""
) -> Mark:
    data = f"M{number(x1)} {number(y1)}L{number(x2)} {number(y2)}"
    return Mark(kind="path", role=role, d=data, part=part, posture=posture)


def ink_staff(
    *, left: float, y0: float, scale: float, top_mm: float, unit: LengthUnit
) -> tuple[Mark, ...]:
    """A graduated upright, floor at zero: marks each cm or half inch, numerals each ten or four.

    ``top_mm`` is where it ends.
    """
    right, middle = left + STAFF_W, left + STAFF_W / 2
    top = y0 - top_mm * scale
    marks = [
        Mark(
            kind="path",
            role="staff",
            d=f"M{number(left)} {number(y0)}L{number(left)} "
            f"{number(top)}L{number(right)} {number(top)}L{number(right)} {number(y0)}Z",
        )
    ]
    step, half, whole = (12.7, 2, 8) if unit == "in" else (10.0, 5, 10)
    ticks: dict[str, list[str]] = {"staff-tick": [], "staff-tick-long": []}
    for index in range(1, ceil(top_mm / step)):
        y = y0 - index * step * scale
        if index % whole == 0 and y - top > NUMERAL_ROOM:
            per = MM_PER[unit]
            marks.append(
                Mark(
                    kind="text",
                    role="staff-numeral",
                    x=middle,
                    y=y + 4,
                    anchor="middle",
                    text=f"{index * step / per:.0f}",
                )
            )
            continue
        length = 8.0 if index % half == 0 else 4.0
        role = "staff-tick-long" if index % half == 0 else "staff-tick"
        ticks[role] += [
            f"M{number(left)} {number(y)}L{number(left + length)} {number(y)}",
            f"M{number(right)} {number(y)}L{number(right - length)} {number(y)}",
        ]
    marks += [Mark(kind="path", role=role, d="".join(data)) for role, data in ticks.items()]
    unit_mark = Mark(
        kind="text", role="staff-unit", x=middle, y=top - 6, anchor="middle", text=unit
    )
    return (*marks, unit_mark)


def ink_rule(
    spans: list[tuple[str, str, float, float, float]],
    *,
    y0: float,
    unit: LengthUnit,
    posture: str,
    ends: tuple[float, float],
) -> list[Mark]:
    """Distances along the floor, one line under the other.

    Parameters
    ----------
    spans : list of (part, words, x1, x2, mm)
        Ends in px, length in mm.
    ends : pair of float
        Where text may begin and must end, px.

    """
    marks: list[Mark] = []
    for index, (part, words, x1, x2, mm) in enumerate(spans):
        y = y0 + 19 + index * RULE_STEP
        left, right = min(x1, x2), max(x1, x2)
        marks.append(_line("rule", left, y, right, y, part, posture))
        marks += [_line("rule", x, y - 5, x, y + 5, part, posture) for x in (left, right)]
        value = format_length(mm, unit, with_unit=True)
        numeral = text_width(value, "rule-value") + 4
        width = numeral + text_width(words, "rule-label")
        if right - left > width + 14:  # room on the line itself
            x = (left + right - width) / 2
            data = f"M{number(x - 6)} {number(y)}L{number(x + width + 6)} {number(y)}"
            marks.append(Mark(kind="path", role="rule-gap", d=data, part=part, posture=posture))
        elif right + 9 + width < ends[1]:
            x = right + 9
        else:
            x = max(ends[0], left - width - 9)
        for role, position, text in (("rule-value", x, value), ("rule-label", x + numeral, words)):
            marks.append(
                Mark(
                    kind="text",
                    role=role,
                    x=position,
                    y=y + 4.5,
                    text=text,
                    part=part,
                    posture=posture,
                )
            )
    return marks
