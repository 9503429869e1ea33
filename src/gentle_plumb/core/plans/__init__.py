"""Plans: what can be added to a workstation, what it costs, and what it leaves over."""

from .additions import PRICE_LABELS, PRICES, Addition, Price, Tier
from .kits import HeightSearch, Kit, Own, best_kit, furnished, grade
from .plans import TIERS, Added, Fix, Left, Plan, WorkedOut, one_plan, what_is_left, work_out
from .stacks import Stack, StackAnswer, best_stack, stacks_of

__all__ = [
    "PRICES", "PRICE_LABELS", "TIERS", "Added", "Addition", "Fix", "HeightSearch", "Kit", "Left", "Own",
    "Plan", "Price", "Stack", "StackAnswer", "Tier", "WorkedOut", "best_kit", "best_stack", "furnished",
    "grade", "one_plan", "stacks_of", "what_is_left", "work_out",
]  # fmt: skip
