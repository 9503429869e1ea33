"""Marks: the smallest things a drawing is made of, in pixels, and the sheet that places them."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from math import acos, atan2, cos, hypot, pi, sin
from typing import Literal

Point = tuple[float, float]
Anchor = Literal["start", "middle", "end"]


@dataclass(frozen=True, kw_only=True)
class Mark:
    """A path, a text or a dot.

    ``role`` names how it is inked (the page and the report each map roles to strokes and
    fills); ``part`` links it to a field. ``x``, ``y`` and ``size`` in pixels;
    ``value`` is what a grip is turned to, degrees.
    """

    kind: Literal["path", "text", "dot"]
    role: str
    d: str = ""
    x: float = 0.0
    y: float = 0.0
    size: float = 0.0
    text: str = ""
    anchor: Anchor = "start"
    part: str = ""
    posture: str = ""
    value: float | None = None


@dataclass(frozen=True, kw_only=True)
class Grip:
    """A ring to turn a part by.

    Turning it by a degree, counter-clockwise around its centre, turns the field by ``sign`` degrees.

    Attributes
    ----------
    field : str
        What is tried by it.
    degrees : float
        Its angle now.
    x, y, centre_x, centre_y : float
        The ring and what it turns about, px.
    sign : {1, -1}

    """

    field: str
    label: str
    posture: str
    degrees: float
    x: float
    y: float
    centre_x: float
    centre_y: float
    sign: int


@dataclass(frozen=True, kw_only=True)
class Scene:
    """A finished drawing, ``width`` by ``height`` pixels.

    ``plan_px_per_mm`` is the plan's own scale, negative where the mouse lies to the left; None
    where no plan is drawn. ``grips`` are the rings that parts can be turned by, where asked for.
    """

    width: float
    height: float
    px_per_mm: float
    marks: tuple[Mark, ...]
    plan_px_per_mm: float | None = None
    grips: tuple[Grip, ...] = ()


@dataclass(frozen=True, kw_only=True)
class Sheet:
    """From millimetres to pixels: origin on the floor line, ``facing`` 1 to the right, -1 left."""

    x0: float
    y0: float
    scale: float
    facing: int = 1

    def at(self, point: Point) -> Point:
        """A point in mm as pixels."""
        return (self.x0 + self.facing * self.scale * point[0], self.y0 - self.scale * point[1])


def number(value: float) -> str:
    """A pixel coordinate, to a tenth."""
    return "%.1f" % value  # noqa: UP031  # thousands a drawing: the quickest way


def polyline(points: Sequence[Point], *, closed: bool) -> str:
    """SVG path data of straight lines."""
    steps = " L".join(["%.1f %.1f" % point for point in points])  # noqa: UP031  # the quickest way
    return f"M{steps}{'Z' if closed else ''}"


def smooth(points: Sequence[Point], *, closed: bool = True) -> str:
    """SVG path data of a curve through all points (Catmull-Rom as cubic Béziers)."""
    count = len(points)
    data = ["M%.1f %.1f" % points[0]]  # noqa: UP031  # the quickest way
    last = count if closed else count - 1
    for i in range(last):
        x0, y0 = points[i - 1 if closed or i else i]
        x1, y1 = points[i]
        x2, y2 = points[(i + 1) % count]
        x3, y3 = points[(i + 2) % count] if closed or i + 2 < count else (x2, y2)
        data.append(
            "C%.1f %.1f %.1f %.1f %.1f %.1f"  # noqa: UP031  # the quickest way
            % (
                x1 + (x2 - x0) / 6,
                y1 + (y2 - y0) / 6,
                x2 - (x3 - x1) / 6,
                y2 - (y3 - y1) / 6,
                x2,
                y2,
            )
        )
    return "".join(data) + ("Z" if closed else "")


def tapered(start: Point, start_r: float, end: Point, end_r: float) -> list[Point]:
    """Outline of a limb: two circles and their outer tangents, as points, mm."""
    dx, dy = end[0] - start[0], end[1] - start[1]
    length = hypot(dx, dy) or 1e-6
    axis = atan2(dy, dx)
    lean = max(-1.0, min(1.0, (start_r - end_r) / length))
    half = acos(lean)
    outline: list[Point] = []
    for centre, r, low, high in ((end, end_r, -half, half), (start, start_r, half, 2 * pi - half)):
        for k in range(9):
            angle = axis + low + (high - low) * k / 8
            outline.append((centre[0] + r * cos(angle), centre[1] + r * sin(angle)))
    return outline


def arc(centre: Point, radius: float, start: float, end: float) -> list[Point]:
    """Points of an arc, angles in radians, mm."""
    steps = max(4, round(abs(end - start) / 0.12))
    return [
        (centre[0] + radius * cos(a), centre[1] + radius * sin(a))
        for a in (start + (end - start) * k / steps for k in range(steps + 1))
    ]


def box(left: float, bottom: float, right: float, top: float) -> list[Point]:
    """A rectangle's corners."""
    return [(left, bottom), (right, bottom), (right, top), (left, top)]
