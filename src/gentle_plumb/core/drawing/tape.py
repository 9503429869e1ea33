"""Where to put the tape: each dimension as a line on the figure."""

from __future__ import annotations

from ..body import Body
from .furniture import Ink
from .marks import Mark, Point
from .pose import Pose


def tape_ends(name: str, pose: Pose, seat: float, body: Body) -> tuple[Point, Point] | None:
    """Both ends of the tape for a dimension, mm; None where the side view can't show it.

    Parameters
    ----------
    name : str
        Identifier of the dimension.
    pose : Pose
        Seated for seated dimensions, standing for the others.
    seat : float
        Loaded seat height, mm; 0 when standing.
    body : Body
        With every dimension filled for drawing.

    """
    back = -40.0
    up = {
        "thigh_clearance": pose.hip[0] + 150,
        "elbow_height_sitting": pose.elbow[0],
        "shoulder_height_sitting": pose.shoulder[0],
        "eye_height_sitting": pose.eye[0] + 60,
        "lumbar_height_sitting": 10.0,
        "elbow_height_standing": pose.elbow[0],
        "eye_height_standing": pose.eye[0] + 60,
        "stature": pose.ear[0] - 150,
    }
    if name in up:
        return (up[name], seat), (up[name], seat + body.mm(name))
    shoulder_tip = (pose.shoulder[0], pose.shoulder[1])
    hand = body.mm("hand_length")
    lines: dict[str, tuple[Point, Point]] = {
        "popliteal_height": ((pose.knee[0] - 62, pose.sole), (pose.knee[0] - 62, seat)),
        "buttock_popliteal_length": (
            (back + 40, seat - 80),
            (body.mm("buttock_popliteal_length"), seat - 80),
        ),
        "upper_limb_length": (
            shoulder_tip,
            (pose.shoulder[0] + body.mm("upper_limb_length"), pose.shoulder[1]),
        ),
        "elbow_fingertip_length": (
            (pose.elbow[0] - 40, pose.elbow[1] - 30),
            (pose.elbow[0] - 40 + body.mm("elbow_fingertip_length"), pose.elbow[1] - 30),
        ),
        "shoulder_elbow_length": (
            (pose.shoulder[0] - 70, pose.shoulder[1]),
            (pose.shoulder[0] - 70, pose.elbow[1]),
        ),
        "hand_length": (
            (pose.hand[0] - 0.65 * hand, pose.hand[1] + 70),
            (pose.hand[0] + 0.35 * hand, pose.hand[1] + 70),
        ),
        "abdominal_depth_sitting": (
            (0.0, pose.elbow[1] - 60),
            (body.mm("abdominal_depth_sitting"), pose.elbow[1] - 60),
        ),
    }
    return lines.get(name)


def ink_tape(ink: Ink, name: str, ends: tuple[Point, Point]) -> list[Mark]:
    """The tape with a stop at each end."""
    across = (26.0, 0.0) if abs(ends[0][0] - ends[1][0]) < 1 else (0.0, 26.0)
    ink.shape("tape", [ends[0], ends[1]], name, closed=False)
    for x, y in ends:
        ink.shape(
            "tape-end",
            [(x - across[0], y - across[1]), (x + across[0], y + across[1])],
            name,
            closed=False,
        )
    return ink.marks
