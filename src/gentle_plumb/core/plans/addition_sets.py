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

from collections.abc import Iterator
from dataclasses import dataclass, replace
from itertools import product
from math import asin, degrees
from typing import Any

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import (
    SAME_MM,
    Case,
    Lengths,
    Solution,
    elbow_terms,
    hold,
    mouse_over,
    search,
    stands_too,
    total,
)
from ..workstation import ArmrestKind, ScreenKind, Settings, Workstation
from .addition import PRICES, Addition
from .addition_set import AdditionSet, price_of, tolerance_steps, with_additions
from .additions import (
    desk_additions,
    feet_additions,
    keys_additions,
    pointer_additions,
    seat_additions,
)
from .screen_additions import screen_additions

Key = tuple[bool, float, float, int, int, int, float]


@dataclass(frozen=True, kw_only=True)
class Heights:
    """Both postures of one set of pieces."""

    seated: Solution
    standing: Solution | None
    shoulder: float = 0.0

    def key(self, kit: AdditionSet, worth_deg: float, bare: Heights | None = None) -> Key:
        """What sets are compared by; ``bare`` are the heights without additions."""
        hard, first, over = self.seated.rank
        over += self.shoulder
        worse = bare is not None and (
            self.seated.presses > bare.seated.presses + SAME_MM
            or self.seated.hangs > bare.seated.hangs + SAME_MM
        )
        if self.standing is not None:
            first += self.standing.first
            over += self.standing.over
        return (
            worse,
            hard,
            round(first, 6),
            tolerance_steps(over, worth_deg),
            price_of(kit),
            len(kit),
            round(over, 6),
        )


@dataclass(frozen=True, kw_only=True)
class OwnNumbers:
    """The practitioner's own numbers, seated and standing."""

    seated: Settings = Settings()
    standing: Settings = Settings()


class HeightSearch:
    """Solves sets of pieces for one case, the practitioner's own numbers held."""

    def __init__(self, case: Case, own: OwnNumbers | None = None) -> None:
        """Raises MissingInput where elbow, reach, shoes or keyboard are not known."""
        self.case, self.own = case, own or OwnNumbers()
        self._seated = Lengths.of(case, "seated")
        self._standing: Lengths | None = None
        try:
            standing = Lengths.of(case.standing(), "standing")
            if stands_too(case, search(standing.model(case.workstation))):
                self._standing = standing
        except MissingInput:
            pass

    def heights(
        self, station: Workstation, *, any_feet: bool = False, any_top: bool = False
    ) -> Heights:
        """Both postures; with any support or any height of the picture, a bound for what follows."""
        models = [one.model(station) for one in (self._seated, self._standing) if one]
        free: dict[str, Any] = {"feet": None} if any_feet else {}
        if any_top and station.screen.kind != ScreenKind.LAPTOP:
            free |= {"lift": None, "tops": None}
        if free:
            models = [replace(model, **free) for model in models]
        own = (self.own.seated, self.own.standing)
        models = [
            hold(
                model,
                seat=mine.seat if model.legs is not None else None,
                surface=mine.surface,
                top=mine.screen_top,
            )
            for model, mine in zip(models, own, strict=False)
        ]
        found = [search(model) for model in models]
        return Heights(
            seated=found[0],
            standing=found[1] if len(found) > 1 else None,
            shoulder=shoulder_over(self.case, station),
        )


def shoulder_over(case: Case, station: Workstation) -> float:
    """Degrees that armrests which can't go low enough lift the shoulder, whatever the heights."""
    chair = station.chair
    span, off = chair.armrest, case.policy.armrest_use == "off" or chair.armrests_off
    if chair.armrests in (None, ArmrestKind.NONE) or span is None or off or case.own_seat:
        return 0.0
    try:
        elbow = total(elbow_terms(case.body, case))
        half = case.body.mm("shoulder_breadth_biacromial") / 2
    except MissingInput:
        return 0.0
    lift = max(0.0, span.clamp(elbow - case.policy.armrest_below_elbow) - elbow)
    return degrees(asin(min(1.0, lift / half)))


def _bases(case: Case, tier: Tier) -> list[AdditionSet]:
    """Sets of chair, desk and keys, the cheapest first."""
    slots = (seat_additions(case, tier), desk_additions(case, tier), keys_additions(case, tier))
    sets = [
        tuple(one for one in chosen if one is not None)
        for chosen in product(*((None, *slot) for slot in slots))
    ]
    return sorted(sets, key=lambda kit: (price_of(kit), len(kit)))


def _taken(kit: AdditionSet) -> dict[str, int]:
    used: dict[str, int] = {}
    for one in kit:
        for id, many in one.items:
            used[id] = used.get(id, 0) + many
    return used


def _by_cost(found: list[Addition]) -> Iterator[AdditionSet]:
    yield ()
    for one in sorted(found, key=lambda one: PRICES[one.price]):
        yield (one,)


def height_kit(solver: HeightSearch, tier: Tier) -> AdditionSet:
    """The best set for the heights of one tier.

    Parameters
    ----------
    solver : HeightSearch
    tier : {"room", "little", "lasting"}

    """
    case, worth = solver.case, solver.case.policy.worth_deg
    best: tuple[Key, AdditionSet]

    bare = solver.heights(case.workstation)

    def beaten(bound: Heights, kit: AdditionSet) -> bool:
        # the bound lacks no more than what follows: whether that is worse, it does not tell
        return (False, *bound.key(kit, worth)[1:]) >= best[0]

    best = bare.key((), worth, bare), ()
    for base in _bases(case, tier):
        if best[0] <= (False, 0.0, 0.0, 0, price_of(base), len(base), 0.0):
            break  # nothing that follows is cheaper, and nothing is better than no degree at all
        station = with_additions(case.workstation, base)
        if beaten(solver.heights(station, any_feet=True, any_top=True), base):
            continue
        based = replace(case, workstation=station)
        for feet in _by_cost(feet_additions(based, tier, _taken(base))):
            footed = with_additions(station, feet)
            if beaten(solver.heights(footed, any_top=True), (*base, *feet)):
                continue
            for screen in _by_cost(screen_additions(based, tier, _taken((*base, *feet)))):
                kit = (*base, *feet, *screen)
                key = solver.heights(with_additions(footed, screen)).key(kit, worth, bare)
                if key < best[0]:
                    best = key, kit
    return best[1]


def pointer_kit(case: Case, tier: Tier) -> AdditionSet:
    """The best way to bring the mouse to the arm."""
    worth = case.policy.worth_deg

    def key(kit: AdditionSet) -> tuple[int, int, int, float]:
        over = mouse_over(replace(case, workstation=with_additions(case.workstation, kit)))
        return tolerance_steps(over, worth), price_of(kit), len(kit), round(over, 6)

    try:
        return min([(), *((one,) for one in pointer_additions(case, tier))], key=key)
    except MissingInput:
        return ()


def best_additions(
    case: Case, tier: Tier, solver: HeightSearch | None = None, *, own: OwnNumbers | None = None
) -> AdditionSet:
    """The best set of additions of a tier; none where the heights can't be told.

    Parameters
    ----------
    case : Case
    tier : {"room", "little", "lasting"}
    solver : HeightSearch, optional
        One made for this case and these numbers.
    own : Own, optional
        Numbers of the practitioner's own, held in every set.

    """
    if case.policy.temporary == "never":
        case = replace(case, workstation=replace(case.workstation, items=()))
        solver = None
    try:
        heights = height_kit(solver or HeightSearch(case, own), tier)
    except MissingInput:
        heights = ()
    return (*heights, *pointer_kit(case, tier))
