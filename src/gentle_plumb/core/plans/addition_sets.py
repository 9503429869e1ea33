"""The best set of additions for a tier of money: an exact search over every set.

What counts, strictly in this order:

1. no hard limit lacks more than it does without additions, and together they lack least, mm;
   then what the policy sets first;
2. degrees outside the joints' bands, a shoulder lifted by armrests among them, in whole steps of
   what is worth an addition (``worth_deg``), heights and mouse each on their own;
3. price, then number of additions;
4. the degrees themselves.

Heights and mouse share nothing, so each is solved by itself. Sets are gone through cheapest
first; one whose bound (any foot support, any height of the picture) is no better than the best so
far is left out, so nothing is missed.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import replace
from itertools import product

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import Case, legs_terms, mouse_over, total
from ..workstation import Workstation
from .addition import PRICES, Addition
from .addition_set import AdditionSet, items_used, price_of, tolerance_steps, with_additions
from .additions import desk_additions, pointer_additions
from .back_additions import back_additions
from .budget import MOST_WORK
from .extras import extras_of
from .feet_additions import feet_additions, feet_to_find
from .height_search import Heights, HeightSearch, Key, OwnNumbers
from .keys_additions import keys_additions
from .own_plan import own_kit
from .screen_additions import screen_additions
from .seat_additions import seat_additions


def _bases(case: Case, tier: Tier) -> list[AdditionSet]:
    """Sets of chair, desk and keys, the cheapest first."""
    slots = (seat_additions(case, tier), desk_additions(case, tier), keys_additions(case, tier))
    sets = [
        tuple(one for one in chosen if one is not None)
        for chosen in product(*((None, *slot) for slot in slots))
    ]
    return sorted(sets, key=lambda kit: (price_of(kit), len(kit)))


def _by_cost(found: list[Addition]) -> Iterator[AdditionSet]:
    yield ()
    for one in sorted(found, key=lambda one: PRICES[one.price]):
        yield (one,)


class _TooMany(Exception):
    """More was asked of the search than one tier may ask for."""


def height_kit(solver: HeightSearch, tier: Tier) -> AdditionSet:
    """The best set for the heights of one tier.

    Where the sets are too many to be tried all, it is the best of those tried, and the solver
    notes that the tier was cut short.

    Parameters
    ----------
    solver : HeightSearch
    tier : {"room", "little", "lasting"}

    """
    allowed = solver.work + MOST_WORK

    def ask(station: Workstation, **free: bool) -> Heights:
        if solver.work > allowed:
            raise _TooMany
        return solver.heights(station, **free)

    best = _BestKit(solver)
    try:
        _try_sets(solver.case, tier, ask, best)
    except _TooMany:
        solver.cut_short.add(tier)
    return tuple(_measured(solver, best.kit, one) for one in best.kit)


class _BestKit:
    """The best set so far, and what a set or its bound is held against."""

    def __init__(self, solver: HeightSearch) -> None:
        self._worth = solver.case.policy.worth_deg
        self._bare = solver.heights(solver.case.workstation)
        self.kit: AdditionSet = ()
        self.key: Key = self._bare.key((), self._worth, self._bare)

    def beats(self, bound: Heights, kit: AdditionSet) -> bool:
        """Whether nothing that follows a bound can be better."""
        # the bound lacks no more than what follows: whether that is worse, it does not tell
        return (False, *bound.key(kit, self._worth)[1:]) >= self.key

    def take(self, heights: Heights, kit: AdditionSet) -> None:
        """Keep a set where it is better."""
        key = heights.key(kit, self._worth, self._bare)
        if key < self.key:
            self.key, self.kit = key, kit


def _try_sets(case: Case, tier: Tier, ask: Callable[..., Heights], best: _BestKit) -> None:
    for base in _bases(case, tier):
        if best.key <= (False, 0.0, 0.0, 0, price_of(base), len(base), 0.0):
            break  # nothing that follows is cheaper, and nothing is better than no degree at all
        station = with_additions(case.workstation, base)
        if best.beats(ask(station, any_feet=True, any_top=True), base):
            continue
        based = replace(case, workstation=station)
        for feet in _by_cost(feet_additions(based, tier, items_used(base))):
            footed = with_additions(station, feet)
            if best.beats(ask(footed, any_top=True), (*base, *feet)):
                continue
            for screen in _by_cost(screen_additions(based, tier, items_used((*base, *feet)))):
                best.take(ask(with_additions(footed, screen)), (*base, *feet, *screen))


def _measured(solver: HeightSearch, kit: AdditionSet, one: Addition) -> Addition:
    """Return an addition with the height it has to have, where that follows from the seat."""
    if one.id != "feet_to_find":
        return one
    case = solver.case
    seat = solver.heights(with_additions(case.workstation, kit)).seated.seat
    return feet_to_find(seat - total(legs_terms(case.body, case)))


def pointer_kit(case: Case, tier: Tier) -> AdditionSet:
    """The best way to bring the mouse to the arm."""
    worth = case.policy.worth_deg

    def over_of(kit: AdditionSet) -> float:
        return mouse_over(replace(case, workstation=with_additions(case.workstation, kit)))

    def key(kit: AdditionSet) -> tuple[int, int, int, float]:
        over = over_of(kit)
        return tolerance_steps(over, worth), price_of(kit), len(kit), round(over, 6)

    found = pointer_additions(case, tier)
    try:
        best = min([(), *((one,) for one in found if one.id != SWAP)], key=key)
        last = next(((one,) for one in found if one.id == SWAP), None)
        if last is None or over_of(best) - over_of(last) < LEAST_SWAP_DEG:
            return best
        return last
    except MissingInput:
        return ()


SWAP = "other_hand"
LEAST_SWAP_DEG = 5.0
"""Changing hands is asked of nobody to save less, and only after everything else. Source: house-mouse."""


def best_additions(
    case: Case, tier: Tier, solver: HeightSearch | None = None, *, own: OwnNumbers | None = None
) -> AdditionSet:
    """The best set of additions of a tier; none where the heights can't be told.

    Parameters
    ----------
    case : Case
    tier : {"room", "little", "lasting", "own"}
        ``own`` is what was ticked.
    solver : HeightSearch, optional
        One made for this case and these numbers.
    own : Own, optional
        Numbers of the practitioner's own, held in every set.

    """
    if tier == "own":
        return _own(case, own or OwnNumbers())
    if case.policy.temporary == "never":
        case = replace(case, workstation=replace(case.workstation, items=()))
        solver = None
    try:
        heights = height_kit(solver or HeightSearch(case, own), tier)
    except MissingInput:
        heights = ()
    kit = (*heights, *pointer_kit(case, tier))
    made = replace(case, workstation=with_additions(case.workstation, kit))
    return (*kit, *back_additions(made, tier, items_used(kit)), *extras_of(case, tier))


def _own(case: Case, own: OwnNumbers) -> AdditionSet:
    """Return what was ticked, each as high as it has to be."""
    kit = own_kit(case, own.taken)
    try:
        solver = HeightSearch(case, own)
    except MissingInput:
        return kit
    return tuple(_measured(solver, kit, one) for one in kit)
