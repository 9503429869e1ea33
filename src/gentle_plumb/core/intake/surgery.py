"""Recent surgery: what loads, stretches or reaches with the part operated on. Source: house-care."""

from __future__ import annotations

from ..choices import Choice
from ..language import msg
from .demands import Demand


class OperatedPart(Choice):
    """What was operated on."""

    NECK = "neck", msg("Neck or head")
    TRUNK = "trunk", msg("Back, chest or abdomen")
    ARM = "arm", msg("Shoulder or arm")
    HAND = "hand", msg("Wrist or hand")
    LEG = "leg", msg("Hip, leg or foot")


PART_BARS: dict[OperatedPart, frozenset[Demand]] = {
    OperatedPart.NECK: frozenset({Demand.NECK, Demand.HEAD_TURNED, Demand.HEAD_TILTED}),
    OperatedPart.TRUNK: frozenset(
        {Demand.TRUNK, Demand.FORWARD_BEND, Demand.BACK_BEND, Demand.TWIST, Demand.LOAD}
    ),
    OperatedPart.ARM: frozenset(
        {Demand.SHOULDER, Demand.OVERHEAD, Demand.ARM_BEHIND, Demand.ARM_LEANING, Demand.LOAD}
    ),
    OperatedPart.HAND: frozenset(
        {Demand.HAND, Demand.WRIST_STRETCH, Demand.WRIST_PRESS, Demand.ARM_LEANING, Demand.LOAD}
    ),
    OperatedPart.LEG: frozenset(
        {
            Demand.LEG,
            Demand.DEEP_KNEE,
            Demand.ONE_LEG,
            Demand.TURN_ON_LEG,
            Demand.HIP_CLOSED,
            Demand.LEGS_CROSSED,
            Demand.LOAD,
        }
    ),
}
"""What loads, stretches or reaches with each part. Source: house-care."""
STANDS_ON = frozenset({OperatedPart.TRUNK, OperatedPart.LEG})
"""Parts whose surgery keeps a standing plan out too."""
