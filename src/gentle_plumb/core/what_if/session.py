"""The bench of "what if": the visit with something typed over it, worked through and drawn.

What is tried is a mapping from fields to what is typed into them, laid over the visit's entries: a
setting of one's own, a choice, a number of the policy, a piece. Nothing is kept. The same files
run on the server and in the page.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

from ..assessment import Assessment
from ..catalogue import QUANTITIES
from ..drawing import Scene, SceneRequest
from ..errors import FieldError
from ..findings import Finding, effect_of
from ..fit import AimedSettings, FitResult, FitRow, Posture, PostureFit, notes_in
from ..memoize import memoize_last
from ..plans import total_of, what_is_left
from ..presentation import (
    JointView,
    PlanView,
    PurchaseView,
    RowView,
    apart_text,
    hard_limit_words,
    plan_views,
    value_text,
)
from ..record import Field, field_of, fields, read_typed
from ..units import LengthUnit
from ..words import say_change, say_degrees, say_joint, unit_of
from .analysis import VisitAnalysis, VisitInput, analyse_visit

WhatIfOverrides = Mapping[str, str]
"""What is typed, by field; an empty text clears the field."""

FOUND_AT: dict[Posture, dict[str, Field[float]]] = {
    "seated": {
        key: field
        for key, field in fields.found.by_quantity.items()
        if key in fields.settings.setting["seated"]
    },
    "standing": fields.found.standing,
}
"""The fields of what is set, as found, by posture and quantity."""

LEAST_MOVE_MM, LEAST_MOVE_DEG = 0.5, 0.5
"""Less than this has not moved. Source: house-repeat."""


@dataclass(frozen=True, kw_only=True)
class Trouble:
    """A try that can't be read or is out of range: it is left out, the others count."""

    field: str
    detail: str


@dataclass(frozen=True, kw_only=True)
class SettingChange:
    """A row or joint that is otherwise than before: both numbers, and by how much."""

    id: str
    posture: str
    label: str
    unit: str
    before: str
    after: str
    by: str


@dataclass(frozen=True, kw_only=True)
class FindingSummary:
    """What would be off if it were set like this, in one line."""

    id: str
    text: str


@dataclass(frozen=True, kw_only=True)
class WhatIfResult:
    """What a try comes to, and what moved against what it is compared with.

    ``findings`` is what would be off in settings and joints; ``gone`` and ``come`` are the visit's
    own findings that would be no more, or new, were it set like this; ``stays`` counts the rest.
    The last three are left out of brief answers.
    """

    rows: list[RowView]
    joints: list[JointView]
    over: float
    minutes: float | None
    setting_changes: list[SettingChange]
    findings: list[FindingSummary]
    gone: list[FindingSummary]
    come: list[FindingSummary]
    stays: int
    notes: list[str]
    plans: list[PlanView]
    fixes: list[PurchaseView]
    troubles: list[Trouble]
    bundle: dict[str, str]
    scene: Scene


@dataclass(frozen=True, kw_only=True)
class WhatIfRequest:
    """What is tried, in which unit, drawn how, against what; with all plans or without.

    ``behind`` draws what it is compared with faintly behind it; ``brief`` leaves out what rows rest
    on and what was computed under own numbers: for while a hand is moving.
    """

    tries: WhatIfOverrides
    unit: LengthUnit = "cm"
    scene: SceneRequest = SceneRequest()
    against: WhatIfOverrides | None = None
    behind: bool = False
    plans: bool = False
    found: bool = False
    brief: bool = False


def overridden_values(
    given: VisitInput, tries: WhatIfOverrides, unit: LengthUnit
) -> tuple[VisitInput, list[Trouble]]:
    """The visit with what is typed laid over it, and what could not be."""
    values, troubles = dict(given.values), []
    for path, typed in tries.items():
        try:
            values[path] = read_typed(field_of(path), typed, unit=unit)
        except FieldError as error:
            troubles.append(Trouble(field=path, detail=error.message))
    return replace(given, values=values), troubles


def as_found(given: VisitInput) -> dict[str, str]:
    """Tries that set everything as it was found, where that is recorded; lengths in mm."""
    tries, record = {}, given.record
    for posture, found in FOUND_AT.items():
        for key, field in found.items():
            value, own = record[field], fields.work.own_number[posture].get(key)
            if value is not None and own is not None:
                unit = " mm" if QUANTITIES[key].unit == "mm" else ""
                tries[own.value.id] = f"{value!r}{unit}"
    return tries


