"""The body turned: from behind, from above, and a hand and a foot near to; in mm."""

from __future__ import annotations

from dataclasses import dataclass, field

from ..body import Body
from ..language import msg
from .marks import Point, box, tapered

Part = tuple[list[Point], bool]
"""An outline in mm, and whether it is smoothed."""

BEHIND = ("lumbar_height_sitting", "shoulder_breadth_biacromial", "hip_breadth_sitting")
ABOVE = ("shoulder_breadth_bideltoid",)
HAND = ("hand_length", "hand_breadth")
FOOT = ("foot_length",)
HEAD_HALF_MM, HEAD_UP_MM, HEAD_DOWN_MM = 78.0, 118.0, 112.0
"""A head from behind, around its ear line. Source: house-chain."""


@dataclass(frozen=True, kw_only=True)
class Turned:
    """What is drawn, in this order: furniture under, the body, its arms (or head), furniture over.

    ``span`` is left, bottom, right, top in mm; ``ends`` the dimension's two ends.
    """

    body: list[Part]
    arms: list[Part] = field(default_factory=list)
    under: list[list[Point]] = field(default_factory=list)
    over: list[list[Point]] = field(default_factory=list)
    span: tuple[float, float, float, float]
    ends: tuple[Point, Point]
    words: str


def _both(points: list[Point]) -> list[Point]:
    """An outline from its right half, given from top to bottom, mirrored on the midline."""
    return [*points, *((-x, y) for x, y in reversed(points))]


def from_behind(body: Body, name: str) -> Turned:
    """Seated on a stool, seen from behind: left is the client's left."""
    seat = body.mm("popliteal_height")
    shoulder = seat + body.mm("shoulder_height_sitting")
    elbow, eye = seat + body.mm("elbow_height_sitting"), seat + body.mm("eye_height_sitting")
    lumbar = seat + body.mm("lumbar_height_sitting")
    points = body.mm("shoulder_breadth_biacromial") / 2
    wide, hip = body.mm("shoulder_breadth_bideltoid") / 2, body.mm("hip_breadth_sitting") / 2
    wide = max(wide, points + 8)
    trunk = _both(
        [
            (46, shoulder + 40),
            (points * 0.72, shoulder + 26),
            (points, shoulder),
            (points + 4, shoulder - 70),
            (points * 0.94, shoulder - 170),
            (hip * 0.86, lumbar + 50),
            (hip * 0.84, lumbar),
            (hip * 0.97, seat + 110),
            (hip, seat + 60),
            (hip * 0.92, seat + 4),
            (hip * 0.4, seat),
        ]
    )
    head = _both(
        [
            (0, eye + HEAD_UP_MM),
            (50, eye + HEAD_UP_MM - 16),
            (HEAD_HALF_MM, eye + 40),
            (HEAD_HALF_MM - 4, eye - 30),
            (56, eye - 84),
            (0, eye - HEAD_DOWN_MM),
        ]
    )
    neck = box(-52, shoulder, 52, eye - 50)
    arms = [
        tapered((side * (wide - 46), shoulder - 44), 46, (side * (wide - 34), elbow + 40), 38)
        for side in (-1.0, 1.0)
    ]
    shanks = [tapered((side * 95, seat - 90), 52, (side * 98, 60), 34) for side in (-1.0, 1.0)]
    feet = [tapered((side * 98, 32), 30, (side * 106, 30), 28) for side in (-1.0, 1.0)]
    ends: dict[str, tuple[Point, Point]] = {
        "lumbar_height_sitting": ((0.0, seat), (0.0, lumbar)),
        "shoulder_breadth_biacromial": ((-points, shoulder), (points, shoulder)),
        "hip_breadth_sitting": ((-hip, seat + 60), (hip, seat + 60)),
    }
    stool = [box(-22, 22, 22, seat - 46), box(-170, 0, 170, 22), box(-210, seat - 46, 210, seat)]
    return Turned(
        over=stool,
        arms=[(arm, False) for arm in arms],
        ends=ends[name],
        words=msg("Seated, from behind"),
        body=[*((part, False) for part in (*shanks, *feet, neck)), (trunk, True), (head, True)],
        span=(-wide - 120, -30, wide + 120, eye + HEAD_UP_MM + 40),
    )


