"""What there is to set, and the tasks it is set for: one entry each."""

from .joints import JOINTS, REGIONS
from .mechanisms import MECHANISMS, MechanismId
from .quantities import NUDGE, QUANTITIES, own_numbers, quantities_set
from .quantity import DATUM_WORDS, CheckCase, Drag, Posture, Quantity
from .set_groups import SetGroup
from .tasks import HAND_TASKS, SCREEN_TASKS, SEATED_TASKS, TASKS
from .tiers import TIERS, Tier
