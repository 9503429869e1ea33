"""The small plot of one dimension over a client's visits."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from ..body import ValueSource
from ..language import short_day
from ..units import LengthUnit, format_length
from .marks import Anchor, Mark, Point, number, polyline

WIDTH, HEIGHT = 300.0, 74.0
"""Size of the plot, px."""
LEFT, RIGHT, TOP, BOTTOM = 10.0, 64.0, 12.0, 20.0
LEAST_SPAN_MM = 20.0
"""The plot never shows less than this from bottom to top: a millimetre must not look like a
leap. House value."""


@dataclass(frozen=True, kw_only=True)
class HistoryPoint:
    """One value: day, mm, standard deviation, where it is from."""

    on: date
    mm: float
    sd_mm: float
    source: ValueSource


def history_marks(points: Sequence[HistoryPoint], unit: LengthUnit) -> list[Mark]:
    """Marks of the plot: a bar of two standard deviations either way at each visit.

    Parameters
    ----------
    points : sequence of HistoryPoint
        Two or more, by day.
    unit : {"mm", "cm", "in"}
        For the numbers.

    """
    low = min(point.mm - 2 * point.sd_mm for point in points)
    high = max(point.mm + 2 * point.sd_mm for point in points)
    lack = max(0.0, LEAST_SPAN_MM - (high - low)) / 2
    low, high = low - lack, high + lack
    first, last = points[0].on.toordinal(), points[-1].on.toordinal()
    across, up = WIDTH - LEFT - RIGHT, HEIGHT - TOP - BOTTOM

    def at(point: HistoryPoint) -> tuple[float, float]:
        share = (point.on.toordinal() - first) / max(1, last - first)
        return LEFT + across * share, HEIGHT - BOTTOM - up * (point.mm - low) / (high - low)

    places = [at(point) for point in points]
    floor = HEIGHT - BOTTOM + 4
    marks = [
        Mark(
            kind="path",
            role="leader",
            d=f"M{number(LEFT)} {number(floor)}L{number(WIDTH - RIGHT)} {number(floor)}",
        )
    ]
    for point, (x, y) in zip(points, places, strict=True):
        reach = up * 2 * point.sd_mm / (high - low)
        marks.append(
            Mark(
                kind="path",
                role="spread-bar",
                d=f"M{number(x)} {number(y - reach)}L{number(x)} {number(y + reach)}",
            )
        )
    marks.append(Mark(kind="path", role="history-line", d=polyline(places, closed=False)))
    for point, (x, y) in zip(points, places, strict=True):
        role = "history-dot" if point.source == "measured" else "history-dot-open"
        marks.append(Mark(kind="dot", role=role, x=x, y=y, size=3.4))
    x, y = places[-1]
    marks.append(
        Mark(
            kind="text",
            role="flag-value",
            x=x + 9,
            y=y + 4,
            text=format_length(points[-1].mm, unit),
        )
    )
    ends: tuple[tuple[HistoryPoint, Point, Anchor], ...] = (
        (points[0], places[0], "start"),
        (points[-1], places[-1], "middle"),
    )
    for point, (x, _), anchor in ends:
        marks.append(
            Mark(
                kind="text",
                role="history-day",
                x=x,
                y=HEIGHT - 3,
                text=short_day(point.on),
                anchor=anchor,
            )
        )
    return marks
