"""Places for words among lines and pieces: the first that covers nothing and no other word."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from itertools import pairwise

from ..tolerances import ROUNDING
from .lettering import text_box
from .marks import Anchor, Mark, Point

Box = tuple[float, float, float, float]
Candidate = tuple[float, float, Anchor]
"""Where a word's base line may begin, stand in the middle of, or end, px."""
AIR_PX = 2.0
"""Least air around a word, px."""


def crosses(start: Point, end: Point, box: Box) -> bool:
    """Return whether a line runs through a box.

    >>> crosses((0, 0), (10, 10), (4, 4, 6, 6)), crosses((0, 0), (10, 0), (4, 4, 6, 6))
    (True, False)
    """
    low, high = 0.0, 1.0
    for a, b, near, far in ((start[0], end[0], box[0], box[2]), (start[1], end[1], box[1], box[3])):
        if abs(b - a) < ROUNDING:
            if not near < a < far:
                return False
            continue
        ends = sorted(((near - a) / (b - a), (far - a) / (b - a)))
        low, high = max(low, ends[0]), min(high, ends[1])
    return low < high


def apart(values: Box, other: Box) -> bool:
    """Return whether two boxes share nothing."""
    return (
        values[2] <= other[0]
        or other[2] <= values[0]
        or values[3] <= other[1]
        or other[3] <= values[1]
    )


class LabelPlaces:
    """Keeps what is drawn, and finds words their places in the order in which they are asked for."""

    def __init__(self, room: Box) -> None:
        self.room = room
        self.marks: list[Mark] = []
        self._lines: list[tuple[Point, Point]] = []
        self._closed: list[Box] = []
        self._taken: list[Box] = []

    def avoid(self, points: Sequence[Point], *, closed: bool) -> None:
        """Keep words off these lines, and out of what they enclose."""
        self._lines += pairwise(points)
        if closed:
            self._lines.append((points[-1], points[0]))
            xs, ys = zip(*points, strict=True)
            self._closed.append((min(xs), min(ys), max(xs), max(ys)))

    def clear(self, box: Box) -> bool:
        """Return whether a box covers nothing and stays in the room."""
        wide = (box[0] - AIR_PX, box[1] - AIR_PX, box[2] + AIR_PX, box[3] + AIR_PX)
        left, top, right, bottom = self.room
        if wide[0] < left or wide[1] < top or wide[2] > right or wide[3] > bottom:
            return False
        if not all(apart(wide, values) for values in (*self._taken, *self._closed)):
            return False
        return not any(crosses(start, end, wide) for start, end in self._lines)

    def put(self, text: str, role: str, candidates: Iterable[Candidate], part: str = "") -> bool:
        """Write a word at the first place that is clear; False, and nothing written, without one."""
        for x, y, anchor in candidates:
            box = text_box(text, role, x, y, anchor)
            if self.clear(box):
                self._taken.append(box)
                self.marks.append(
                    Mark(
                        kind="text",
                        role=role,
                        x=x,
                        y=y,
                        text=text,
                        anchor=anchor,
                        part=part,
                        posture="plan",
                    )
                )
                return True
        return False
