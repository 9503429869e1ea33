"""What is read from landmarks in the body's plane: plumb offsets, joint angles, gaze.

Points are mm in the client's plane, x forward (from behind: to the client's right), y up. Angles
in degrees. Signs::

    neck   line from the seventh vertebra to the ear, from plumb, forward positive
    trunk  line from hip to shoulder, from plumb, forward positive, reclined negative
    elbow, hip, knee   the included angle, straight is 180
    wrist  hand against the forearm, bent back positive, straight is 0
    gaze   line from the eye, from level, up positive
"""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass
from math import atan2, degrees, hypot
from typing import Literal

from ..language import msg
from .landmarks import View

Point = tuple[float, float]
Points = Mapping[str, Point]


@dataclass(frozen=True, kw_only=True)
class Measure:
    """One thing read: from which landmarks, and how."""

    id: str
    label: str
    unit: Literal["mm", "deg"]
    view: View
    points: tuple[str, ...]
    read: Callable[[Points], float]
    joint: str = ""
    standing_only: bool = False
    plumb: bool = True


def from_plumb(low: Point, high: Point) -> float:
    """Angle of a line from plumb, towards positive x positive, degrees.

    >>> round(from_plumb((0, 0), (100, 100)), 1)
    45.0
    """
    return degrees(atan2(high[0] - low[0], high[1] - low[1]))


def from_level(start: Point, end: Point) -> float:
    """Angle of a line from level, up positive, degrees.

    >>> round(from_level((0, 0), (100, -100)), 1)
    -45.0
    """
    return degrees(atan2(end[1] - start[1], end[0] - start[0]))


def included(values: Point, corner: Point, other: Point) -> float:
    """The angle at a corner, 0 to 180 degrees.

    >>> round(included((0, 10), (0, 0), (10, 0)), 1)
    90.0
    """
    a = (values[0] - corner[0], values[1] - corner[1])
    b = (other[0] - corner[0], other[1] - corner[1])
    cross, dot = a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]
    return degrees(atan2(abs(cross), dot)) if hypot(cross, dot) > 0 else 0.0


def bent_back(elbow: Point, wrist: Point, knuckle: Point) -> float:
    """How far the hand is bent back against the forearm, degrees, -180 to 180.

    >>> round(bent_back((0, 0), (100, 0), (200, 50)), 1)
    26.6
    """
    turn = from_level(wrist, knuckle) - from_level(elbow, wrist)
    return (turn + 180.0) % 360.0 - 180.0


def _side(
    id: str,
    label: str,
    unit: Literal["mm", "deg"],
    points: str,
    read: Callable[..., float],
    joint: str = "",
    standing_only: bool = False,
    plumb: bool = True,
) -> Measure:
    names = tuple(points.split())
    return Measure(
        id=id,
        label=label,
        unit=unit,
        view="side",
        points=names,
        read=lambda all_values: read(*(all_values[name] for name in names)),
        joint=joint,
        standing_only=standing_only,
        plumb=plumb,
    )


def _rear(
    id: str, label: str, unit: Literal["mm", "deg"], points: str, read: Callable[..., float]
) -> Measure:
    names = tuple(points.split())
    return Measure(
        id=id,
        label=label,
        unit=unit,
        view="rear",
        points=names,
        read=lambda all_values: read(*(all_values[name] for name in names)),
    )


def _ahead(of: Point, what: Point) -> float:
    return what[0] - of[0]


MEASURES: tuple[Measure, ...] = (
    _side("ear_shoulder", msg("Ear forward of the shoulder"), "mm", "shoulder ear", _ahead),
    _side("shoulder_hip", msg("Shoulder ahead of the hip"), "mm", "hip shoulder", _ahead),
    _side(
        "hip_ankle", msg("Hip ahead of the ankle"), "mm", "ankle hip", _ahead, standing_only=True
    ),
    _side("neck", msg("Neck angle"), "deg", "c7 ear", from_plumb, joint="neck"),
    _side("trunk", msg("Trunk lean"), "deg", "hip shoulder", from_plumb, joint="trunk"),
    _side(
        "elbow", msg("Elbow"), "deg", "shoulder elbow wrist", included, joint="elbow", plumb=False
    ),
    _side(
        "wrist",
        msg("Wrist extended"),
        "deg",
        "elbow wrist knuckle",
        bent_back,
        joint="wrist",
        plumb=False,
    ),
    _side("hip", msg("Hip"), "deg", "shoulder hip knee", included, joint="hip", plumb=False),
    _side("knee", msg("Knee"), "deg", "hip knee ankle", included, joint="knee", plumb=False),
    _side("gaze_top", msg("Gaze angle to top of screen"), "deg", "eye screen_top", from_level),
    _side(
        "gaze_bottom", msg("Gaze angle to bottom of screen"), "deg", "eye screen_bottom", from_level
    ),
    _rear(
        "shoulder_line",
        msg("Right shoulder lower"),
        "deg",
        "shoulder_left shoulder_right",
        lambda left, right: -from_level(left, right),
    ),
    _rear(
        "hip_line",
        msg("Right hip lower"),
        "deg",
        "hip_left hip_right",
        lambda left, right: -from_level(left, right),
    ),
    _rear(
        "lean",
        msg("Neck to the right of the hips"),
        "mm",
        "c7 hip_left hip_right",
        lambda c7, left, right: c7[0] - (left[0] + right[0]) / 2,
    ),
    _rear(
        "arm_left",
        msg("Left upper arm outwards"),
        "deg",
        "shoulder_left elbow_left",
        lambda shoulder, elbow: from_plumb(elbow, shoulder),
    ),
    _rear(
        "arm_right",
        msg("Right upper arm out to the side"),
        "deg",
        "shoulder_right elbow_right",
        lambda shoulder, elbow: -from_plumb(elbow, shoulder),
    ),
)
"""All that can be read, from the head down."""
