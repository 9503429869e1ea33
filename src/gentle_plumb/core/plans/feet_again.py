"""What goes under the feet, chosen again once the seat stands elsewhere than the plan meant it to."""

from __future__ import annotations

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import TAPE_MM, Case
from .addition_set import AdditionSet, items_used, with_additions
from .addition_sets import by_cost, measured, without_makeshifts
from .feet_additions import feet_additions
from .frontier import Frontier, Worth
from .height_search import HeightSearch, OwnNumbers
from .planner import Planner


def feet_for_seat(
    case: Case, tier: Tier, kit: AdditionSet, own: OwnNumbers, held: OwnNumbers
) -> AdditionSet:
    """Return the set with the support for the feet matched to where the seat is now; the rest is unchanged.

    A stack is right for one seat. Where the seat was left elsewhere, or is locked, the feet are given what the plan
    would give them at that height. In a plan of the practitioner's own, only the height of what is to be found
    follows.

    Parameters
    ----------
    case : Case
        With the pieces as they are.
    tier : {"room", "little", "lasting", "own"}
    kit : AdditionSet
        As chosen before anything stood.
    own : OwnNumbers
        The numbers it was chosen with.
    held : OwnNumbers
        The same with what stands over them.

    """
    if not case.sits or held == own:
        return kit
    case = without_makeshifts(case)
    try:
        meant, search = HeightSearch(case, own), HeightSearch(case, held)
    except MissingInput:
        return kit
    station = with_additions(case.workstation, kit)
    if abs(meant.heights(station).seated.seat - search.heights(station).seated.seat) <= TAPE_MM:
        return kit
    if tier == "own":
        return tuple(measured(search, kit, addition, here=False) for addition in kit)
    place = next(
        (index for index, addition in enumerate(kit) if addition.slot in AFTER_FEET), len(kit)
    )
    before = tuple(addition for addition in kit[:place] if addition.slot != "feet")
    after = tuple(addition for addition in kit[place:] if addition.slot != "feet")
    planner = Planner(case, held)
    frontier = Frontier(Worth.of(case), strain=lambda kit: planner.over(kit)[1])
    bare = search.heights(case.workstation)
    additions = feet_additions(case, tier, items_used((*before, *after)))
    for feet in by_cost(additions):
        tried = (*before, *feet, *after)
        heights = search.heights(with_additions(case.workstation, tried))
        frontier.take(tried, heights.quality(bare))
    best = frontier.best()
    return tuple(measured(search, best, addition) for addition in best)


AFTER_FEET = frozenset({"screen", "pointer", "phone", "paper"})
"""Slots whose additions come after what is put under the feet."""
