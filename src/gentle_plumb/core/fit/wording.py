"""Limits and costs in words: the same sentence for the page, the file and the report."""

from __future__ import annotations

from ..catalogue import QUANTITIES
from ..units import LengthUnit
from ..words import say_degrees, say_joint, say_length
from .joints import Joint
from .result import Cost, Limit

PIECES = {
    **{quantity.key: quantity.piece for quantity in QUANTITIES.values()},
    "chair": "chair",
    "desk": "desk",
    "screen": "screen mount",
    "laptop": "laptop",
    "keyboard": "keyboard",
    "feet": "foot support",
    "mouse_shelf": "mouse shelf",
}
"""Pieces in words, by the key of what they carry or their own."""


def limit_text(limit: Limit, unit: LengthUnit = "mm") -> str:
    """One clause that names the binding limit: ``chair stops at 510, 54 short``."""
    if limit.piece in ("tilt", "slope"):
        piece = "screen tilt ends" if limit.piece == "tilt" else "the keys' slope ends"
        return f"{piece} at {limit.at:.0f}°, {abs(limit.short):.0f}° away"
    at, apart = say_length(limit.at, unit), say_length(abs(limit.short), unit)
    piece = PIECES.get(limit.piece, limit.piece)
    side = "short" if limit.short > 0 else "too deep" if limit.piece == "seat_depth" else "too high"
    match limit.kind:
        case "stops":
            return f"{piece} stops at {at}, {apart} short"
        case "starts":
            return f"{piece} starts at {at}, {apart} {side}"
        case "fixed":
            return f"{piece} fixed at {at}, {apart} {side}"
        case "steps":
            return f"{piece} goes in steps: {at} is the nearest place, {apart} {side}"
        case "hangs":
            return f"the feet's support ends at {at}, {apart} short"
        case "low":
            return f"mouse shelf {at} under the keys: shim it by as much"
        case "kept":
            return f"left as found at {at}: in its band, {apart} from the target"
        case "thighs":
            return f"thighs stop it at {at}, {apart} {side}"
        case "armrests":
            return f"armrests stop it at {at}, {apart} {side}"
        case "collides":
            return f"over {at} they meet the desk: lower them, take them off, or stay short of its edge"
        case "joined":
            return f"picture joined to the keys, {apart} {side if limit.short > 0 else 'too far'}"
        case "belly":
            return f"the belly keeps the edge from the keys: the keyboard hangs over it by {apart}"
        case "shallow":
            return f"desk is {at} deep, {apart} short: screen or keys give way"
        case "wide":
            return f"keyboard reaches out to {at}, {apart} beyond the arm's band"
        case "choice":
            return f"at {at} all joints together pay least, {apart} from the target"


def cost_of(joint: Joint) -> Cost | None:
    """What a joint pays, in degrees; None where it can't be told."""
    if joint.angle is None or joint.over is None:
        return None
    band = f"{say_degrees(joint.low)} to {say_degrees(joint.high)}"
    where = (
        f"in its band ({band})"
        if joint.over == 0
        else f"{say_degrees(abs(joint.over), 1)} {'over' if joint.over > 0 else 'under'} its band ({band})"
    )
    return Cost(
        joint=joint.joint,
        angle=joint.angle,
        low=joint.low,
        high=joint.high,
        over=joint.over,
        text=f"{say_joint(joint.joint, joint.angle, 1)}: {where}",
    )
