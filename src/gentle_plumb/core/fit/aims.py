"""What each posture is set to: legs, hands and eyes, own numbers over them."""

from __future__ import annotations

from collections.abc import Callable

from ..changed import changed
from ..errors import MissingInput
from ..tolerances import SAME_MM
from ..workstation import Settings
from .armrest_rows import armrest_row
from .case import Case
from .chair_rows import backrest_row
from .frame import elbow_terms, legs_terms, standing_elbow_terms
from .hand_rows import keys_terms
from .joints import Joint, joints_of
from .model import target_distance
from .piece_ranges import fixed_surface
from .pointer_rows import mouse_row
from .result import OUT_OF_THE_WAY, Posture
from .screen_rows import distance_row, eye_height_terms
from .screen_rules import top_band
from .search_model import USUAL_DISTANCE_MM, Solution
from .seat_rows import SeatAim, footrest_row
from .terms import total


def free_surface(case: Case, posture: Posture, seat: float | None) -> float | None:
    """Where the search could not be made for want of legs or shoes, the hands alone."""
    try:
        elbow_terms(case.body, case) if posture == "seated" else standing_elbow_terms(
            case.body, case
        )
        want = total(keys_terms(case.body, case, posture, seat, case.policy.elbow_angle))
        want -= case.keyboard_thickness()
    except MissingInput:
        return None
    span = case.workstation.desk.surface
    return span.clamp(want) if span is not None else want


def _legs_seat(case: Case) -> float | None:
    """Seat for the legs alone, where the hands are not known yet."""
    if case.seat_stays:
        return case.found_seated.seat
    try:
        legs = total(legs_terms(case.body, case))
    except MissingInput:
        return None
    span = case.workstation.chair.seat
    return span.clamp(legs) if span is not None else legs


def seat_aim(case: Case, free: Solution | None) -> SeatAim | None:
    """Return the seat that body and fixed pieces ask for, and what decides it; None where unknown."""
    if free is None:
        return None
    if case.seat_stays:
        return None
    surface, legs = fixed_surface(case), total(legs_terms(case.body, case))
    if surface is None or abs(free.seat - legs) <= case.policy.flat_feet_margin + SAME_MM:
        return SeatAim(height=free.seat, decided_by="legs")
    return SeatAim(height=free.seat, decided_by="hands" if free.seat > legs else "shared")


def degrees_over(joints: tuple[Joint, ...]) -> float | None:
    """Return the degrees outside the bands, all joints together; None where none is known."""
    known = [abs(joint.excess_deg) for joint in joints if joint.excess_deg is not None]
    return sum(known) if known else None


def eye_of(case: Case, posture: Posture, seat: float | None) -> float | None:
    """Return the height of the eye over the floor, mm; None where it is not known."""
    try:
        return total(eye_height_terms(case.body, case, posture, seat))
    except MissingInput:
        return None


def _wanted_top(case: Case, eye: float | None, distance: float | None) -> float | None:
    """The top of the picture where the hands are not known, so that no search was made."""
    if eye is None or case.workstation.screen.reach(case.workstation.keyboard) is not None:
        return None
    try:
        if distance is None and case.lower_lens != "none":
            return None
        return eye + top_band(case, distance or USUAL_DISTANCE_MM).aim
    except MissingInput:
        return None


def _slope(case: Case, posture: Posture, seat: float | None, surface: float | None) -> float | None:
    """The keys' slope that follows the forearm, as far as they can be sloped; degrees."""
    span = case.workstation.desk.tilt
    if span is None:
        return 0.0
    bare = Settings(seat=seat, surface=surface, slope=0.0)
    elbow = next(joint for joint in joints_of(case, bare, posture) if joint.joint == "elbow")
    return span.clamp(90 - elbow.angle) if elbow.angle is not None else None


def _armrest(case: Case, seat: float | None, surface: float | None) -> float | None:
    """Return the armrests' height over the seat, mm; 0 where they are out of the way."""
    row = armrest_row(case, seat, surface)
    return 0.0 if row.remedy in OUT_OF_THE_WAY else row.setting


def _own(own: float | None, computed: Callable[[], float | None]) -> float | None:
    return own if own is not None else computed()


def aims(case: Case, posture: Posture, real: Solution | None, overrule: Settings) -> Settings:
    """How a posture is set: the optimum, the practitioner's own numbers, and what follows."""
    seated = posture == "seated"
    seat = (real.seat if real else _legs_seat(case)) if seated else None
    seat = overrule.seat if overrule.seat is not None else seat
    surface = real.surface if real else fixed_surface(case)
    surface = overrule.surface if overrule.surface is not None else surface
    surface = surface if surface is not None else free_surface(case, posture, seat)

    plain = changed(case, uncertain=False) if case.uncertain else case
    far = distance_row(plain, posture, case.policy.elbow_angle)
    distance = far.setting if overrule.distance is None else overrule.distance
    eye = eye_of(case, posture, seat)
    reckoned = distance if distance is not None else target_distance(case)
    top = overrule.screen_top
    if top is None:
        top = real.top if real and real.top is not None else _wanted_top(case, eye, reckoned)
    thickness = case.workstation.keyboard.thickness
    return Settings(
        seat=seat,
        footrest=_own(overrule.footrest, lambda: footrest_row(plain, seat).setting)
        if seated
        else None,
        armrest=_own(overrule.armrest, lambda: _armrest(plain, seat, surface)) if seated else None,
        surface=surface,
        keys=surface + thickness if surface is not None and thickness is not None else None,
        keys_midline=0.0 if seated else None,
        mouse=mouse_row(plain, None).setting if overrule.mouse is None else overrule.mouse,
        screen_top=top,
        distance=distance,
        slope=_slope(case, posture, seat, surface),
        backrest=backrest_row(plain).setting if seated else None,
    ).over(overrule)
