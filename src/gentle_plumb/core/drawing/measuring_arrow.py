"""The arrow of a dimension and its words."""

from __future__ import annotations

from math import atan2, cos, hypot, pi, sin

from ..body import Dimension
from .marks import Mark, Point, number

LETTER_PX, LINE_PX = 6.7, 18.0
"""What a letter of a landmark's name takes across at the most, and a line of it; px."""
HEAD_PX = 11.0
EXTENSION_PX = 22.0
"""Free edge of the picture, length of an arrow's head, of the lines at its ends; px."""
WING = 0.42
"""Half the opening of an arrow's head, radians."""


def arrow_of(
    entry: Dimension,
    start: Point,
    end: Point,
    *,
    known: bool,
    text: str,
    middle: float,
    width: float,
) -> list[Mark]:
    """The place of the dimension, its landmarks by name, and the arrow over it."""
    angle = atan2(end[1] - start[1], end[0] - start[0])
    across = (-sin(angle) * EXTENSION_PX, cos(angle) * EXTENSION_PX)
    marks = [
        Mark(
            kind="path",
            role="measure-place",
            part=entry.id,
            d=f"M{number(start[0])} {number(start[1])}L{number(end[0])} {number(end[1])}",
        )
    ]
    for x, y in (start, end):
        marks.append(
            Mark(
                kind="path",
                role="measure-end",
                part=entry.id,
                d=f"M{number(x - across[0])} {number(y - across[1])}"
                f"L{number(x + across[0])} {number(y + across[1])}",
            )
        )
    tip = end if known else start
    marks.append(
        Mark(
            kind="path",
            role="measure-arrow",
            part=entry.id,
            d=f"M{number(start[0])} {number(start[1])}L{number(tip[0])} {number(tip[1])}",
        )
    )
    for x, y, turn in ((*start, angle), (*tip, angle + pi)):
        a, b = (
            (x + HEAD_PX * cos(turn + wing), y + HEAD_PX * sin(turn + wing))
            for wing in (WING, -WING)
        )
        marks.append(
            Mark(
                kind="path",
                role="measure-head" if known else "measure-head-open",
                part=entry.id,
                d=f"M{number(a[0])} {number(a[1])}L{number(x)} {number(y)}"
                f"L{number(b[0])} {number(b[1])}",
            )
        )
    upright = abs(sin(angle)) > 0.7
    right = start[0] >= middle - 1
    marks += _words(entry, start, end, upright=upright, right=right, width=width)
    if text:
        x, y = (start[0] + end[0]) / 2, (start[1] + end[1]) / 2
        near = hypot(end[0] - start[0], end[1] - start[1]) < 60
        aside = (EXTENSION_PX + 8) * (1 if right else -1)
        shift = (aside, 5.0) if upright else (0.0, -14.0 if not near else 34.0)
        marks.append(
            Mark(
                kind="text",
                role="measure-value",
                x=x + shift[0],
                y=y + shift[1],
                text=text,
                part=entry.id,
                anchor="middle" if not upright else "start" if right else "end",
            )
        )
    return marks


def _words(
    entry: Dimension, start: Point, end: Point, *, upright: bool, right: bool, width: float
) -> list[Mark]:
    """The landmarks' names beside the ends, away from the figure; for a breadth outwards.

    A name that would leave the sheet is moved in; one that would then meet the other goes lower.
    """
    marks: list[Mark] = []
    taken: list[tuple[float, float, float]] = []
    for point, words, first in ((start, entry.start, True), (end, entry.end, False)):
        long = LETTER_PX * len(words)
        if upright:
            left = point[0] + EXTENSION_PX + 8 if right else point[0] - EXTENSION_PX - 8 - long
            y = point[1] + (16 if point[1] >= max(start[1], end[1]) else -8)
        else:
            outwards = point[0] - long if first else point[0]
            left = point[0] - long / 2 if entry.view == "side" else outwards
            y = point[1] + EXTENSION_PX + 18
        left = max(6.0, min(left, width - 6.0 - long))
        while any(
            abs(y - other) < LINE_PX and left < high and low < left + long
            for low, high, other in taken
        ):
            y += LINE_PX
        taken.append((left, left + long, y))
        marks.append(
            Mark(kind="text", role="measure-landmark", x=left, y=y, text=words, part=entry.id)
        )
    return marks
