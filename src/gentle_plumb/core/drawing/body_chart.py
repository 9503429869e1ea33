"""The body, front and back, that discomfort is marked on: an outline around the regions.

Drawn in the map's own units (200 by 440, y down); the regions lie on it as they are listed.
"""

from __future__ import annotations

from itertools import pairwise

from ..intake import MAP_W
from .marks import Mark, Point, polyline, smooth, tapered

_TRUNK = (
    (100, 70),
    (84, 76),
    (66, 80),
    (57, 92),
    (66, 112),
    (71, 140),
    (74, 160),
    (69, 185),
    (65, 208),
    (80, 222),
    (100, 218),
)
"""Outline of the trunk's left half in the picture, from the neck down."""
_ARM = ((65, 91, 12), (51, 150, 9), (38, 202, 6.5), (31, 226, 9))
_LEG = ((84, 208, 18), (79, 306, 12), (77, 398, 8))
_HEAD = ((100, 10), (116, 16), (119, 34), (114, 52), (100, 60), (86, 52), (81, 34), (84, 16))
_FOOT = ((66, 404), (88, 404), (87, 424), (80, 435), (68, 435), (62, 424))


def _mirrored(points: list[Point]) -> list[Point]:
    return [(MAP_W - x, y) for x, y in points][::-1]


def _parts() -> list[tuple[list[Point], bool]]:
    half: list[Point] = [(float(x), float(y)) for x, y in _TRUNK]
    trunk = half + _mirrored(half)[1:-1]
    parts: list[tuple[list[Point], bool]] = [
        (trunk, True),
        ([(float(x), float(y)) for x, y in _HEAD], True),
        (tapered((100.0, 52.0), 10.0, (100.0, 80.0), 14.0), False),
    ]
    for chain in (_ARM, _LEG):
        for (x1, y1, r1), (x2, y2, r2) in pairwise(chain):
            limb = tapered((x1, y1), r1, (x2, y2), r2)
            parts += [(limb, False), (_mirrored(limb), False)]
    foot: list[Point] = [(float(x), float(y)) for x, y in _FOOT]
    return [*parts, (foot, True), (_mirrored(foot), True)]


def _turned(points: list[Point]) -> list[Point]:
    """In one turning sense, so that overlapping parts fill and never cut holes."""
    area = sum(
        x1 * y2 - x2 * y1
        for (x1, y1), (x2, y2) in zip(points, [*points[1:], points[0]], strict=True)
    )
    return points if area > 0 else points[::-1]


def body_chart() -> tuple[Mark, ...]:
    """Marks of the outline, the same from the front and from behind.

    >>> [mark.role for mark in body_chart()]
    ['figure-line', 'figure-fill']

    """
    data = "".join(
        smooth(_turned(points)) if curved else polyline(_turned(points), closed=True)
        for points, curved in _parts()
    )
    return tuple(Mark(kind="path", role=role, d=data) for role in ("figure-line", "figure-fill"))
