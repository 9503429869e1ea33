"""The plan that a visit takes, and the case with its additions."""

from __future__ import annotations

from dataclasses import dataclass, replace

from ..catalogue import Tier
from ..fit import Case
from ..plans import Choice, OwnNumbers, choose, with_additions
from ..record import fields
from ..reuse import reuse_last
from ..workstation import Settings
from .visit_input import VisitInput, case_of


@dataclass(frozen=True, kw_only=True)
class TakenPlan:
    """The case as it is, and with the additions of the plan that was taken."""

    bare: Case
    case: Case
    plan: Tier
    choice: Choice

    def given(self, stands: tuple[Settings, Settings]) -> TakenPlan:
        """Return the plan with the support for the feet matched to where the seat is now."""
        choice = self.choice.for_what_stands(self.bare, self.plan, stands)
        if choice is self.choice:
            return self
        return replace(self, case=_with(self.bare, choice), choice=choice)


OWN_SETTINGS = frozenset(
    own_number_fields.value.id
    for own in fields.work.own_number.values()
    for own_number_fields in own.values()
)
"""What the case and its additions don't depend on."""


@reuse_last(4)
def taken_plan(visit_input: VisitInput, own: OwnNumbers, brief: bool) -> TakenPlan:
    """Return the case of a visit with the additions of its plan; worked out once for each."""
    bare = replace(case_of(visit_input), uncertain=not brief)
    plan = visit_input.record[fields.work.plan] or "room"
    choice = choose(bare, plan, own)
    return TakenPlan(bare=bare, case=_with(bare, choice), plan=plan, choice=choice)


def _with(bare: Case, choice: Choice) -> Case:
    if not choice.additions:
        return bare
    return replace(bare, workstation=with_additions(bare.workstation, choice.additions))
