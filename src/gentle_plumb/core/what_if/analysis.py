"""A visit worked through: rows, joints, findings and plans."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

from ..actions import Action, ActionSources, actions_of, height_now
from ..assessment import VisitAssessment
from ..catalogue import QUANTITIES, Tier
from ..drawing import Scene, SceneRequest, draw_scene
from ..findings import Causes, Facts, Finding, Strain, causes_of, strain_by_region
from ..fit import Case, FitResult, GivenFit, working_order
from ..movements import Programme
from ..observation import techniques_for
from ..photo import PhotoReading
from ..plans import (
    AdditionSet,
    AppliedPlan,
    Choice,
    Offer,
    OwnNumbers,
    PlanSet,
    added_by,
    layers_of,
    make_plans,
    offers_of,
    plan_of,
)
from ..presentation import JointView, RowView, joint_views, laptop_views, row_view
from ..record import Record, fields
from ..states import States, answers_of
from ..units import LengthUnit
from ..visit import display_offset, held_back, raised_red_flags, selected_additions
from ..workstation import Settings
from .needs import programme_of
from .visit_input import VisitInput


@dataclass(frozen=True, kw_only=True)
class VisitAnalysis:
    """A visit worked through. ``plan`` is the chosen one; ``case`` has its additions in place.

    ``result`` has what each thing is meant to be, given what stands before it; ``stands`` is the workstation as it
    will be; ``states`` is what became of everything that can be set. ``fitted`` also tells what would apply if
    nothing had been set yet.
    """

    visit_input: VisitInput
    bare: Case
    case: Case
    plan: Tier
    choice: Choice
    result: FitResult
    stands: FitResult
    fitted: GivenFit
    states: States
    facts: Facts
    photos: tuple[PhotoReading, ...]
    findings: list[Finding]
    bundle: Mapping[str, str]
    own: tuple[Settings, Settings]
    computed: tuple[Settings, Settings]

    def rows(self, unit: LengthUnit, *, brief: bool = False) -> list[RowView]:
        """Every row in words; in brief without what it rests on."""
        record = self.visit_input.record
        if brief:
            values = self.visit_input.values.items()
            record = Record({path: value for path, value in values if path in IN_BRIEF})
        offset = display_offset(self.visit_input.record)
        return [
            self.visit_input.reuse.last(
                2,
                (row_view, row.posture, row.key),
                row_view,
                row,
                self.case,
                record,
                unit,
                today=self.visit_input.today,
                bundle=self.bundle,
                state=self.states.get((row.posture, row.key)),
                own=self.own[index].get(row.key),
                computed=self.computed[index].get(row.key),
                offset=offset,
                brief=brief,
            )
            for index, posture in enumerate((self.result.seated, self.result.standing))
            for row in posture.rows
            if index or self.case.sits
        ]

    @property
    def additions(self) -> AdditionSet:
        """What the plan adds."""
        return self.choice.additions

    @property
    def assessment(self) -> VisitAssessment:
        """What is true of this body as found, as aimed at and as set."""
        return self.facts.assessment

    @property
    def left(self) -> tuple[Settings, Settings]:
        """What was set, seated and standing."""
        return self.facts.left

    def causes(self) -> Causes:
        """What is off, by mechanism."""
        return causes_of(self.facts, self.findings)

    def actions(self) -> tuple[Action, ...]:
        """Return what is to be done: referrals, settings, additions, technique."""
        record = self.visit_input.record
        return actions_of(
            ActionSources(
                order=working_order(self.case, self.result),
                states=self.states,
                added=added_by(self.additions),
                findings=self.findings,
                red_flags=raised_red_flags(record),
                turns=[
                    (laptop_view.id, laptop_view.words)
                    for laptop_view in laptop_views(self.case, self.facts.unit)
                ],
                techniques=techniques_for(self.case.hours, self.case.person),
                said=answers_of(record),
            )
        )

    def programme(self) -> Programme:
        """At most five movements, from where it hurts and what is loaded, within the limits."""
        return programme_of(
            self.visit_input.record,
            self.facts,
            self.strain(),
            self.case.person,
            held_back(self.visit_input.record, self.visit_input.as_of),
        )

    def joints(self) -> list[JointView]:
        """Every joint in words."""
        return joint_views(self.result)

    def strain(self) -> list[Strain]:
        """What the findings come to by region."""
        return list(strain_by_region(self.findings))

    def plans(self) -> PlanSet:
        """All three plans and single purchases; the one that was taken as it is now."""
        plan_set = make_plans(self.bare, own=self._numbers())
        if not self.choice.follows_seat:
            return plan_set
        plans = (self.chosen_plan() if plan.id == self.plan else plan for plan in plan_set.plans)
        return replace(plan_set, plans=tuple(plans))

    def offers(self) -> tuple[Offer, ...]:
        """Everything that can be ticked for the practitioner's own plan."""
        return offers_of(self.bare, own=self._numbers())

    def chosen_plan(self) -> AppliedPlan:
        """The plan that was taken, alone; a support for the feet as high as it is to be now."""
        plan = plan_of(self.bare, self.plan, self.choice)
        added = tuple(replace(added, height=height_now(self.states, added)) for added in plan.added)
        return replace(plan, added=added)

    def _numbers(self) -> OwnNumbers:
        return OwnNumbers(
            seated=self.own[0],
            standing=self.own[1],
            taken=selected_additions(self.visit_input.record),
        )

    def scene(self, request: SceneRequest, *, behind: VisitAnalysis | None = None) -> Scene:
        """The drawing; another one faintly behind it where there is one to compare with."""
        keys = tuple(
            {
                quantity.key
                for quantity in QUANTITIES.values()
                if settings.get(quantity.key) is not None
            }
            for settings in self.own
        )
        return draw_scene(
            self.case,
            self.stands,
            request,
            left=self.left,
            overruled=(keys[0], keys[1]),
            seen={id: habit.text for id, habit in self.facts.seen.items()},
            behind=(behind.case, behind.stands) if behind is not None else None,
            layers=layers_of(self.additions, self.bare.workstation.items),
        )


IN_BRIEF = frozenset(
    own_number_fields.why.id
    for own in fields.work.own_number.values()
    for own_number_fields in own.values()
) | frozenset(
    setting_fields.by.id
    for those in fields.settings.setting.values()
    for setting_fields in those.values()
)
"""All that a row in brief takes from the record: reasons for own numbers, and how things were re-measured."""
