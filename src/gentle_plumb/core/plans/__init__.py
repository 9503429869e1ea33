"""Plans: what can be added to a workstation, what it costs, and what it leaves over."""

from .addition import PRICE_LABELS, Addition, Price
from .addition_set import AdditionSet, Cost, cost_of, layers_of, with_additions
from .addition_sets import bases_of, best_additions, height_kit
from .additions import desk_additions
from .comfort import comfort_deg
from .feet_additions import feet_additions
from .frontier import Quality, Worth
from .height_search import HeightSearch, OwnNumbers
from .own_offers import offers_of
from .own_plan import SLOTS, Offer, key_of, own_kit
from .plan import (
    RISERS_WARNING,
    Added,
    AppliedPlan,
    Plan,
    PlanSet,
    ResidualExcess,
    SinglePurchase,
    total_of,
    what_is_left,
)
from .planner import added_by
from .plans import Choice, choose, make_plans, plan_of
from .prices import PAID, Prices, Total, total_price
from .screen_additions import screen_additions
from .seat_additions import seat_additions
from .stacks import STACK_WARNING, Stack, StackAnswer, best_stack, stacks_of
