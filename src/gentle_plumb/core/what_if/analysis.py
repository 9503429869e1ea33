"""A visit worked through: from its entries to rows, joints, findings and plans.

One way for the server and for the page: the server keeps what comes out, the page tries what
would.
"""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from typing import Any

from ..actions import Action, ActionSources, actions_of, answers_of
from ..assessment import VisitAssessment
from ..catalogue import QUANTITIES, Tier
from ..drawing import Scene, SceneRequest, draw_scene
from ..findings import Causes, Facts, Finding, Strain, causes_of, findings, strain_by_region
from ..fit import Case, FitResult, FitRow, aimed_settings, fit, working_order
from ..memoize import memoize_last
from ..movements import Programme
from ..observation import techniques_for
from ..photo import PhotoReading, read_photo
from ..plans import (
    AdditionSet,
    Offer,
    OwnNumbers,
    Plan,
    PlanSet,
    added_by,
    layers_of,
    make_plans,
    offers_of,
    one_plan,
)
from ..presentation import JointView, RowView, joint_views, laptop_views, row_view
from ..record import Record, fields
from ..units import LengthUnit
from ..visit import (
    chosen_policies,
    display_offset,
    keys_not_remeasured,
    overrules,
    photos_from,
    raised_red_flags,
    settings_left,
    things_taken,
)
from ..workstation import Settings
from .needs import programme_of
from .taken_plan import OWN_SETTINGS, taken_plan
from .visit_input import VisitInput


@dataclass(frozen=True, kw_only=True)
class VisitAnalysis:
    """A visit worked through. ``plan`` is the chosen one; ``case`` has its additions in place."""

    given: VisitInput
    bare: Case
    case: Case
    plan: Tier
    kit: AdditionSet
    result: FitResult
    facts: Facts
    photos: tuple[PhotoReading, ...]
    findings: list[Finding]
    bundle: Mapping[str, str]
    own: tuple[Settings, Settings]
    computed: tuple[Settings, Settings]
    left: tuple[Settings, Settings]

    def rows(self, unit: LengthUnit, *, brief: bool = False) -> list[RowView]:
        """Every row in words; in brief without what it rests on."""
        record = self.given.record
        if brief:
            values = self.given.values.items()
            record = Record({path: value for path, value in values if path in IN_BRIEF})
        offset = display_offset(self.given.record)
        return [
            _row_view(
                row,
                self.case,
                record,
                unit,
                today=self.given.today,
                bundle=self.bundle,
                left=self.left[index].get(row.key),
                unmeasured=row.key in self.facts.not_remeasured[index],
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
    def assessment(self) -> VisitAssessment:
        """What is true of this body as found, as aimed at and as set."""
        return self.facts.assessment

    def causes(self) -> Causes:
        """What is off, by mechanism."""
        return causes_of(self.facts, self.findings)

    def actions(self) -> tuple[Action, ...]:
        """Return what is to be done: referrals, settings, additions, technique."""
        record = self.given.record
        return actions_of(
            ActionSources(
                order=working_order(self.case, self.result),
                left=self.left,
                added=added_by(self.kit),
                findings=self.findings,
                red_flags=raised_red_flags(record),
                turns=[(one.id, one.words) for one in laptop_views(self.case, self.facts.unit)],
                techniques=techniques_for(self.case.hours, self.case.person),
                said=answers_of(record),
            )
        )

    def programme(self) -> Programme:
        """At most five movements, from where it hurts and what is loaded, within the limits."""
        return programme_of(self.given.record, self.facts, self.strain(), self.case.person)

    def joints(self) -> list[JointView]:
        """Every joint in words."""
        return joint_views(self.result)

    def strain(self) -> list[Strain]:
        """What the findings come to by region."""
        return list(strain_by_region(self.findings))

    def plans(self) -> PlanSet:
        """All three plans and single purchases."""
        return make_plans(self.bare, own=self._numbers())

    def offers(self) -> tuple[Offer, ...]:
        """Everything that can be ticked for a plan of one's own."""
        return offers_of(self.bare, own=self._numbers())

    def chosen_plan(self) -> Plan:
        """The plan that was taken, alone."""
        return one_plan(self.bare, self.plan, own=self._numbers())

    def _numbers(self) -> OwnNumbers:
        return OwnNumbers(
            seated=self.own[0], standing=self.own[1], taken=things_taken(self.given.record)
        )

    def scene(self, request: SceneRequest, *, behind: VisitAnalysis | None = None) -> Scene:
        """The drawing; another one faintly behind it where there is one to compare with."""
        keys = tuple(
            {one.key for one in QUANTITIES.values() if settings.get(one.key) is not None}
            for settings in self.own
        )
        return draw_scene(
            self.case,
            self.result,
            request,
            left=self.left,
            overruled=(keys[0], keys[1]),
            seen={id: habit.text for id, habit in self.facts.seen.items()},
            behind=(behind.case, behind.result) if behind is not None else None,
            layers=layers_of(self.kit, self.bare.workstation.items),
        )


def _which(row: FitRow, *_: Any, **__: Any) -> tuple[str, str]:
    return row.posture, row.key


_row_view = memoize_last(2, by=_which)(row_view)


IN_BRIEF = frozenset(
    one.why.id for own in fields.work.own_number.values() for one in own.values()
) | frozenset(one.by.id for those in fields.settings.setting.values() for one in those.values())
"""All that a row in brief takes from the record: reasons for own numbers, and how things were re-measured."""


def analyse_visit(
    given: VisitInput,
    unit: LengthUnit,
    *,
    judged: bool = True,
    kept: Record | None = None,
    brief: bool = False,
) -> VisitAnalysis:
    """Work a visit through.

    Parameters
    ----------
    given : VisitInput
    unit : {"mm", "cm", "in"}
        Of the findings' words.
    judged : bool
        False leaves the findings out, and the photographs they rest on.
    kept : Record, optional
        The record whose own numbers the plan's additions are chosen with, where something is only
        tried: a hand that drags a flag through the room must not buy a footrest on the way.
    brief : bool
        Without what would be computed under the own numbers, and without how sure targets are.

    """
    record = given.record
    own = overrules(record)
    held = own if kept is None else overrules(kept)
    others = {path: value for path, value in given.values.items() if path not in OWN_SETTINGS}
    place = taken_plan(
        replace(given, values=others),
        OwnNumbers(seated=held[0], standing=held[1], taken=things_taken(record)),
        brief,
    )
    case = place.case
    result = fit(case, overrule_seated=own[0], overrule_standing=own[1])
    computed = Settings(), Settings()
    if not brief and any(one != Settings() for one in own):
        plain = aimed_settings(case)
        computed = plain.seated, plain.standing or Settings()
    shown = photos_from(record, given.photos) if judged else ()
    read: Sequence[PhotoReading] = [read_photo(one) for one in shown]
    facts = Facts(
        record=record,
        case=case,
        result=result,
        photos=tuple(read),
        unit=unit,
        left=settings_left(record),
        not_remeasured=keys_not_remeasured(record),
    )
    return VisitAnalysis(
        given=given,
        bare=place.bare,
        case=case,
        plan=place.plan,
        kit=place.kit,
        result=result,
        facts=facts,
        photos=tuple(read),
        findings=findings(facts) if judged else [],
        bundle={**given.practice, **chosen_policies(record)},
        own=own,
        computed=computed,
        left=settings_left(record),
    )
