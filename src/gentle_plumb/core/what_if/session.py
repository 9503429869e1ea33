"""The bench of "what if": the visit with something typed over it, worked through and drawn.

What is tried is a mapping from fields to what is typed into them, laid over the visit's entries: a
setting of one's own, a choice, a number of the policy, a piece. Nothing is kept. The same files
run on the server and in the page.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

from ..catalogue import QUANTITIES
from ..drawing import Scene, SceneRequest
from ..errors import FieldError
from ..findings import Finding
from ..fit import notes_in
from ..presentation import (
    JointView,
    OfferView,
    PlanView,
    PurchaseView,
    RowView,
    offer_views,
    plan_views,
)
from ..record import field_of, fields, read_typed
from ..units import LengthUnit
from ..workstation import TiltFeet
from .analyse import analyse_visit
from .analysis import VisitAnalysis
from .changes import (
    FOUND_AT,
    FindingSummary,
    SettingChange,
    carry_over_uncertainty,
    off_in,
    out_of_band_messages,
    residual_strain,
    setting_changes,
    summary_of,
)
from .visit_input import VisitInput

WhatIfOverrides = Mapping[str, str]
"""What is typed, by field; an empty text clears the field."""


@dataclass(frozen=True, kw_only=True)
class InvalidOverride:
    """A try that can't be read or is out of range: it is left out, the others count."""

    field: str
    detail: str


@dataclass(frozen=True, kw_only=True)
class WhatIfResult:
    """What a try comes to, and what moved against what it is compared with.

    ``findings`` is what would be off in settings and joints; ``resolved`` and ``new`` are the visit's
    own findings that would be no more, or new, were it set like this; ``unchanged`` counts the rest.
    The last three are left out of brief answers.
    """

    rows: list[RowView]
    joints: list[JointView]
    excess_deg: float
    minutes: float | None
    setting_changes: list[SettingChange]
    findings: list[FindingSummary]
    resolved: list[FindingSummary]
    new: list[FindingSummary]
    unchanged: int
    notes: list[str]
    plans: list[PlanView]
    fixes: list[PurchaseView]
    offers: list[OfferView]
    troubles: list[InvalidOverride]
    bundle: dict[str, str]
    scene: Scene


@dataclass(frozen=True, kw_only=True)
class WhatIfRequest:
    """What is tried, in which unit, drawn how, against what; with all plans or without.

    ``behind`` draws what it is compared with faintly behind it; ``brief`` leaves out what rows rest
    on and what was computed under own numbers: for while a hand is moving.
    """

    overrides: WhatIfOverrides
    unit: LengthUnit = "cm"
    scene: SceneRequest = SceneRequest()
    against: WhatIfOverrides | None = None
    behind: bool = False
    plans: bool = False
    found: bool = False
    brief: bool = False


def overridden_values(
    visit_input: VisitInput, tries: WhatIfOverrides, unit: LengthUnit
) -> tuple[VisitInput, list[InvalidOverride]]:
    """The visit with what is typed laid over it, and what could not be."""
    values, troubles = dict(visit_input.values), []
    for path, typed in tries.items():
        try:
            values[path] = read_typed(field_of(path), typed, unit=unit)
        except FieldError as error:
            troubles.append(InvalidOverride(field=path, detail=error.message))
    return replace(visit_input, values=values), troubles


def as_found(visit_input: VisitInput) -> dict[str, str]:
    """Tries that set everything as it was found, where that is recorded; lengths in mm."""
    tries, record = {}, visit_input.record
    for posture, found in FOUND_AT.items():
        for key, field in found.items():
            value, own = record[field], fields.work.own_number[posture].get(key)
            if value is not None and own is not None:
                unit = " mm" if QUANTITIES[key].unit == "mm" else ""
                tries[own.value.id] = f"{value!r}{unit}"
    return tries


def with_settings_applied(visit_input: VisitInput, analysis: VisitAnalysis) -> VisitInput:
    """The visit as it would be found if everything were set as worked out."""
    values = dict(visit_input.values)
    for posture, found in FOUND_AT.items():
        fit = analysis.result.of(posture)
        for key, field in found.items():
            setting = fit.setting(key)
            if fit.possible and setting is not None:
                values[field.id] = setting
        scale = fit.setting("scale")
        if scale is not None:
            values[fields.screens.main.scale.id] = scale
        slope = fit.setting("slope")
        if fit.possible and slope is not None and slope <= 0:
            values[fields.keyboard.feet.id] = TiltFeet.IN
    return replace(visit_input, values=values)


class WhatIfSession:
    """Tries one visit in many ways; what it is compared with is worked through once."""

    def __init__(self, given: VisitInput) -> None:
        self.visit_input = given
        self._against: tuple[tuple[tuple[str, str], ...], LengthUnit, VisitAnalysis] | None = None
        self._off: dict[LengthUnit, dict[str, Finding]] = {}

    def _compared_with(self, tries: WhatIfOverrides, unit: LengthUnit) -> VisitAnalysis:
        key = tuple(sorted(tries.items()))
        if self._against is None or self._against[:2] != (key, unit):
            visit_input, _ = overridden_values(self.visit_input, tries, unit)
            self._against = (
                key,
                unit,
                analyse_visit(visit_input, unit, judged=False, kept=self.visit_input.record),
            )
        return self._against[2]

    def _off_now(self, unit: LengthUnit) -> dict[str, Finding]:
        """The visit's findings as it is."""
        if unit not in self._off:
            self._off[unit] = off_in(analyse_visit(self.visit_input, unit))
        return self._off[unit]

    def try_out(self, request: WhatIfRequest) -> WhatIfResult:
        """Work a try through and say what moved."""
        tries = (
            {**as_found(self.visit_input), **request.overrides}
            if request.found
            else request.overrides
        )
        visit_input, troubles = overridden_values(self.visit_input, tries, request.unit)
        analysis = analyse_visit(
            visit_input,
            request.unit,
            judged=False,
            kept=self.visit_input.record,
            brief=request.brief,
        )
        before = self._compared_with(request.against or {}, request.unit)
        if request.brief:
            analysis = carry_over_uncertainty(before, analysis)
        over, minutes = residual_strain(analysis)
        now, then = {}, {}
        if not request.brief:
            now = self._off_now(request.unit)
            set_so = with_settings_applied(visit_input, analysis)
            then = off_in(analyse_visit(set_so, request.unit, kept=self.visit_input.record))
        money = visit_input.money
        plans, fixes = (
            plan_views(analysis.plans(), request.unit, money) if request.plans else ([], [])
        )
        return WhatIfResult(
            rows=analysis.rows(request.unit, brief=request.brief),
            joints=analysis.joints(),
            excess_deg=over,
            minutes=minutes,
            setting_changes=setting_changes(before.result, analysis.result, request.unit),
            findings=out_of_band_messages(analysis, request.unit),
            resolved=[summary_of(finding) for id, finding in now.items() if id not in then],
            new=[summary_of(finding) for id, finding in then.items() if id not in now],
            unchanged=len(now.keys() & then.keys()),
            notes=list(notes_in(analysis.case, analysis.result, request.unit)),
            plans=plans,
            fixes=fixes,
            offers=offer_views(analysis.offers(), request.unit, money) if request.plans else [],
            troubles=troubles,
            bundle=dict(analysis.bundle),
            scene=analysis.scene(request.scene, behind=before if request.behind else None),
        )
