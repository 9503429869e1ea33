"""Joints as dials: the arc of the allowed band, the present angle as a hand in it."""

from __future__ import annotations

from math import cos, radians, sin

from ..fit import Joint
from .furniture import Ink
from .marks import Mark, Point, arc
from .pose import Pose, direction_deg

DIAL_MM = 105.0


def _dial(ink: Ink, centre: Point, base_deg: float, turn: int, joint: Joint) -> None:
    """Angles run from the proximal limb's direction, ``turn`` 1 counter-clockwise, -1 the other way."""
    if joint.angle is None:
        return

    def direction(angle: float) -> float:
        return radians(base_deg + turn * angle)

    off = bool(joint.over)
    ink.shape(
        "dial-band", arc(centre, DIAL_MM, direction(joint.low), direction(joint.high)),
        closed=False,
    )  # fmt: skip
    if off:
        edge = joint.low if joint.angle < joint.low else joint.high
        wedge = [centre, *arc(centre, DIAL_MM, direction(edge), direction(joint.angle))]
        ink.shape("wedge", wedge, joint.joint)
    tip = (
        centre[0] + (DIAL_MM + 14) * cos(direction(joint.angle)),
        centre[1] + (DIAL_MM + 14) * sin(direction(joint.angle)),
    )
    ink.shape("dial-hand", [centre, tip], joint.joint, closed=False)
    ink.dot("dial-pin", centre, 2.0)
    middle = direction((joint.low + joint.high) / 2)
    at = (centre[0] + (DIAL_MM + 62) * cos(middle), centre[1] + (DIAL_MM + 62) * sin(middle))
    x, y = ink.sheet.at(at)
    ink.marks.append(
        Mark(
            kind="text",
            role="dial-off" if off else "dial-on",
            x=x,
            y=y + 4,
            anchor="middle",
            text=f"{joint.angle:.0f}°",
            part=joint.joint,
            posture=ink.posture,
        )
    )


def ink_dials(ink: Ink, pose: Pose, joints: tuple[Joint, ...], *, seated: bool) -> None:
    """Elbow in both postures; knee too when seated."""
    by_name = {joint.joint: joint for joint in joints}
    elbow = (pose.elbow[0], pose.elbow[1] + 34 * pose.scale)
    _dial(ink, elbow, direction_deg(elbow, pose.shoulder), -1, by_name["elbow"])
    if seated and "knee" in by_name and by_name["knee"].over:
        _dial(ink, pose.knee, direction_deg(pose.knee, pose.hip), 1, by_name["knee"])
