"""Armrests: their height, how far apart they are, and what is done where they don't serve."""

from __future__ import annotations

from ..intake import LimitId
from ..language import filled, msg
from ..tolerances import SAME_MM
from ..words import say
from ..workstation import ArmrestKind
from .case import Case
from .frame import elbow_terms
from .result import FitRow, Remedy
from .rows import about, kept, limit, ranged_row, set_row, target_row
from .seat_rows import row_by_reason, seat_stays
from .terms import Term

ARMREST_BAND_MM = 20.0
ARMREST_GAP_INSIDE_MM = 25.0
ARMREST_GAP_BAND_MM = 60.0
"""How far under the elbow they may lie; how far inside the shoulders' breadth they belong, and how much
nearer or further they may be. Source: house-armrest."""


def armrest_row(case: Case, seat: float | None, surface: float | None) -> FitRow:
    """Armrest over the seat; what is done with it where it lifts the shoulders or meets the desk."""
    subject = about(
        "armrest",
        "seated",
        source="house-armrest",
        why=msg("Light support just below the elbow, never raising the shoulder."),
    )
    below, chair = case.policy.armrest_below_elbow, case.workstation.chair
    if case.seat_stays:
        return row_by_reason(subject, case.found_seated.armrest, seat_stays(case), None)
    row = target_row(
        case,
        subject,
        lambda body: (*elbow_terms(body, case), Term(label=msg("light support"), value=-below)),
        lambda target: (target + below - ARMREST_BAND_MM, target + below),
        found=case.found_seated.armrest,
    )
    if chair.armrests == ArmrestKind.NONE:
        return row.replace(
            status="not_assessable", reason="The chair has no armrests.", setting=None
        )
    if case.policy.armrest_use == "off":
        unused = _with_remedy(case, row, "unused", setting=None)
        return unused.replace(
            status="not_assessable", target=None, low=None, high=None, change=None
        )
    if chair.armrests is None and chair.armrest is None and row.found is None:
        return row.replace(reason=say("armrest.unknown"), setting=None, change=None)
    row = kept(case, ranged_row(row, "armrest", chair.armrest), "armrest")
    if row.setting is None or row.high is None:
        return row
    if row.setting > row.high + SAME_MM:
        return _with_remedy(case, row, "lifts", setting=row.setting)
    highest = _highest(case, seat, surface)
    if highest is None or row.target is None or row.setting < highest - SAME_MM:
        return row
    if row.setting <= highest + SAME_MM:  # the desk ends it as well: no other armrest goes higher
        ends = row.target > highest + SAME_MM
        most = max(highest, row.setting)  # as near as this to the desk, it passes
        at_desk = limit(row.key, "armrest", "collides", most, row.target - most)
        return row.replace(limits=(at_desk,)) if ends else row
    meets = limit(row.key, "armrest", "collides", highest, row.setting - highest)
    if chair.armrest is None:  # how low they go is not known
        return set_row(row, highest, [meets])
    if chair.armrest.low <= highest + SAME_MM:
        under = chair.armrest.within(chair.armrest.low, highest)
        return set_row(row, highest if under is None else under, [meets])
    position = chair.armrest.low
    return _with_remedy(case, set_row(row, position), "meets", setting=position)


def _highest(case: Case, seat: float | None, surface: float | None) -> float | None:
    """Return how high over the seat an armrest passes under the desk, mm; None where unknown."""
    under = case.workstation.desk.underside_at(surface)
    return None if under is None or seat is None else under - seat


def _with_remedy(case: Case, row: FitRow, because: str, *, setting: float | None) -> FitRow:
    """Return the row with what is done instead of setting a height, by what the armrests allow."""
    chair = case.workstation.chair
    remedy: Remedy = "keep_off"
    steady = "_steady" if case.person.has(LimitId.STEADY_SEAT) else ""
    if chair.armrests_off and not steady:
        remedy = "take_off"
    elif chair.armrests_turn:
        remedy = "turn_away"
    elif because == "unused" and chair.armrests == ArmrestKind.ADJUSTABLE:
        remedy = "lower"
    kept_there = setting if remedy == "keep_off" else None
    fit_row = set_row(row, kept_there, row.limits)
    fixed = chair.armrests == ArmrestKind.FIXED and because != "unused"
    why = say(f"armrest.{because}_fixed" if fixed else f"armrest.{because}")
    do = say(f"armrest.{remedy}{steady}")
    return fit_row.replace(remedy=remedy, reason=filled("{why} {do}", why=why, do=do))


def armrest_gap_row(case: Case) -> FitRow:
    """How far apart the armrests are: under hanging elbows, inside the breadth of the shoulders."""
    subject = about(
        "armrest_gap",
        source="house-armrest",
        why=msg(
            "Under the elbows where the arms hang, so that they need not move out to be supported."
        ),
    )
    chair, value = case.workstation.chair, case.found_seated.armrest_gap
    if case.seat_stays:
        return row_by_reason(subject, value, seat_stays(case))
    if chair.armrests == ArmrestKind.NONE:
        return row_by_reason(subject, value, say("armrest.none"))
    if case.policy.armrest_use == "off":
        return row_by_reason(subject, value, say("armrest.unused"))
    if value is None and chair.armrest_gap is None:
        return row_by_reason(subject, value, say("armrest.gap_unknown"))
    row = target_row(
        case,
        subject,
        lambda body: (
            Term(label=msg("bideltoid breadth"), value=body.mm("shoulder_breadth_bideltoid")),
            Term(label=msg("inside the shoulders"), value=-ARMREST_GAP_INSIDE_MM),
        ),
        lambda target: (target - ARMREST_GAP_BAND_MM, target + ARMREST_GAP_BAND_MM),
        found=value,
    )
    return kept(case, ranged_row(row, "armrest_gap", chair.armrest_gap), "armrest_gap")