def with_settings_applied(given: VisitInput, through: VisitAnalysis) -> VisitInput:
    """The visit as it would be found if everything were set as worked out."""
    values = dict(given.values)
    for posture, found in FOUND_AT.items():
        fit = through.result.of(posture)
        for key, field in found.items():
            setting = fit.setting(key)
            if fit.possible and setting is not None:
                values[field.id] = setting
    return replace(given, values=values)


def _named(finding: Finding) -> FindingSummary:
    where = ", standing" if finding.posture == "standing" else ""
    return FindingSummary(id=finding.id, text=f"{finding.title}{where}")


def off_in(through: VisitAnalysis) -> dict[str, Finding]:
    """What is off, by its id; what the practitioner has dismissed is not."""
    return {
        one.id: one for one in through.findings if one.state == "off" and one.verdict != "dismissed"
    }


class WhatIfSession:
    """Tries one visit in many ways; what it is compared with is worked through once."""

    def __init__(self, given: VisitInput) -> None:
        self.given = given
        self._against: tuple[tuple[tuple[str, str], ...], LengthUnit, VisitAnalysis] | None = None
        self._off: dict[LengthUnit, dict[str, Finding]] = {}

    def _compared_with(self, tries: WhatIfOverrides, unit: LengthUnit) -> VisitAnalysis:
        key = tuple(sorted(tries.items()))
        if self._against is None or self._against[:2] != (key, unit):
            given, _ = overridden_values(self.given, tries, unit)
            self._against = (
                key,
                unit,
                analyse_visit(given, unit, judged=False, kept=self.given.record),
            )
        return self._against[2]

    def _off_now(self, unit: LengthUnit) -> dict[str, Finding]:
        """The visit's findings as it is."""
        if unit not in self._off:
            self._off[unit] = off_in(analyse_visit(self.given, unit))
        return self._off[unit]

    def try_out(self, request: WhatIfRequest) -> WhatIfResult:
        """Work a try through and say what moved."""
        tries = {**as_found(self.given), **request.tries} if request.found else request.tries
        given, troubles = overridden_values(self.given, tries, request.unit)
        through = analyse_visit(
            given, request.unit, judged=False, kept=self.given.record, brief=request.brief
        )
        before = self._compared_with(request.against or {}, request.unit)
        if request.brief:
            through = replace(through, result=carry_over_uncertainty(before.result, through.result))
        over, minutes = residual_strain(through)
        now, then = {}, {}
        if not request.brief:
            now = self._off_now(request.unit)
            set_so = with_settings_applied(given, through)
            then = off_in(analyse_visit(set_so, request.unit, kept=self.given.record))
        plans, fixes = plan_views(through.plans(), request.unit) if request.plans else ([], [])
        return WhatIfResult(
            rows=through.rows(request.unit, brief=request.brief),
            joints=through.joints(),
            over=over,
            minutes=minutes,
            setting_changes=setting_changes(before.result, through.result, request.unit),
            findings=out_of_band_messages(through, request.unit),
            gone=[_named(one) for id, one in now.items() if id not in then],
            come=[_named(one) for id, one in then.items() if id not in now],
            stays=len(now.keys() & then.keys()),
            notes=list(notes_in(through.case, through.result, request.unit)),
            plans=plans,
            fixes=fixes,
            troubles=troubles,
            bundle=dict(through.bundle),
            scene=through.scene(request.scene, behind=before if request.behind else None),
        )


@memoize_last(4)
def _errors_of(was: PostureFit, now: PostureFit) -> PostureFit:
    old = {row.key: row for row in was.rows}
    return replace(
        now,
        rows=tuple(
            row.but(sd=one.sd, shares=one.shares, estimated=one.estimated, retake=one.retake)
            if (one := old.get(row.key)) is not None and row.target is not None
            else row
            for row in now.rows
        ),
    )


def carry_over_uncertainty(before: FitResult, after: FitResult) -> FitResult:
    """The later result with the earlier one's errors: settings that are tried don't change them."""
    return replace(
        after,
        seated=_errors_of(before.seated, after.seated),
        standing=_errors_of(before.standing, after.standing),
    )


