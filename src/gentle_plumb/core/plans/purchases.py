"""Single purchases, by what each alone removes."""

from __future__ import annotations

from ..fit import UNREACHABLE_DEG, Case
from .addition import PRICE_LABELS, PRICES, Addition
from .addition_set import AdditionSet
from .additions import desk_additions, pointer_additions
from .back_additions import back_additions
from .feet_additions import feet_additions
from .height_search import HeightSearch
from .keys_additions import keys_additions
from .plan import AppliedPlan, SinglePurchase
from .planner import Planner, less
from .screen_additions import screen_additions
from .seat_additions import seat_additions


def _purchases(case: Case) -> list[Addition]:
    """Everything that could be bought, each once; the cheapest first, else as it is offered."""
    additions: dict[str, Addition] = {}
    for tier in ("little", "lasting"):
        for seat_addition in (
            *seat_additions(case, tier),
            *desk_additions(case, tier),
            *keys_additions(case, tier),
            *feet_additions(case, tier),
            *screen_additions(case, tier),
            *pointer_additions(case, tier),
            *back_additions(case, tier, {}),
        ):
            if seat_addition.price not in ("nothing", "found"):
                additions.setdefault(seat_addition.id, seat_addition)
    return sorted(additions.values(), key=lambda addition: PRICES[addition.price])


def single_purchases(
    planner: Planner, room: AppliedPlan, solver: HeightSearch | None = None
) -> tuple[SinglePurchase, ...]:
    """Single purchases in the place of what the room's plan adds there, by what they remove.

    Those that mend what does not fit at all come first; none that makes any of it worse is named, none that removes
    less than is worth an addition, and none that something cheaper does as well as.

    Parameters
    ----------
    planner : Planner
    room : AppliedPlan
        What is done without money.
    solver : HeightSearch, optional
        For the same case and numbers: what its heights leave over already is not worked out any further.

    """
    worth = planner.case.least_gain_deg
    if room.excess_deg <= worth and not room.hard_limits.any:
        return ()
    purchases, seen = [], set()
    for purchas in _purchases(planner.case):
        kit = (*(other for other in room.additions if other.slot != purchas.slot), purchas)
        if solver is not None and not room.hard_limits.any and _in_vain(solver, kit, room, worth):
            continue
        over, minutes = planner.over(kit)
        limits = planner.limits(kit)
        same = purchas.slot, purchas.price, round(over, 1), limits
        if same in seen:
            continue  # another of its kind at its price does as much
        seen.add(same)
        mends = limits.mends(room.hard_limits)
        if limits.worse_than(room.hard_limits):
            continue
        if mends or room.excess_deg - over > worth:
            purchases.append(
                SinglePurchase(
                    id=purchas.id,
                    label=purchas.label,
                    does=purchas.does,
                    price=purchas.price,
                    price_label=PRICE_LABELS[purchas.price],
                    removes=room.excess_deg - over,
                    minutes=less(room.minutes, minutes),
                    left=over,
                    mends=mends,
                    hard_limits=limits,
                    span=purchas.span,
                )
            )
    return tuple(
        sorted(
            (purchase for purchase in purchases if not _outdone(purchase, purchases)),
            key=lambda purchase: (
                not purchase.mends,
                -(purchase.minutes or 0.0),
                -purchase.removes,
                PRICES[purchase.price],
            ),
        )
    )


def _in_vain(solver: HeightSearch, kit: AdditionSet, room: AppliedPlan, worth: float) -> bool:
    """Whether the heights alone leave so much over that a purchase cannot remove what is worth an addition."""
    left = solver.heights_with(kit).quality().excess_deg
    return left < UNREACHABLE_DEG and room.excess_deg - left <= worth - ALIKE_REMOVED_DEG


def _outdone(purchase: SinglePurchase, purchases: list[SinglePurchase]) -> bool:
    """Whether something cheaper does as well: it mends as much, and removes no less."""
    return any(
        PRICES[other.price] < PRICES[purchase.price]
        and not other.hard_limits.worse_than(purchase.hard_limits)
        and other.removes >= purchase.removes - ALIKE_REMOVED_DEG
        for other in purchases
    )


ALIKE_REMOVED_DEG = 0.05
"""A purchase that removes so little less is as good, degrees: what one shown decimal hides. Source: house-repeat."""
