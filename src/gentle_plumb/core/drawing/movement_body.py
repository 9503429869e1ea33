"""The parts of a body that moves: lengths in mm from one measured body, limbs laid by their angles."""

from __future__ import annotations

from dataclasses import dataclass
from math import cos, radians, sin

from ..body import Body
from ..movements import Limb
from ..posture import hip_above_seat
from .marks import Point, tapered
from .pose import drawable

Part = tuple[list[Point], bool]
ANKLE_MM, TOE_MM, HEEL_MM = 78.0, 150.0, 62.0
"""Ankle over the sole, toes before it and heel behind it, mm, of the mean body. Source: house-chain."""
MEAN_STATURE_MM = 1690.0
SEATED_LEG = Limb(lift=90.0, bend=90.0)


@dataclass(frozen=True, kw_only=True)
class Lengths:
    """Lengths of the parts, mm, and the scale of their thickness."""

    trunk: float
    thigh: float
    shank: float
    upper_arm: float
    forearm: float
    hand: float
    shoulders: float
    head: float
    seat: float
    belly: float
    scale: float

    @classmethod
    def of(cls, body: Body) -> Lengths:
        """From a body; what is not measured of it is as the table has it."""
        full, _ = drawable(body)
        mm = full.mm
        over = hip_above_seat(mm("thigh_clearance"))
        hip = mm("eye_height_standing") - (mm("eye_height_sitting") - over)
        scale = mm("stature") / MEAN_STATURE_MM
        ankle = ANKLE_MM * scale
        shank = mm("popliteal_height") * 1.06 - ankle
        hand = mm("hand_length")
        return cls(
            trunk=mm("shoulder_height_sitting") - over,
            thigh=hip - ankle - shank,
            shank=shank,
            upper_arm=mm("shoulder_elbow_length") * 0.86,
            forearm=mm("elbow_fingertip_length") - hand,
            hand=hand * 0.86,
            shoulders=mm("shoulder_breadth_biacromial"),
            head=mm("eye_height_sitting") - mm("shoulder_height_sitting"),
            seat=mm("popliteal_height"),
            belly=mm("abdominal_depth_sitting"),
            scale=scale,
        )


def turned(point: Point, degrees: float, about: Point = (0.0, 0.0)) -> Point:
    """Return a point turned clockwise about another, degrees: what is up goes forwards."""
    c, s = cos(radians(degrees)), sin(radians(degrees))
    x, y = point[0] - about[0], point[1] - about[1]
    return about[0] + x * c + y * s, about[1] - x * s + y * c


def along(start: Point, length: float, degrees: float, side: int = 1) -> Point:
    """Return the end of a part that hangs at so many degrees from straight down, forwards or outwards."""
    return (
        start[0] + side * length * sin(radians(degrees)),
        start[1] - length * cos(radians(degrees)),
    )


def arm_parts(lengths: Lengths, shoulder: Point, arm: Limb, side: int = 1) -> list[Part]:
    """Return upper arm, forearm and hand from the shoulder down."""
    k = lengths.scale
    elbow = along(shoulder, lengths.upper_arm, arm.lift, side)
    wrist = along(elbow, lengths.forearm, arm.lift + arm.bend, side)
    tip = along(wrist, lengths.hand, arm.lift + arm.bend + arm.end, side)
    knuckle = ((wrist[0] * 2 + tip[0] * 3) / 5, (wrist[1] * 2 + tip[1] * 3) / 5)
    return [
        (tapered(shoulder, 48 * k, elbow, 38 * k), False),
        (tapered(elbow, 38 * k, wrist, 25 * k), False),
        (tapered(wrist, 25 * k, knuckle, 26 * k), False),
        (tapered(knuckle, 24 * k, tip, 12 * k), False),
    ]


def hip_over_floor(lengths: Lengths, legs: list[Limb]) -> float:
    """Return how high the hip is where the lowest foot stands, mm."""
    lows = []
    for leg in legs:
        knee = along((0.0, 0.0), lengths.thigh, leg.lift)
        ankle = along(knee, lengths.shank, leg.lift - leg.bend)
        sole = [turned(point, leg.end) for point in _sole(lengths)]
        lows.append(min(ankle[1] + y for _, y in sole))
    return -min(lows)


def _sole(lengths: Lengths) -> list[Point]:
    k = lengths.scale
    return [(-HEEL_MM * k, -ANKLE_MM * k), (TOE_MM * k, -ANKLE_MM * k)]


def leg_parts(lengths: Lengths, hip: Point, leg: Limb, shoe: list[Point]) -> list[Part]:
    """Return thigh, shank and shoe, from the side."""
    k = lengths.scale
    knee = along(hip, lengths.thigh, leg.lift)
    ankle = along(knee, lengths.shank, leg.lift - leg.bend)
    calf = (knee[0] + (ankle[0] - knee[0]) * 0.32, knee[1] + (ankle[1] - knee[1]) * 0.32)
    foot = [
        turned((ankle[0] + x * k, ankle[1] - ANKLE_MM * k + y * k * 0.95), leg.end, about=ankle)
        for x, y in shoe
    ]
    return [
        (tapered(hip, 88 * k, knee, 56 * k), False),
        (tapered(knee, 54 * k, calf, 53 * k), False),
        (tapered(calf, 53 * k, ankle, 34 * k), False),
        (foot, True),
    ]
