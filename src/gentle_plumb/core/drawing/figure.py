"""The figure's outline: one silhouette from overlapping parts, and the arm over it."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from math import hypot

from .marks import Point, tapered
from .outline import Outline
from .pose import Pose

_TRUNK_BACK = (
    (-0.20, -92),
    (0.0, -112),
    (0.14, -104),
    (0.30, -86),
    (0.46, -88),
    (0.66, -108),
    (0.84, -106),
    (0.98, -74),
    (1.07, -42),
)
_TRUNK_FRONT = (
    (1.05, 30),
    (0.95, 74),
    (0.80, 104),
    (0.62, 108),
    (0.45, 104),
    (0.28, 110),
    (0.12, 106),
    (-0.02, 84),
    (-0.2, 10),
)
"""Profile of a trunk: share of the way from hip to shoulder, mm before (behind) that line."""

SKULL = (
    (-100, 8),
    (-96, 52),
    (-66, 92),
    (-16, 108),
    (38, 100),
    (74, 66),
    (84, 24),
    (88, -4),
    (101, -30),
    (86, -42),
    (88, -62),
    (82, -72),
    (84, -92),
    (66, -112),
    (30, -110),
    (-6, -96),
    (-40, -78),
    (-82, -50),
)
"""A head in profile facing forward, mm around its centre."""

SHOE = (
    (-58, 0),
    (-62, 30),
    (-44, 78),
    (-2, 92),
    (44, 78),
    (96, 46),
    (150, 34),
    (186, 22),
    (190, 4),
    (150, 0),
)
"""A shoe from the side, mm around the point of the sole under the ankle; 245 mm long."""


THIGH_FULL = 0.62
"""How far along it a seated thigh keeps its thickness, of the way to the knee. Source: house-chain."""
LEVEL_SHOE_MM = 30.0
"""A shoe with a heel up to this is drawn flat, mm. Source: house-chain."""


@dataclass(frozen=True, kw_only=True)
class Figure:
    """The parts of a figure in mm: ``body`` merges to one silhouette, ``arm`` lies over it."""

    body: list[tuple[list[Point], bool]]
    arm: list[tuple[list[Point], bool]]


def trunk_outline(hip: Point, shoulder: Point, scale: float, belly: float) -> list[Point]:
    """Return a trunk in profile between hip and shoulder, mm; ``belly`` is its depth there."""
    dx, dy = shoulder[0] - hip[0], shoulder[1] - hip[1]
    length = hypot(dx, dy)
    along, across = (dx / length, dy / length), (dy / length, -dx / length)
    points: list[Point] = []
    for share, off in (*_TRUNK_BACK, *_TRUNK_FRONT):
        width = off * scale * (belly / 262.0 if off > 0 and 0.0 < share < 0.5 else 1.0)
        points.append(
            (
                hip[0] + along[0] * length * share + across[0] * width,
                hip[1] + along[1] * length * share + across[1] * width,
            )
        )
    return points


def _foot(pose: Pose) -> list[Point]:
    """A shoe, its heel as high as it is: the foot is never apart from the leg."""
    k, lift = pose.scale, max(0.0, pose.heel - LEVEL_SHOE_MM)
    return [
        (
            pose.ankle[0] + x * k,
            pose.sole + y * k * 0.95 + (lift * min(1.0, (150 - x) / 150) if x < 150 and y else 0.0),
        )
        for x, y in SHOE
    ]


def figure_of(pose: Pose) -> Figure:
    """Build the outline.

    Parameters
    ----------
    pose : Pose

    Returns
    -------
    Figure
        Point lists in mm, each with whether it is to be smoothed.

    """
    k = pose.scale
    neck_foot = (pose.shoulder[0] + 4 * k, pose.shoulder[1] + 6 * k)
    neck_top = (pose.head[0] - 22 * k, pose.head[1] - 48 * k)
    thigh = pose.thigh / 2
    hip = (pose.hip[0] - 10, pose.hip[1])
    calf = (
        pose.knee[0] + (pose.ankle[0] - pose.knee[0]) * 0.32 - 9 * k,
        pose.knee[1] + (pose.ankle[1] - pose.knee[1]) * 0.32,
    )
    front = (
        pose.hip[0] + (pose.knee[0] - pose.hip[0]) * THIGH_FULL,
        pose.hip[1] + (pose.knee[1] - pose.hip[1]) * THIGH_FULL,
    )
    tapering = thigh * 1.08 * (1 - THIGH_FULL) + 56 * k * THIGH_FULL
    full = thigh if pose.seated else tapering
    body = [
        (tapered(hip, thigh * 1.08, front, full), False),
        (tapered(front, full, pose.knee, 56 * k), False),
        (tapered(pose.knee, 54 * k, calf, 53 * k), False),
        (tapered(calf, 53 * k, pose.ankle, 34 * k), False),
        (_foot(pose), True),
        (tapered(neck_foot, 58 * k, neck_top, 48 * k), False),
        (trunk_outline(pose.hip, pose.shoulder, pose.scale, pose.belly), True),
        ([(pose.head[0] + x * k * 0.93, pose.head[1] + y * k) for x, y in SKULL], True),
    ]
    elbow = (pose.elbow[0], pose.elbow[1] + 34 * k)
    wrist = (
        elbow[0] + (pose.hand[0] - elbow[0]) * 0.64,
        elbow[1] + (pose.hand[1] + 18 * k - elbow[1]) * 0.64,
    )
    knuckle = (
        elbow[0] + (pose.hand[0] - elbow[0]) * 0.88,
        elbow[1] + (pose.hand[1] + 26 * k - elbow[1]) * 0.88,
    )
    tip = (pose.hand[0], pose.hand[1] + 7 * k)
    upper = (pose.shoulder[0] - 2 * k, pose.shoulder[1] - 34 * k)
    arm = [
        (tapered(upper, 50 * k, elbow, 38 * k), False),
        (tapered(elbow, 38 * k, wrist, 24 * k), False),
        (tapered(wrist, 24 * k, knuckle, 21 * k), False),
        (tapered(knuckle, 19 * k, tip, 7 * k), False),
    ]
    return Figure(body=body, arm=arm)


def outline_figure(
    outline: Outline, pose: Pose, *, role: str = "figure", beside: Outline | None = None
) -> None:
    """Add the figure: outlines first, then fills over them, so that parts merge.

    A figure of which too little is known is drawn with the ``-faint`` roles. What stands ``beside`` it
    is drawn over the body and under the arm.
    """
    figure = figure_of(pose)
    tail = "" if pose.known else "-faint"
    outline_parts(outline, figure.body, role, tail=tail)
    if beside is not None:
        outline.add(beside)
    outline_parts(outline, figure.arm, f"{role}-arm", tail=tail)


def outline_parts(
    outline: Outline, parts: Sequence[tuple[list[Point], bool]], name: str, *, tail: str
) -> None:
    """Add parts merged into one silhouette: all their lines, then all their fills over them."""
    outline.silhouette([f"{name}-{layer}{tail}" for layer in ("line", "fill")], parts)
