"""Where each dimension lies on a figure: both its ends, from the side."""

from __future__ import annotations

from ..body import Body
from .marks import Point
from .pose import Pose


def side_ends(name: str, pose: Pose, seat: float, body: Body) -> tuple[Point, Point] | None:
    """Both ends of a dimension as seen from the side, mm; None where the side can't show it.

    Parameters
    ----------
    name : str
        Identifier of the dimension.
    pose : Pose
        Seated for seated dimensions, standing for the others.
    seat : float
        Seat height, mm; 0 when standing.
    body : Body
        With every dimension filled for drawing.

    """
    up = {
        "thigh_clearance": pose.hip[0] + 150,
        "elbow_height_sitting": pose.elbow[0],
        "shoulder_height_sitting": pose.shoulder[0],
        "eye_height_sitting": pose.eye[0] + 60,
        "sitting_height": pose.ear[0] - 170,
        "elbow_height_standing": pose.elbow[0],
        "eye_height_standing": pose.eye[0] + 60,
        "shoulder_height_standing": pose.shoulder[0] - 150,
        "stature": pose.ear[0] - 170,
    }
    if name in up:
        return (up[name], seat), (up[name], seat + body.mm(name))

    def across(start: float, y: float) -> tuple[Point, Point]:
        return (start, y), (start + body.mm(name), y)

    knee = pose.knee[0]
    lines: dict[str, tuple[Point, Point]] = {
        "popliteal_height": ((knee - 62, 0.0), (knee - 62, body.mm("popliteal_height"))),
        "knee_height": ((knee + 78, 0.0), (knee + 78, body.mm("knee_height"))),
        "buttock_popliteal_length": across(0.0, seat - 60),
        "buttock_knee_length": across(0.0, seat + pose.thigh + 55),
        "abdominal_depth_sitting": across(0.0, pose.elbow[1] - 20),
        "upper_limb_length": across(pose.shoulder[0], pose.shoulder[1]),
        "elbow_fingertip_length": across(pose.elbow[0] - 40, pose.elbow[1] - 30),
        "shoulder_elbow_length": (
            (pose.shoulder[0] - 75, pose.shoulder[1]),
            (pose.shoulder[0] - 75, pose.shoulder[1] - body.mm("shoulder_elbow_length")),
        ),
    }
    return lines.get(name)
