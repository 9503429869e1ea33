"""What there is to set, and the tasks it is set for: one entry each."""

from .joints import JOINTS, REGIONS, JointName
from .mechanisms import MECHANISMS, Mechanism, MechanismId
from .quantities import (
    DATUM_WORDS,
    GROUP_OF,
    NUDGE,
    NUDGES,
    QUANTITIES,
    Datum,
    Drag,
    Nudge,
    Posture,
    Quantity,
    QuantityUnit,
    own_numbers,
    quantities_set,
)
from .set_groups import SetGroup
from .tasks import HAND_TASKS, MOUSE_TASKS, SCREEN_TASKS, SEATED_TASKS, TASKS
from .tiers import TIERS, Tier

__all__ = [
    "DATUM_WORDS",
    "GROUP_OF",
    "HAND_TASKS",
    "JOINTS",
    "MECHANISMS",
    "MOUSE_TASKS",
    "NUDGE",
    "NUDGES",
    "QUANTITIES",
    "REGIONS",
    "SCREEN_TASKS",
    "SEATED_TASKS",
    "TASKS",
    "TIERS",
    "Datum",
    "Drag",
    "JointName",
    "Mechanism",
    "MechanismId",
    "Nudge",
    "Posture",
    "Quantity",
    "QuantityUnit",
    "SetGroup",
    "Tier",
    "own_numbers",
    "quantities_set",
]