def from_above(body: Body, name: str) -> Turned:
    """Seated, seen from above, facing up the sheet."""
    wide = body.mm("shoulder_breadth_bideltoid") / 2
    inner = min(wide - 20, body.mm("shoulder_breadth_biacromial") / 2)
    thigh, hand = body.mm("buttock_knee_length"), body.mm("hand_length")
    hips = body.mm("hip_breadth_sitting") / 2
    legs = [
        tapered((side * hips * 0.5, 40), hips * 0.48, (side * hips * 0.55, thigh - 170), 62)
        for side in (-1.0, 1.0)
    ]
    fore = [
        tapered((side * (wide - 40), 20), 42, (side * (wide - 66), 260), 30) for side in (-1.0, 1.0)
    ]
    hands = [
        tapered((side * (wide - 68), 270), 30, (side * (wide - 80), 250 + hand * 0.8), 18)
        for side in (-1.0, 1.0)
    ]
    trunk = _both(
        [
            (0, 96),
            (inner * 0.6, 84),
            (wide - 30, 56),
            (wide, 0),
            (wide - 26, -58),
            (inner * 0.6, -86),
            (0, -94),
        ]
    )
    head = _both([(0, 122), (58, 90), (74, 14), (54, -62), (0, -86)])
    return Turned(
        under=[box(-215, -110, 215, 330)],
        body=[*((part, False) for part in legs), (trunk, True)],
        arms=[*((part, False) for part in (*fore, *hands)), (head, True)],
        ends=((-wide, 0.0), (wide, 0.0)),
        words=msg("Seated, from above"),
        span=(-wide - 150, -200, wide + 150, thigh - 40),
    )


def hand_near(body: Body, name: str) -> Turned:
    """The right hand on the desk, palm down."""
    long, broad = body.mm("hand_length"), body.mm("hand_breadth")
    palm = [
        (-0.40 * broad, 0.0),
        (-0.48 * broad, 0.22 * long),
        (-0.5 * broad, 0.52 * long),
        (0.5 * broad, 0.50 * long),
        (0.49 * broad, 0.22 * long),
        (0.38 * broad, 0.0),
    ]
    tips = (0.90, 1.0, 0.93, 0.79)
    radius = 0.115 * broad
    fingers = [
        tapered(
            (x * broad, 0.44 * long), radius * 1.1, (x * broad * 1.04, tip * long - radius), radius
        )
        for x, tip in zip((-0.375, -0.125, 0.125, 0.375), tips, strict=True)
    ]
    thumb = tapered(
        (-0.34 * broad, 0.16 * long), 0.16 * broad, (-0.80 * broad, 0.50 * long), 0.12 * broad
    )
    arm = [(-0.36 * broad, 4.0), (-0.40 * broad, -70.0), (0.40 * broad, -70.0), (0.35 * broad, 4.0)]
    ends: dict[str, tuple[Point, Point]] = {
        "hand_length": ((-0.125 * broad, 0.0), (-0.125 * broad, long)),
        "hand_breadth": ((-0.5 * broad, 0.49 * long), (0.5 * broad, 0.49 * long)),
    }
    return Turned(
        ends=ends[name],
        words=msg("The hand on the desk, from above"),
        body=[(arm, False), *((part, False) for part in (*fingers, thumb)), (palm, False)],
        span=(-1.2 * broad - 40, -70, 1.2 * broad + 40, long + 30),
    )


def foot_near(body: Body, name: str) -> Turned:
    """The right foot on the floor, from above."""
    long = body.mm("foot_length")
    outline = [
        (0.0, 0.0),
        (-0.11, 0.04),
        (-0.135, 0.16),
        (-0.12, 0.36),
        (-0.165, 0.62),
        (-0.17, 0.80),
        (-0.12, 0.96),
        (-0.06, 1.0),
        (0.0, 0.985),
        (0.06, 0.955),
        (0.12, 0.90),
        (0.17, 0.79),
        (0.18, 0.66),
        (0.13, 0.40),
        (0.125, 0.16),
        (0.10, 0.04),
    ]
    points = [(x * long, y * long) for x, y in outline]
    return Turned(
        body=[(points, True)],
        words=msg("The foot on the floor, from above"),
        ends=((-0.05 * long, 0.0), (-0.05 * long, long)),
        span=(-0.45 * long, -30, 0.45 * long, long + 30),
    )


def turned(body: Body, name: str) -> Turned | None:
    """How a dimension is seen that the side can't show; None for one that it can."""
    for names, draw in (
        (BEHIND, from_behind),
        (ABOVE, from_above),
        (HAND, hand_near),
        (FOOT, foot_near),
    ):
        if name in names:
            return draw(body, name)
    return None