def out_of_band_messages(through: VisitAnalysis, unit: LengthUnit) -> list[FindingSummary]:
    """Return what would be off if everything were set like this, the hard limits first."""
    assessment = through.assessment
    found = [
        FindingSummary(id=f"hard.{index}", text=text)
        for index, text in enumerate(hard_limit_words(assessment.hard_limits("aimed"), unit))
    ]
    for assessed in assessment.aimed:
        if assessed.possible:
            found += _settings_off(assessed, unit)
            found += _joints_off(assessed)
    return found


def _settings_off(assessed: Assessment, unit: LengthUnit) -> list[FindingSummary]:
    found = []
    for state in assessed.settings:
        quantity, excess = state.quantity, state.excess
        if not excess or not quantity.judged or abs(excess) < LEAST_MOVE_MM:
            continue
        effect = effect_of(assessed, state)
        if effect is None:
            continue
        where = ", standing" if assessed.posture == "standing" else ""
        by = say_change(quantity, excess, unit)
        sign = "°" if quantity.unit == "deg" else f" {unit_of(quantity, unit)}"
        found.append(
            FindingSummary(
                id=f"{assessed.posture}.{quantity.key}",
                text=f"{quantity.label}{where} {by}{sign} out of its band: {effect}.",
            )
        )
    return found


def _joints_off(assessed: Assessment) -> list[FindingSummary]:
    found = []
    standing = assessed.posture == "standing"
    for joint in assessed.joints:
        if joint.over and not (standing and joint.joint == "upper_arm"):
            side = "over" if joint.over > 0 else "under"
            words = say_joint(joint.joint, joint.angle or 0.0, 1)
            found.append(
                FindingSummary(
                    id=f"{assessed.posture}.joint.{joint.joint}",
                    text=f"{words}{', standing' if standing else ''}: "
                    f"{say_degrees(abs(joint.over), 1)} {side} its band.",
                )
            )
    return found


def residual_strain(through: VisitAnalysis) -> tuple[float, float | None]:
    """Degrees and strain minutes a day that stay outside the bands as set."""
    result = through.result
    stands = result.standing.possible and through.case.workstation.desk.kind == "sit_stand"
    settled = AimedSettings(
        seated=through.computed[0],
        standing=None,
        joints_seated=result.seated.joints_set,
        joints_standing=result.standing.joints_set if stands else (),
    )
    return total_of(what_is_left(through.case, settled))


def setting_changes(before: FitResult, after: FitResult, unit: LengthUnit) -> list[SettingChange]:
    """Every setting and joint that is otherwise, in mm and degrees."""
    found = []
    for posture in ("seated", "standing"):
        was, now = before.of(posture), after.of(posture)
        if not (was.possible and now.possible):
            continue
        old = {row.key: row for row in was.rows}
        for row in now.rows:
            one = _row_moved(old.get(row.key), row, unit)
            found += [one] if one else []
        angles = {joint.joint: joint for joint in was.joints_set}
        for joint in now.joints_set:
            then = angles[joint.joint].angle
            if then is None or joint.angle is None or abs(joint.angle - then) < LEAST_MOVE_DEG:
                continue
            if posture == "standing" and joint.joint == "upper_arm":
                continue
            by = joint.angle - then
            found.append(
                SettingChange(
                    id=f"joint.{joint.joint}",
                    posture=posture,
                    label=joint.label,
                    unit="°",
                    before=say_degrees(then, 1).removesuffix("°"),
                    after=say_degrees(joint.angle, 1).removesuffix("°"),
                    by=f"{'+' if by > 0 else '−'}{abs(by):.1f}",
                )
            )
    return found


def _row_moved(old: FitRow | None, row: FitRow, unit: LengthUnit) -> SettingChange | None:
    was = old.setting if old is not None else None
    if row.setting is None or was is None or abs(row.setting - was) < LEAST_MOVE_MM:
        return None
    if row.key == "desk_depth":
        return None
    return SettingChange(
        id=row.key,
        posture=row.posture,
        label=row.label,
        unit={"deg": "°", "%": "%", "mm": unit}[row.unit],
        before=value_text(row, was, unit) or "",
        after=value_text(row, row.setting, unit) or "",
        by=apart_text(row, row.setting - was, unit) or "",
    )
