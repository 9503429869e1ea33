"""Clearances and supports of a posture under given settings."""

from __future__ import annotations

from ..errors import MissingInput
from ..fit import Case, Frame, Joint, along_the_floor, armrest_need, finger, legs_terms, total
from ..language import msg
from ..words import say
from ..workstation import ArmrestKind, Settings
from .condition import Condition, lacking, untold

UNREACHABLE_MM = 1000.0
"""What keys that no arm reaches count as, mm: more than anything else can lack. Source: geometry."""
OWN_SEATING = msg("The client’s own seating supports the feet and the back: check by eye.")


def conditions_of(
    case: Case, settings: Settings, joints: tuple[Joint, ...], *, seated: bool, found: bool = False
) -> tuple[Condition, ...]:
    """Return every clearance and support that a posture has.

    Parameters
    ----------
    case : Case
        Body, pieces, policy and shoes.
    settings : Settings
        As found, as aimed at, or as set; mm and degrees.
    joints : tuple of Joint
        What these settings make of the joints.
    seated : bool
        Standing has the reach of the arms alone.
    found : bool
        Whether these are the settings as found, so that what was seen under the desk counts.

    """
    reach = _reach(joints)
    if not seated:
        return (reach,)
    under = underside(case, settings, found=found)
    return (
        _thighs(case, settings, under),
        _fixed_armrests(case, settings, under),
        _armrests(case, settings, under),
        _belly(case),
        reach,
        _feet(case, settings),
        _back(case, settings),
        _arms(case, settings),
    )


def underside(case: Case, settings: Settings, *, found: bool = False) -> float | None:
    """Return the height of the lowest part over the thighs, mm; None where it is not known."""
    if found and case.details.underside is not None:
        return case.details.underside
    return case.workstation.desk.underside_at(settings.surface)


def _thighs(case: Case, settings: Settings, under: float | None) -> Condition:
    if settings.seat is None or under is None or not case.body.has("thigh_clearance"):
        reason = msg("Seat, thighs or desk underside not recorded.")
        return untold("thighs", "clearance", reason)
    room = under - settings.seat - case.body.mm("thigh_clearance")
    return lacking("thighs", "clearance", case.policy.thigh_room - room, room=room, hard=True)


def _fixed_armrests(case: Case, settings: Settings, under: float | None) -> Condition:
    need = armrest_need(case.workstation)
    if need is None:
        return lacking("armrests_fixed", "clearance", 0.0, hard=True)
    if settings.seat is None or under is None:
        reason = msg("Seat or desk underside not recorded.")
        return untold("armrests_fixed", "clearance", reason)
    room = under - settings.seat - need
    return lacking("armrests_fixed", "clearance", -room, room=room, hard=True)


def _armrests(case: Case, settings: Settings, under: float | None) -> Condition:
    """Armrests that move: whether they pass under the desk even at their lowest."""
    chair = case.workstation.chair
    idle = case.seat_stays or case.policy.armrest_use == "off" or chair.armrests_idle
    span = chair.armrest
    if idle or chair.armrests != ArmrestKind.ADJUSTABLE or span is None or span.fixed:
        return lacking("armrests", "clearance", 0.0, hard=False)
    if settings.seat is None or under is None:
        return untold("armrests", "clearance", msg("Seat or desk underside not recorded."))
    room = under - settings.seat - span.low
    return lacking("armrests", "clearance", -room, room=room, hard=False)


def _belly(case: Case) -> Condition:
    try:
        floor = along_the_floor(case.body, case, elbow_deg=case.policy.elbow_angle, distance=0.0)
    except MissingInput as missing:
        return untold("belly", "clearance", missing.reason)
    if not floor.belly_checked:
        return untold("belly", "clearance", msg("Abdominal depth not measured."))
    return lacking("belly", "clearance", floor.belly_short, hard=True)


def _reach(joints: tuple[Joint, ...]) -> Condition:
    elbow = next((joint for joint in joints if joint.joint == "elbow"), None)
    if elbow is not None and elbow.out_of_reach:
        return lacking("reach", "clearance", UNREACHABLE_MM, hard=True)
    if elbow is None or elbow.angle is None:
        reason = (
            elbow.reason if elbow is not None and elbow.reason else msg("Elbow height not known.")
        )
        return untold("reach", "clearance", reason)
    return lacking("reach", "clearance", 0.0, hard=True)


def _feet(case: Case, settings: Settings) -> Condition:
    if case.seat_stays:
        return untold("feet", "support", _seating(case))
    if settings.seat is None or settings.footrest is None:
        reason = msg("Seat or foot support not recorded.")
        return untold("feet", "support", reason)
    try:
        legs = total(legs_terms(case.body, case))
    except MissingInput as missing:
        return untold("feet", "support", missing.reason)
    margin = case.policy.flat_feet_margin
    hang = settings.seat - settings.footrest - legs
    return lacking("feet", "support", hang if hang > margin + 0.5 else 0.0, hard=True)


def _back(case: Case, settings: Settings) -> Condition:
    """Whether the seat lets the back reach the backrest: it ends short of the knee's hollow."""
    if case.seat_stays:
        return untold("back", "support", _seating(case))
    if case.workstation.chair.backless:
        return untold("back", "support", msg("The seat has no backrest."))
    if settings.seat_depth is None:
        return untold("back", "support", msg("Seat depth not recorded."))
    policy = case.policy
    try:
        thigh = case.body.mm("buttock_popliteal_length")
        gap = policy.knee_gap_low
        gap = gap * finger(case.body) if policy.knee_gap_unit == "fingers" else gap
    except MissingInput as missing:
        return untold("back", "support", missing.reason)
    return lacking("back", "support", settings.seat_depth - (thigh - gap), hard=False)


def _arms(case: Case, settings: Settings) -> Condition:
    """Whether armrests that are used meet the elbows: how far they lie under them."""
    chair = case.workstation.chair
    if (
        case.seat_stays
        or chair.armrests in (None, ArmrestKind.NONE)
        or case.policy.armrest_use == "off"
        or settings.armrest == 0
    ):
        return untold("arms", "support", msg("No armrests are used here."))
    if settings.armrest is None:
        return untold("arms", "support", msg("Armrest height not recorded."))
    try:
        elbow = Frame.seated(case).elbow
    except MissingInput as missing:
        return untold("arms", "support", missing.reason)
    return lacking("arms", "support", elbow - settings.armrest - ARMS_CARRIED_MM, hard=False)


ARMS_CARRIED_MM = 20.0
"""How far under the elbow an armrest still carries it, mm. Source: house-armrest."""


def _seating(case: Case) -> str:
    return OWN_SEATING if case.own_seat else say("seating.lounge")
