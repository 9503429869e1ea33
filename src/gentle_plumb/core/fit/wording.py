"""Limits and costs in words: the same sentence for the page, the file and the report."""

from __future__ import annotations

from ..catalogue import QUANTITIES
from ..language import filled, msg
from ..units import LengthUnit
from ..words import say, say_amount, say_degrees, say_joint
from .joints import Joint
from .result import Cost, Limit

PIECES = {
    **{quantity.key: quantity.piece for quantity in QUANTITIES.values()},
    "chair": msg("chair"),
    "desk": msg("desk"),
    "screen": msg("screen mount"),
    "laptop": msg("laptop"),
    "keyboard": msg("keyboard"),
    "feet": msg("foot support"),
    "mouse_shelf": msg("mouse shelf"),
}
"""Pieces in words, by the key of what they carry or their own."""


def limit_text(limit: Limit, unit: LengthUnit = "mm") -> str:
    """Return one clause that names the binding limit.

    Parameters
    ----------
    limit : Limit
    unit : {"mm", "cm", "in"}
        For lengths.

    """
    quantity = QUANTITIES[limit.key]
    apart = say_amount(quantity, abs(limit.short), unit)
    return say(
        f"limit.{limit.kind}",
        piece=PIECES.get(limit.piece, limit.piece),
        at=say_amount(quantity, limit.at, unit),
        apart=apart,
        side=msg(
            "{apart} {under} its target",
            apart=apart,
            under=quantity.under if limit.short > 0 else quantity.over,
        ),
    )


def cost_of(joint: Joint) -> Cost | None:
    """What a joint pays, in degrees; None where it can't be told."""
    if joint.angle is None or joint.excess_deg is None:
        return None
    band = msg("{low} to {high}", low=say_degrees(joint.low), high=say_degrees(joint.high))
    where = (
        msg("in range ({band})", band=band)
        if joint.excess_deg == 0
        else msg(
            "{abs} {what} its range ({band})",
            abs=say_degrees(abs(joint.excess_deg), 1),
            what=msg("over") if joint.excess_deg > 0 else msg("under"),
            band=band,
        )
    )
    return Cost(
        joint=joint.joint,
        angle=joint.angle,
        low=joint.low,
        high=joint.high,
        excess_deg=joint.excess_deg,
        text=filled("{joint}: {where}", joint=say_joint(joint.joint, joint.angle, 1), where=where),
    )
