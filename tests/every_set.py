"""Every set of additions there is for a case, nothing left out: for the search to be held against."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from itertools import product

from gentle_plumb.core.catalogue import Tier
from gentle_plumb.core.fit import Case
from gentle_plumb.core.plans import (
    AdditionSet,
    Cost,
    HeightSearch,
    OwnNumbers,
    Quality,
    Worth,
    bases_of,
    cost_of,
    feet_additions,
    key_of,
    screen_additions,
    with_additions,
)
from gentle_plumb.core.plans.addition_set import items_used

Tried = tuple[AdditionSet, Cost, Quality]


def sets_of(case: Case, tier: Tier) -> Iterator[AdditionSet]:
    """Every set that the room has the pieces for."""
    for base in bases_of(case, tier):
        made = replace(case, workstation=with_additions(case.workstation, base))
        slots = ([None, *offer(made, tier)] for offer in (feet_additions, screen_additions))
        for more in product(*slots):
            kit = (*base, *(one for one in more if one is not None))
            used = items_used(kit)
            if all(used.get(item.id, 0) <= item.count for item in case.workstation.items):
                yield kit


def tried(case: Case, sets: list[AdditionSet], own: OwnNumbers | None = None) -> list[Tried]:
    """How well each set does."""
    solver = HeightSearch(case, own)
    bare = solver.heights(case.workstation)
    return [
        (kit, cost_of(kit), solver.heights(with_additions(case.workstation, kit)).quality(bare))
        for kit in sets
    ]


def held_things(kit: AdditionSet) -> tuple[str, ...]:
    """What a set holds; what is to be found counts the same whatever it is put on top of."""
    return tuple("found" if one.price == "found" else key_of(one) for one in kit)


def objections(worth: Worth, kit: AdditionSet, every: list[Tried]) -> Iterator[str]:
    """What there is to say against a set: something cheaper does as well, or as much money does better."""
    mine = next(fit for other, _, fit in every if held_things(other) == held_things(kit))
    for other, cost, fit in every:
        if cost < cost_of(kit):
            if not worth.better(mine, fit):
                yield f"{held_things(other)} costs less"
        elif cost == cost_of(kit):
            if worth.better(fit, mine):
                yield f"{held_things(other)} is better"
        elif worth.better(fit, mine) and not any(
            less < cost and not worth.better(fit, near) for _, less, near in every
        ):  # nothing cheaper than it does nearly as well
            yield f"{held_things(other)} is worth its cost"
