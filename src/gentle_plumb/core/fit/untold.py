"""Which joints can't be told, so that no sum of degrees is taken for the whole."""

from __future__ import annotations

from .joints import Joint

DECIDING = ("elbow", "knee", "neck")
"""Joints without which a sum of degrees tells little: hands, legs and eyes."""


def untold_joints(joints: tuple[Joint, ...], *, seat_stays: bool) -> tuple[str, ...]:
    """Return the labels of the deciding joints that can't be told, in their order.

    ``seat_stays`` leaves out the legs: a wheelchair's footplates carry the feet, a bed the legs.
    """
    return tuple(
        joint.label
        for joint in joints
        if joint.joint in DECIDING
        and joint.angle is None
        and not joint.out_of_reach
        and not (seat_stays and joint.joint == "knee")
    )
