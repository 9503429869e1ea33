"""Joints as dials: the arc of the allowed band, the present angle as a hand in it."""

from __future__ import annotations

from dataclasses import dataclass
from math import cos, radians, sin

from ..fit import Joint
from .marks import Point, arc
from .outline import Outline
from .pose import Pose, direction_deg

DIAL_MM = 105.0
GAZE_DIAL_MM = 210.0
LABEL_MM = 60.0
"""Radius of a dial, of the eye's, and how far outside its number stands, mm. Source: house-chain."""


@dataclass(frozen=True, kw_only=True)
class Dial:
    """Where a joint is read: its centre, and the direction its angle counts from.

    ``turn`` is 1 where angles open counter-clockwise of ``base_deg``, -1 the other way.
    """

    centre: Point
    base_deg: float
    turn: int
    radius: float = DIAL_MM

    def direction(self, angle: float) -> float:
        """Direction of a joint angle on the sheet, radians."""
        return radians(self.base_deg + self.turn * angle)

    def at(self, angle: float, radius: float) -> Point:
        """A point at a joint angle."""
        way = self.direction(angle)
        return self.centre[0] + radius * cos(way), self.centre[1] + radius * sin(way)

    def arc(self, low: float, high: float) -> list[Point]:
        """The arc between two joint angles."""
        return arc(self.centre, self.radius, self.direction(low), self.direction(high))


def _ink_dial(outline: Outline, dial: Dial, joint: Joint, *, hand: bool = True) -> None:
    angle, off = joint.angle, bool(joint.excess_deg)
    if angle is None:
        return
    outline.shape("dial-band", dial.arc(joint.low, joint.high), closed=False)
    if off:
        edge = joint.low if angle < joint.low else joint.high
        outline.shape("wedge", [dial.centre, *dial.arc(edge, angle)], joint.joint)
    if hand:
        tip = dial.at(angle, dial.radius + 14)
        outline.shape("dial-hand", [dial.centre, tip], joint.joint, closed=False)
        outline.dot("dial-pin", dial.centre, 2.0)
    elif not off:
        return
    middle = (joint.low + joint.high) / 2 if hand else angle
    outline.word(
        "dial-off" if off else "dial-on",
        dial.at(middle, dial.radius + LABEL_MM),
        f"{angle:.0f}°".replace("-", "−"),
        joint.joint,
    )


def ink_dials(outline: Outline, pose: Pose, joints: tuple[Joint, ...]) -> None:
    """Elbow and gaze always; hip and knee where they are outside their bands."""
    elbow = (pose.elbow[0], pose.elbow[1] + 34 * pose.scale)
    dials = {
        "elbow": Dial(centre=elbow, base_deg=direction_deg(elbow, pose.shoulder), turn=-1),
        "hip": Dial(centre=pose.hip, base_deg=direction_deg(pose.hip, pose.shoulder), turn=-1),
        "knee": Dial(centre=pose.knee, base_deg=direction_deg(pose.knee, pose.hip), turn=1),
        "neck": Dial(centre=pose.eye, base_deg=0.0, turn=1, radius=GAZE_DIAL_MM),
    }
    for joint in joints:
        dial = dials.get(joint.joint)
        if dial is not None and (joint.joint in ("elbow", "neck") or joint.excess_deg):
            _ink_dial(outline, dial, joint, hand=joint.joint != "neck")
