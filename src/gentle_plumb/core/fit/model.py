"""From a case to the search's numbers."""

from __future__ import annotations

from ..errors import MissingInput
from ..workstation import Span
from .case import Case
from .distance import distance_terms, laptop_distance
from .frame import (
    elbow_terms,
    eye_terms,
    legs_terms,
    reach,
    standing_elbow_terms,
    standing_eye_terms,
)
from .joints import screen_top_band
from .policies import JOINT_BANDS, Band
from .result import Posture
from .search import SearchModel
from .terms import total


def fixed_surface(case: Case) -> float | None:
    """Height of a surface that can't move, mm; None where it can or is unknown."""
    surface = case.workstation.desk.surface
    return surface.low if surface is not None and surface.fixed else None


def search_model(case: Case, posture: Posture, *, free: bool = False) -> SearchModel:
    """The search's numbers for a case.

    Parameters
    ----------
    case : Case
    posture : {"seated", "standing"}
    free : bool
        True lets every movable piece move without end and ignores the thighs: what body and
        fixed pieces ask for.

    Raises
    ------
    MissingInput
        If elbow, reach, shoes or keyboard are not known.

    """
    body, policy, station = case.body, case.policy, case.workstation
    seated = posture == "seated"
    elbow = total((elbow_terms if seated else standing_elbow_terms)(body, case))
    distance = target_distance(case)
    try:
        eye = total((eye_terms if seated else standing_eye_terms)(body, case))
    except MissingInput:
        eye = None
    low, high = screen_top_band(case, distance or 600.0)
    lift = station.screen.reach(station.keyboard)
    surface, seat = station.desk.surface, station.chair.seat if seated else Span(low=0, high=0)
    if free:
        surface = surface if surface is not None and surface.fixed else None
        seat = None if seated else seat
        lift = lift if station.screen.kind == "laptop" else None
    least_gap = None
    if seated and not free and station.desk.thickness is not None and body.has("thigh_clearance"):
        least_gap = body.mm("thigh_clearance") + policy.thigh_room + station.desk.thickness
    legs = total(legs_terms(body, case)) if seated else None
    return SearchModel(
        elbow=elbow,
        reach=reach(body),
        keyboard=case.keyboard_thickness(),
        elbow_target=policy.elbow_angle,
        elbow_band=JOINT_BANDS["elbow"],
        seat=seat,
        surface=surface,
        legs=legs,
        thigh_length=body.mm("buttock_popliteal_length") if seated else 1.0,
        knee_band=JOINT_BANDS["knee"],
        flat_margin=policy.flat_feet_margin,
        eye=eye if distance is not None else None,
        distance=distance or 600.0,
        lift=lift,
        top_band=Band(low=low, high=high),
        least_gap=least_gap,
    )


def target_distance(case: Case) -> float | None:
    """Eye to picture to reckon the gaze with, mm; None where the arm is not known."""
    try:
        if case.workstation.screen.kind == "laptop":
            return laptop_distance(case.body, case, elbow_deg=case.policy.elbow_angle)
        return total(distance_terms(case.body, case))
    except MissingInput:
        return None
