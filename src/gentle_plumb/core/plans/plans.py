"""Three plans for one client, and the practitioner's own."""

from __future__ import annotations

from dataclasses import dataclass, replace
from functools import cached_property

from ..catalogue import Tier
from ..changed import changed
from ..errors import MissingInput
from ..fit import Case
from ..language import msg
from ..workstation import Settings
from .addition_set import AdditionSet
from .addition_sets import best_additions
from .feet_again import feet_for_seat
from .height_search import HeightSearch, OwnNumbers
from .own_plan import TIERS_OFFERED
from .plan import AppliedPlan, PlanSet
from .planner import Planner
from .purchases import single_purchases

FEET_FOLLOW = msg("The foot support has been matched to the current seat height.")


@dataclass(frozen=True, kw_only=True)
class Choice:
    """What a tier adds, and the numbers it was chosen with.

    ``whole`` is whether every set was held against it; ``follows_seat`` whether what goes under the feet was chosen
    again for a seat that stands elsewhere than it was meant to.
    """

    additions: AdditionSet
    own: OwnNumbers
    whole: bool = True
    follows_seat: bool = False

    def for_what_stands(self, case: Case, tier: Tier, stands: tuple[Settings, Settings]) -> Choice:
        """Return the choice with the support for the feet matched to where the seat is now.

        Parameters
        ----------
        case : Case
            With the pieces as they are.
        tier : {"room", "little", "lasting", "own"}
        stands : pair of Settings
            What stands, seated and standing.

        """
        held = replace(
            self.own,
            seated=self.own.seated.over(stands[0]),
            standing=self.own.standing.over(stands[1]),
        )
        kit = feet_for_seat(case, tier, self.additions, self.own, held)
        return (
            self
            if kit is self.additions
            else replace(self, additions=kit, own=held, follows_seat=True)
        )


def what_a_choice_rests_on(case: Case) -> Case:
    """Return the case without the settings as found that no choice depends on.

    The height at which the seat was found makes no difference to the footrest it needs. Two settings do count:
    the height of a seat that must not be moved, and the depth of a seat pan whose range is unknown.
    """
    found = case.found_seated
    kept = Settings(seat=found.seat if case.seat_stays else None, seat_depth=found.seat_depth)
    return changed(case, found_seated=kept, found_standing=Settings(), declared=frozenset())


class Choices:
    """What each tier adds to one case, whatever has been set already.

    Choices are kept with the visit and made again only when something they depend on has changed.
    """

    def __init__(self, case: Case, own: OwnNumbers) -> None:
        self._case, self._own = what_a_choice_rests_on(case), own

    @cached_property
    def solver(self) -> HeightSearch | None:
        """The search for heights, shared by every tier; None if the heights can't be worked out."""
        try:
            return HeightSearch(self._case, self._own)
        except MissingInput:
            return None

    @cached_property
    def _planner(self) -> Planner:
        return Planner(self._case, self._own)

    def of(self, tier: Tier) -> Choice:
        """Return what a tier adds."""

        def choose(case: Case, own: OwnNumbers) -> Choice:
            solver = self.solver
            kit = best_additions(case, tier, solver, own=own, planner=self._planner)
            whole = solver is None or tier not in solver.cut_short
            return Choice(additions=kit, own=own, whole=whole)

        return self._case.reuse.last(CHOICES_KEPT, (Choices, tier), choose, self._case, self._own)


CHOICES_KEPT = 4
"""How many choices of one tier are kept for a visit: its places, and what is being tried. House value."""


def choose(case: Case, tier: Tier, own: OwnNumbers | None = None) -> Choice:
    """Choose what a tier adds, before anything stands.

    Parameters
    ----------
    case : Case
        With the pieces as they are.
    tier : {"room", "little", "lasting", "own"}
    own : OwnNumbers, optional
        The practitioner's own numbers.

    """
    return Choices(case, own or OwnNumbers()).of(tier)


def plan_of(case: Case, tier: Tier, choice: Choice) -> AppliedPlan:
    """Return the plan that a choice makes."""
    plan = Planner(case, choice.own).plan(tier, choice.additions, whole=choice.whole)
    if not choice.follows_seat:
        return plan
    return replace(plan, cautions=(FEET_FOLLOW, *plan.cautions))


def make_plans(
    case: Case, *, own: OwnNumbers | None = None, fixes: bool = True, worth: bool = True
) -> PlanSet:
    """Three plans and what single purchases remove.

    Parameters
    ----------
    case : Case
    own : Own, optional
        The practitioner's own numbers; they hold in every plan.
    fixes : bool
        Whether single purchases are ranked.
    worth : bool
        Whether it is worked out what each addition alone removes; 0 otherwise.

    Returns
    -------
    WorkedOut
        Plans for the room, for little money, and to last, in this order.

    """
    own = own or OwnNumbers()
    planner, choices = Planner(case, own), Choices(case, own)
    tiers: tuple[Tier, ...] = (*TIERS_OFFERED, "own") if own.taken else TIERS_OFFERED
    chosen = [(tier, choices.of(tier)) for tier in tiers]
    plans = tuple(
        planner.plan(tier, choice.additions, whole=choice.whole, worth=worth)
        for tier, choice in chosen
    )
    return PlanSet(
        plans=plans, fixes=single_purchases(planner, plans[0], choices.solver) if fixes else ()
    )
