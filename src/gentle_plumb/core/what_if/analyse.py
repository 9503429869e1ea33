"""From a visit's entries to the visit worked through.

One way for the server and for the page: the server keeps what comes out, the page tries what would.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ..findings import Facts, findings
from ..fit import Given, aimed_settings, fit_as_set
from ..photo import PhotoReading, read_photo
from ..plans import OwnNumbers, added_by
from ..record import Record
from ..states import StateSources, answers_of, given_by, keys_not_measured, settings_set, states_of
from ..units import LengthUnit
from ..visit import chosen_policies, held_back, overrules, photos_from, selected_additions
from ..workstation import Settings
from .analysis import VisitAnalysis
from .taken_plan import OWN_SETTINGS, taken_plan
from .visit_input import VisitInput


def analyse_visit(
    visit_input: VisitInput,
    unit: LengthUnit,
    *,
    judged: bool = True,
    kept: Record | None = None,
    brief: bool = False,
) -> VisitAnalysis:
    """Work a visit through.

    Parameters
    ----------
    visit_input : VisitInput
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
    record = visit_input.record
    own = overrules(record)
    numbers = own if kept is None else overrules(kept)
    others = {path: value for path, value in visit_input.values.items() if path not in OWN_SETTINGS}
    place = taken_plan(
        replace(visit_input, values=others),
        OwnNumbers(seated=numbers[0], standing=numbers[1], taken=selected_additions(record)),
        brief,
    )
    all_settings = place.bare.found_seated, place.bare.found_standing
    held = held_back(record, visit_input.as_of)
    placed = given_by(record, all_settings, held) if kept is None else Given()
    meant = place.case
    place = place.given(placed.all)
    case = place.case
    fitted = fit_as_set(case, own=own, given=placed, meant=meant)
    result = fitted.result
    computed = Settings(), Settings()
    if not brief and any(settings != Settings() for settings in own):
        plain = aimed_settings(case)
        computed = plain.seated, plain.standing or Settings()
    shown = photos_from(record, visit_input.photos) if judged else ()
    read: Sequence[PhotoReading] = [
        visit_input.reuse.last(2, (read_photo, photo.id), read_photo, photo) for photo in shown
    ]
    states = states_of(
        StateSources(
            record=record,
            result=result,
            place=visit_input.place,
            added=added_by(place.choice.additions),
            declared=case.declared,
            said=answers_of(record),
            held=held,
        )
    )
    facts = Facts(
        record=record,
        case=case,
        result=result,
        stands=fitted.stands,
        photos=tuple(read),
        unit=unit,
        left=settings_set(states),
        not_remeasured=keys_not_measured(states),
        added=added_by(place.choice.additions),
    )
    return VisitAnalysis(
        visit_input=visit_input,
        bare=place.bare,
        case=case,
        plan=place.plan,
        choice=place.choice,
        result=result,
        stands=fitted.stands,
        fitted=fitted,
        states=states,
        facts=facts,
        photos=tuple(read),
        findings=findings(facts) if judged else [],
        bundle={**visit_input.practice, **chosen_policies(record)},
        own=own,
        computed=computed,
    )
