"""Single purchases, by what each alone removes."""

from __future__ import annotations

from ..assessment import hard_limits
from ..fit import Case
from .addition import PRICE_LABELS, PRICES, Addition
from .additions import desk_additions, pointer_additions
from .back_additions import back_additions
from .feet_additions import feet_additions
from .keys_additions import keys_additions
from .plan import Plan, SinglePurchase
from .planner import Planner, less
from .screen_additions import screen_additions
from .seat_additions import seat_additions


def _purchases(case: Case) -> list[Addition]:
    """Everything that could be bought, each once; the cheapest first, else as it is offered."""
    found: dict[str, Addition] = {}
    for tier in ("little", "lasting"):
        for one in (
            *seat_additions(case, tier),
            *desk_additions(case, tier),
            *keys_additions(case, tier),
            *feet_additions(case, tier),
            *screen_additions(case, tier),
            *pointer_additions(case, tier),
            *back_additions(case, tier, {}),
        ):
            if one.price not in ("nothing", "found"):
                found.setdefault(one.id, one)
    return sorted(found.values(), key=lambda one: PRICES[one.price])


def single_purchases(planner: Planner, room: Plan) -> tuple[SinglePurchase, ...]:
    """Single purchases in the place of what the room's plan adds there, by what they remove.

    Those that mend what does not fit at all come first; none that makes any of it worse is named, none that removes
    less than is worth an addition, and none that something cheaper does as well as.
    """
    worth = planner.case.least_gain_deg
    if room.over <= worth and not room.lacks.any:
        return ()
    found, seen = [], set()
    for one in _purchases(planner.case):
        kit = (*(other for other in room.kit if other.slot != one.slot), one)
        over, minutes = planner.over(kit)
        lacks = hard_limits(*planner.settled(kit))
        same = one.slot, one.price, round(over, 1), lacks
        if same in seen:
            continue  # another of its kind at its price does as much
        seen.add(same)
        mends = lacks.mends(room.lacks)
        if lacks.worse_than(room.lacks):
            continue
        if mends or room.over - over > worth:
            found.append(
                SinglePurchase(
                    id=one.id,
                    label=one.label,
                    does=one.does,
                    price=one.price,
                    price_label=PRICE_LABELS[one.price],
                    removes=room.over - over,
                    minutes=less(room.minutes, minutes),
                    left=over,
                    mends=mends,
                    lacks=lacks,
                    span=one.span,
                )
            )
    return tuple(
        sorted(
            (one for one in found if not _outdone(one, found)),
            key=lambda one: (not one.mends, -(one.minutes or 0.0), -one.removes, PRICES[one.price]),
        )
    )


def _outdone(one: SinglePurchase, found: list[SinglePurchase]) -> bool:
    """Whether something cheaper does as well: it mends as much, and removes no less."""
    return any(
        PRICES[other.price] < PRICES[one.price]
        and not other.lacks.worse_than(one.lacks)
        and other.removes >= one.removes - ALIKE_REMOVED_DEG
        for other in found
    )


ALIKE_REMOVED_DEG = 0.05
"""A purchase that removes so little less is as good, degrees: what one shown decimal hides. Source: house-repeat."""
