"""The set of additions to take in a tier of money: an exact search over every set.

What counts, strictly in this order:

1. no hard limit lacks more than it does without additions, and together they lack least, mm;
   then what the policy sets first;
2. degrees outside the joints' bands, and what the chair asks of the body;
3. money, then effort, then the number of things.

Of all sets the one is taken that is better, by a difference worth having, than every set that costs less
(:mod:`.frontier`). Heights and mouse share nothing, so each is solved by itself. A set whose bound (any foot
support, any height of the picture) is beaten by one that costs no more is left out with all that rest on it, so
nothing is missed.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator
from itertools import product

from ..catalogue import Tier
from ..changed import changed
from ..errors import MissingInput
from ..fit import Case, legs_terms, mouse_over, total
from .addition import Addition
from .addition_set import AdditionSet, cost_of, items_used, with_additions
from .additions import desk_additions, pointer_additions
from .back_additions import back_additions
from .extras import extras_of
from .feet_additions import feet_additions, topped
from .frontier import ALIKE_DEG, Frontier, Quality, Worth
from .height_search import Heights, HeightSearch, OwnNumbers
from .keys_additions import keys_additions
from .own_plan import own_kit
from .planner import Planner
from .posture_search import MOST_WORK
from .screen_additions import screen_additions
from .seat_additions import seat_additions

PERFECT = Quality(False, 0.0, 0.0, 0.0)


def bases_of(case: Case, tier: Tier) -> list[AdditionSet]:
    """Return every set of chair, desk, keys and what is done about the back, the cheapest first."""
    slots = (seat_additions(case, tier), desk_additions(case, tier), keys_additions(case, tier))
    kits: list[AdditionSet] = []
    for chosen in product(*((None, *slot) for slot in slots)):
        kit = tuple(addition for addition in chosen if addition is not None)
        with_kit = changed(case, workstation=with_additions(case.workstation, kit))
        kits.append(kit)
        kits += [(*kit, back) for back in back_additions(with_kit, tier, items_used(kit))]
    return sorted(kits, key=cost_of)


def by_cost(additions: list[Addition]) -> Iterator[AdditionSet]:
    """Yield what one slot may have: nothing, then each thing alone, the cheapest and fewest pieces first."""
    yield ()
    for addition in sorted(additions, key=lambda addition: (cost_of((addition,)), addition.pieces)):
        yield (addition,)


class _TooMany(Exception):
    """More was asked of the search than one tier may ask for."""


def height_kit(
    solver: HeightSearch, tier: Tier, *, alike: float = ALIKE_DEG, planner: Planner | None = None
) -> AdditionSet:
    """The set to take for the heights of one tier.

    Where the sets are too many to be tried all, it is chosen among those tried, and the solver
    notes that the tier was cut short.

    Parameters
    ----------
    solver : HeightSearch
    tier : {"room", "little", "lasting"}
    alike : float
        Degrees by which sets of one cost may differ and are yet told apart by what has to be handled.
    planner : Planner, optional
        One made for the same case and numbers.

    """
    allowed = solver.work + MOST_WORK

    def ask(kit: AdditionSet, **free: bool) -> Heights:
        if solver.work > allowed:
            raise _TooMany
        return solver.heights_with(kit, **free)

    case = solver.case
    planner = planner or Planner(case, solver.own)
    frontier = Frontier(Worth.of(case), alike, lambda kit: planner.over(kit)[1])
    bare = solver.heights_with(())
    frontier.take((), bare.quality(bare))
    try:
        _try_sets(case, tier, ask, frontier, bare)
    except _TooMany:
        solver.cut_short.add(tier)
    best = frontier.best()
    return tuple(measured(solver, best, addition) for addition in best)


def _try_sets(
    case: Case, tier: Tier, ask: Callable[..., Heights], frontier: Frontier, bare: Heights
) -> None:
    def bound(kit: AdditionSet, **free: bool) -> Quality:
        # it lacks no more than what follows: whether that is worse, it does not tell
        return ask(kit, **free).quality()

    for base in bases_of(case, tier):
        cost = cost_of(base)
        if frontier.beaten(cost, PERFECT):
            break  # nothing that follows is cheaper, and nothing is better than no degree at all
        if frontier.outdone(cost, bound(base, any_feet=True, any_top=True)):
            continue
        based = changed(case, workstation=with_additions(case.workstation, base))
        for feet in by_cost(feet_additions(based, tier, items_used(base))):
            held = (*base, *feet)
            if frontier.outdone(cost_of(held), bound(held, any_top=True)):
                continue
            for screen in by_cost(screen_additions(based, tier, items_used(held))):
                kit = (*held, *screen)
                frontier.take(kit, ask(kit).quality(bare))


def measured(
    solver: HeightSearch, kit: AdditionSet, addition: Addition, *, here: bool = True
) -> Addition:
    """Return an addition with the height it has to have, where that follows from the seat.

    ``here`` puts what is to be found on top of what lies in the room.
    """
    if addition.slot != "feet" or addition.price != "found":
        return addition
    case = solver.case
    seat = solver.heights_with(kit).seated.seat
    height = seat - total(legs_terms(case.body, case))
    return topped(case, height, items_used(kit)) if here else changed(addition, height=height)


def pointer_kit(case: Case, tier: Tier) -> AdditionSet:
    """The way to bring the mouse to the arm that is worth its cost."""
    frontier = Frontier(Worth.of(case))

    def over_of(kit: AdditionSet) -> float:
        return mouse_over(changed(case, workstation=with_additions(case.workstation, kit)))

    additions = pointer_additions(case, tier)
    try:
        for kit in [(), *((addition,) for addition in additions if addition.id != SWAP)]:
            frontier.take(kit, Quality(False, 0.0, 0.0, over_of(kit)))
        best = frontier.best()
        last = next(((addition,) for addition in additions if addition.id == SWAP), None)
        if last is None or over_of(best) - over_of(last) < LEAST_SWAP_DEG:
            return best
        return last
    except MissingInput:
        return ()


SWAP = "other_hand"
LEAST_SWAP_DEG = 5.0
"""Changing hands is asked of nobody to save less, and only after everything else. Source: house-mouse."""


def best_additions(
    case: Case,
    tier: Tier,
    solver: HeightSearch | None = None,
    *,
    own: OwnNumbers | None = None,
    planner: Planner | None = None,
) -> AdditionSet:
    """The best set of additions of a tier; none where the heights can't be told.

    Parameters
    ----------
    case : Case
    tier : {"room", "little", "lasting", "own"}
        ``own`` is what was ticked.
    solver : HeightSearch, optional
        One made for this case and these numbers.
    own : OwnNumbers, optional
        Numbers of the practitioner's own, held in every set.
    planner : Planner, optional
        One made for this case and these numbers.

    """
    if tier == "own":
        return _own(case, own or OwnNumbers())
    plain = without_makeshifts(case)
    if plain is not case:
        case, solver, planner = plain, None, None
    try:
        heights = height_kit(solver or HeightSearch(case, own), tier, planner=planner)
    except MissingInput:
        heights = ()
    return (*heights, *pointer_kit(case, tier), *extras_of(case, tier))


def without_makeshifts(case: Case) -> Case:
    """Return a case without what lies in the room, where the practice wants nothing that is not meant to last."""
    if case.policy.temporary != "never" or not case.workstation.items:
        return case
    return changed(case, workstation=changed(case.workstation, items=()))


def _own(case: Case, own: OwnNumbers) -> AdditionSet:
    """Return what was ticked, each as high as it has to be."""
    kit = own_kit(case, own.taken)
    try:
        solver = HeightSearch(case, own)
    except MissingInput:
        return kit
    return tuple(measured(solver, kit, addition, here=False) for addition in kit)
