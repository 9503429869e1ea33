"""Plans: what can be added to a workstation, what it costs, and what it leaves over."""

from .addition_sets import (
    AdditionSet,
    HeightSearch,
    OwnNumbers,
    best_additions,
    tolerance_steps,
    with_additions,
)
from .additions import PRICE_LABELS, PRICES, Addition, Price
from .plans import (
    RISERS_WARNING,
    Added,
    Plan,
    PlanSet,
    ResidualExcess,
    SinglePurchase,
    added_by,
    make_plans,
    one_plan,
    what_is_left,
)
from .stacks import STACK_WARNING, Stack, StackAnswer, best_stack, stacks_of

__all__ = [
    "PRICES",
    "PRICE_LABELS",
    "RISERS_WARNING",
    "STACK_WARNING",
    "Added",
    "Addition",
    "AdditionSet",
    "HeightSearch",
    "OwnNumbers",
    "Plan",
    "PlanSet",
    "Price",
    "ResidualExcess",
    "SinglePurchase",
    "Stack",
    "StackAnswer",
    "added_by",
    "best_additions",
    "best_stack",
    "make_plans",
    "one_plan",
    "stacks_of",
    "tolerance_steps",
    "what_is_left",
    "with_additions",
]
