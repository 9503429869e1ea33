"""What the body does at the workstation as found: feet, thighs, elbows, from numbers, in words.

Sentences about seat, feet and thigh room are made here from what is true of this body as found, not
from where a height lies against its target.
"""

from __future__ import annotations

from dataclasses import dataclass

from ..errors import MissingInput
from ..fit import Case, FitResult, Joint
from ..fit.frame import legs_terms
from ..fit.terms import total

SAME_MM = 0.5


@dataclass(frozen=True, kw_only=True)
class AsFound:
    """The body as found, mm; None where it can't be told.

    ``feet_hang`` is what the feet lack of a support, ``thighs_pressed`` how far the thighs stand in
    what is over them (negative: room left).
    """

    feet_hang: float | None
    thighs_pressed: float | None
    thigh_room: float
    knee: Joint | None
    elbow: Joint | None
    on_footrest: bool


def as_found(case: Case, result: FitResult) -> AsFound:
    """What was found does to this body, seated."""
    found, joints = case.found_seated, {one.joint: one for one in result.seated.joints_found}
    return AsFound(
        feet_hang=_feet_hang(case),
        thighs_pressed=_thighs_pressed(case),
        thigh_room=case.policy.thigh_room,
        knee=joints.get("knee"),
        elbow=joints.get("elbow"),
        on_footrest=bool(found.footrest),
    )


def _feet_hang(case: Case) -> float | None:
    seat, rest = case.found_seated.seat, case.found_seated.footrest
    if seat is None or rest is None or case.own_seat:
        return None
    try:
        legs = total(legs_terms(case.body, case))
    except MissingInput:
        return None
    over = seat - rest - legs
    return over if over > case.policy.flat_feet_margin + SAME_MM else 0.0


def _thighs_pressed(case: Case) -> float | None:
    seat, surface = case.found_seated.seat, case.found_seated.surface
    under, thickness = case.details.underside, case.workstation.desk.thickness
    if under is None:
        under = case.workstation.desk.underside
    if under is None and surface is not None and thickness is not None:
        under = surface - thickness
    if seat is None or under is None or not case.body.has("thigh_clearance"):
        return None
    return seat + case.body.mm("thigh_clearance") - under
