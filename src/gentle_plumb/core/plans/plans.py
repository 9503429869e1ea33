"""Three plans for one client, and the practitioner's own."""

from __future__ import annotations

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import Case
from .addition_sets import best_additions
from .height_search import HeightSearch, OwnNumbers
from .own_plan import TIERS_OFFERED
from .plan import Plan, PlanSet
from .planner import Planner
from .purchases import single_purchases


def one_plan(case: Case, tier: Tier, *, own: OwnNumbers | None = None) -> Plan:
    """The plan of one tier alone."""
    return _plan(Planner(case, own or OwnNumbers()), tier, _solver(case, own), own)


def _solver(case: Case, own: OwnNumbers | None) -> HeightSearch | None:
    try:
        return HeightSearch(case, own)
    except MissingInput:
        return None


def _plan(
    planner: Planner, tier: Tier, solver: HeightSearch | None, own: OwnNumbers | None
) -> Plan:
    kit = best_additions(planner.case, tier, solver, own=own)
    return planner.plan(tier, kit, whole=solver is None or tier not in solver.cut_short)


def make_plans(case: Case, *, own: OwnNumbers | None = None, fixes: bool = True) -> PlanSet:
    """Three plans and what single purchases remove.

    Parameters
    ----------
    case : Case
    own : Own, optional
        The practitioner's own numbers; they hold in every plan.
    fixes : bool
        Whether single purchases are ranked.

    Returns
    -------
    WorkedOut
        Plans for the room, for little money, and to last, in this order.

    """
    planner = Planner(case, own or OwnNumbers())
    solver = _solver(case, own)
    tiers: tuple[Tier, ...] = TIERS_OFFERED
    if own is not None and own.taken:
        tiers = (*tiers, "own")
    plans = tuple(_plan(planner, tier, solver, own) for tier in tiers)
    return PlanSet(plans=plans, fixes=single_purchases(planner, plans[0]) if fixes else ())
