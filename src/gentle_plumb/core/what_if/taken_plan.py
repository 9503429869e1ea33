"""The plan that a visit takes, and the case with its additions."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..catalogue import Tier
from ..fit import Case
from ..memoize import memoize_last
from ..plans import AdditionSet, OwnNumbers, best_additions, with_additions
from ..record import fields
from .visit_input import VisitInput, case_of


@dataclass(frozen=True, kw_only=True)
class TakenPlan:
    """The case as it is, and with the additions of the plan that was taken."""

    bare: Case
    case: Case
    plan: Tier
    kit: AdditionSet


OWN_SETTINGS = frozenset(
    one.value.id for own in fields.work.own_number.values() for one in own.values()
)
"""What the case and its additions don't depend on."""


@memoize_last(4)
def taken_plan(given: VisitInput, own: OwnNumbers, brief: bool) -> TakenPlan:
    """Return the case of a visit with the additions of its plan; worked out once for each."""
    bare = replace(case_of(given), uncertain=not brief)
    plan = given.record[fields.work.plan] or "room"
    kit = best_additions(bare, plan, own=own)
    case = replace(bare, workstation=with_additions(bare.workstation, kit)) if kit else bare
    return TakenPlan(bare=bare, case=case, plan=plan, kit=kit)
