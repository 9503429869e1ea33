"""Joints in words: before, and as aimed at."""

from __future__ import annotations

from dataclasses import dataclass

from ..fit import FitResult, Posture
from ..language import filled, msg
from .row_parts import plain


@dataclass(frozen=True, kw_only=True)
class JointView:
    """A joint before, as aimed at and as left, degrees in words."""

    posture: Posture
    joint: str
    label: str
    band: str
    found: str | None
    found_off: bool
    aim: str | None
    aim_off: bool
    at: float | None
    low: float
    high: float


def joint_views(result: FitResult) -> list[JointView]:
    """Every joint of the postures there are; those that can't be told either way are left out."""
    views = []
    for posture in (result.seated, result.standing):
        for before, after in zip(posture.joints_found, posture.joints_set, strict=True):
            standing = posture.posture == "standing"
            if not posture.possible or (standing and after.joint == "upper_arm"):
                continue
            if after.joint == "shoulder" and not (before.excess_deg or after.excess_deg):
                continue  # worth a line only where an armrest lifts it
            if after.joint == "upper_arm_keys" and before.angle is None:
                continue  # where the letters lie was not looked at, and they are set to the midline
            views.append(
                JointView(
                    posture=posture.posture,
                    joint=after.joint,
                    label=after.label,
                    band=msg(
                        "{plain} to {plain2}°", plain=plain(after.low), plain2=plain(after.high)
                    ),
                    found=filled("{plain}°", plain=plain(before.angle))
                    if before.angle is not None
                    else None,
                    found_off=bool(before.excess_deg),
                    aim=filled("{plain}°", plain=plain(after.angle))
                    if after.angle is not None
                    else None,
                    aim_off=bool(after.excess_deg),
                    at=after.angle,
                    low=after.low,
                    high=after.high,
                )
            )
    return views
