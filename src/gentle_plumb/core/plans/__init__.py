"""Plans: what can be added to a workstation, what it costs, and what it leaves over."""

from .additions import PRICE_LABELS, PRICES, Addition, Price, Tier
from .kits import HeightSearch, Kit, Own, best_kit, furnished, grade
from .plans import (
    RISERS_WARNING,
    TIERS,
    Added,
    Fix,
    Lacks,
    Left,
    Plan,
    WorkedOut,
    lacks_of,
    one_plan,
    what_is_left,
    work_out,
)
from .stacks import STACK_WARNING, Stack, StackAnswer, best_stack, stacks_of

__all__ = [
    "PRICES",
    "PRICE_LABELS",
    "RISERS_WARNING",
    "STACK_WARNING",
    "TIERS",
    "Added",
    "Addition",
    "Fix",
    "HeightSearch",
    "Kit",
    "Lacks",
    "Left",
    "Own",
    "Plan",
    "Price",
    "Stack",
    "StackAnswer",
    "Tier",
    "WorkedOut",
    "best_kit",
    "best_stack",
    "furnished",
    "grade",
    "lacks_of",
    "one_plan",
    "stacks_of",
    "what_is_left",
    "work_out",
]
