"""What things stand on or lean against: stacks, cushions, mats, rails, walls; drawn as they are."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from ..fit import Case
from ..workstation import Settings
from .marks import Point, box
from .outline import Outline
from .pose import Pose

Layers = Mapping[str, Sequence[float]]
"""Whole pieces from below by what they carry, mm each: feet, seat, back, keys, screen, screen_standing."""

MAT_MM, RAIL_MM, WALL_MM = 110.0, 18.0, 46.0
WALL_OVER_MM = 260.0
"""How far a mat reaches before and behind the ankle, a rail's radius, a wall's thickness as drawn and how
far it goes on over a screen, mm. Source: house-chain."""


def ink_stack(
    outline: Outline,
    pieces: Sequence[float],
    *,
    middle: float,
    half: float,
    bottom: float,
    part: str,
) -> float:
    """Add pieces one on the other, and return how high they reach, mm."""
    position = bottom
    for index, thickness in enumerate(pieces):
        side = half - 5.0 * (index % 2)
        outline.shape(
            "stack", box(middle - side, position, middle + side, position + thickness), part
        )
        position += thickness
    return position


def ink_underfoot(
    outline: Outline, case: Case, pose: Pose, settings: Settings, layers: Layers
) -> None:
    """What the feet stand on: a footrest or a stack seated, a mat and a rail standing."""
    middle = (pose.ankle[0] + pose.toe[0]) / 2
    if not pose.seated:
        if case.mat:
            ends = pose.ankle[0] - MAT_MM, pose.toe[0] + MAT_MM
            outline.shape("stack", box(ends[0], 0.0, ends[1], case.mat), "mat")
        if case.details.rail is not None:
            outline.disc("castor", (pose.toe[0] + 90, case.details.rail), RAIL_MM, "rail")
        return
    lift = settings.footrest
    if not lift or case.seat_stays:
        return
    pieces = layers.get("feet", ())
    if not pieces or abs(sum(pieces) - lift) > 1.0:
        front, heel = pose.toe[0] + 40, pose.ankle[0] - 80
        outline.shape("piece", [(heel, 0), (heel, lift), (front, lift), (front, 0)], "footrest")
        return
    ink_stack(outline, pieces, middle=middle, half=150.0, bottom=0.0, part="footrest")


def ink_cushion(outline: Outline, seat: float, deep: float, thickness: float) -> None:
    """A cushion on the pan, its top where one sits."""
    low = seat - thickness
    outline.shape(
        "cushion",
        [
            (4, low),
            (deep - 14, low),
            (deep - 6, seat - thickness / 2),
            (deep - 20, seat),
            (8, seat),
        ],
        "seat",
        curved=True,
    )


def ink_behind_back(outline: Outline, positions: Point, thickness: float) -> None:
    """A roll or insert between backrest and back, where the small of the back is."""
    x, y = positions
    outline.shape(
        "cushion",
        [(x, y - 85), (x + thickness, y - 40), (x + thickness, y + 40), (x, y + 85)],
        "lumbar",
        curved=True,
    )


def ink_wall(outline: Outline, front: float, top: float) -> None:
    """The wall a screen hangs on: from the floor to well over it, hatched."""
    outline.shape("wall", box(front, 0.0, front + WALL_MM, top + WALL_OVER_MM))
