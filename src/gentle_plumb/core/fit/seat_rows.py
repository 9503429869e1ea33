"""Rows of the seat and of what holds the feet."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from math import radians, sin
from typing import Literal

from ..body import Body
from ..language import msg, numeral
from ..tolerances import ROUNDING, SAME_MM
from ..words import say
from .case import Case
from .costs import footing_at
from .frame import elbow_terms, legs_terms, reach
from .joints import Joint
from .piece_ranges import armrest_need
from .result import FitRow, Limit, LimitKind
from .rows import RowSubject, about, binding, empty_row, end_limit, limit, set_row, target_row
from .terms import Term, total


@dataclass(frozen=True, kw_only=True)
class SeatAim:
    """What the search with free pieces made of the seat: its height, mm, and what decided it.

    ``legs``: the feet are flat, within their margin. ``hands``: a fixed surface asks for a higher
    seat, and the feet get a support. ``shared``: a fixed surface is too low for the legs, and the
    seat comes down as far as hands and legs can share it.
    """

    height: float
    decided_by: Literal["legs", "hands", "shared"]


BY_DECISION = {
    "hands": msg(
        "The desk height is fixed, so the hands set the seat height and the feet are supported."
    ),
    "shared": msg(
        "The desk is low and fixed: the seat goes down to the best compromise for hands and legs."
    ),
}
"""Why a seat is not simply set to the legs."""


def _by_the_legs(case: Case) -> str:
    slope = case.thigh_slope
    thighs = (
        msg("falling to the knee by {slope}°", slope=numeral(f"{slope:g}")) if slope else "level"
    )
    forward = (
        msg(
            ", lower legs {legs_forward}° forward", legs_forward=numeral(f"{case.legs_forward:.0f}")
        )
        if case.legs_forward
        else ""
    )
    return msg("Feet flat, thighs {thighs}{forward}.", thighs=thighs, forward=forward)


def hands_seat_terms(body: Body, case: Case, surface: float, elbow_deg: float) -> tuple[Term, ...]:
    """Seat height that brings the elbow to keys on a surface that can't move."""
    return (
        Term(label=msg("surface"), value=surface),
        Term(label=msg("keyboard"), value=case.keyboard_thickness()),
        Term(label=msg("elbow height above the seat"), value=-total(elbow_terms(body, case))),
        Term(
            label=msg("forearm at {elbow_deg}°", elbow_deg=numeral(f"{elbow_deg:.0f}")),
            value=reach(body) * sin(radians(elbow_deg - 90)),
        ),
    )


def seat_row(
    case: Case,
    aim: SeatAim | None,
    setting: float | None,
    elbow: Joint | None,
    knee: Joint | None,
    fixed_surface: float | None,
) -> FitRow:
    """The seat: set to the legs, or to the hands where the surface can't move."""
    policy = case.policy
    decided_by = aim.decided_by if aim is not None and fixed_surface is not None else "legs"
    by_hands = decided_by == "hands"
    subject = about(
        "seat",
        "seated",
        source="house-relief",
        why=BY_DECISION.get(decided_by) or _by_the_legs(case),
    )

    def terms(body: Body) -> Sequence[Term]:
        if by_hands and fixed_surface is not None:
            return hands_seat_terms(body, case, fixed_surface, policy.elbow_angle)
        legs = legs_terms(body, case)
        extra = aim.height - total(legs_terms(case.body, case)) if aim is not None else 0.0
        if abs(extra) < SAME_MM:
            return legs
        return (*legs, Term(label=msg("towards the hands"), value=extra))

    def ends(target: float) -> tuple[float, float]:
        if decided_by != "legs" and fixed_surface is not None:
            ends = [
                total(hands_seat_terms(case.body, case, fixed_surface, angle))
                for angle in (policy.elbow_low, policy.elbow_high)
            ]
            return min(ends[0], target), max(ends[1], target)
        legs = total(legs_terms(case.body, case))
        return legs - policy.flat_feet_margin, legs + policy.flat_feet_margin

    if case.seat_stays:
        return row_by_reason(
            subject, case.found_seated.seat, seat_stays(case, say("seat.own")), setting
        )
    row = target_row(case, subject, terms, ends, found=case.found_seated.seat)
    if row.target is None or setting is None:
        return set_row(row, setting)
    limits = _seat_limits(case, row.target, fixed_surface)
    return set_row(
        row,
        setting,
        binding(row, setting, limits, "chair"),
        knee if decided_by == "legs" else elbow,
    )


def _seat_limits(case: Case, target: float, fixed_surface: float | None) -> list[Limit]:
    """Return what keeps the seat from its target: its range, the thighs, the feet's support."""
    desk, feet = case.workstation.desk, case.workstation.feet or ()
    limits = end_limit("seat", "chair", case.workstation.chair.seat, target)
    under = desk.underside_at(fixed_surface)
    if under is not None:
        highest = under - case.policy.thigh_room - case.body.mm("thigh_clearance")
        rests = armrest_need(case.workstation)
        kind: LimitKind = "thighs"
        if rests is not None and under - rests < highest:
            kind, highest = "armrests", under - rests
        if target > highest + SAME_MM:
            limits.append(limit("seat", "desk", kind, highest, target - highest))
    legs, margin = total(legs_terms(case.body, case)), case.policy.flat_feet_margin
    if target > legs + margin + SAME_MM:
        highest = max((legs + span.high for span in feet), default=legs) + margin
        if target > highest + SAME_MM:
            limits.append(limit("seat", "feet", "hangs", highest, target - highest))
    return limits


def highest_seat(case: Case, target: float, surface: float | None) -> float:
    """Return how far up to its target the seat could go on a support for the feet, mm.

    Parameters
    ----------
    case : Case
    target : float
        mm.
    surface : float or None
        Where the surface stands, mm.

    """
    limits = _seat_limits(case, target, surface)
    return min([target, *(bound.at for bound in limits if bound.kind != "hangs")])


def row_by_reason(
    subject: RowSubject, value: float | None, reason: str, setting: float | None = None
) -> FitRow:
    """Return a row without a target, with the reason."""
    return empty_row(subject, "not_assessable", reason=reason, found=value, setting=setting)


def seat_stays(case: Case, of_their_own: str | None = None) -> str:
    """Return why nothing of the seat is set: it is the client's own, or a sofa or bed.

    Parameters
    ----------
    case : Case
    of_their_own : str, optional
        What is said of seating of their own, where it is more than that its therapist sees to changes.

    """
    return (of_their_own or say("seating.own")) if case.own_seat else say("seating.lounge")


def footrest_row(case: Case, seat: float | None) -> FitRow:
    """What the feet stand on where the seat is higher than the legs."""
    subject = about(
        "footrest",
        "seated",
        source="house-relief",
        why=msg("With feet hanging, the seat edge presses under the thighs."),
    )

    if case.seat_stays:
        return row_by_reason(
            subject, case.found_seated.footrest, seat_stays(case, say("footrest.own")), None
        )

    def terms(body: Body) -> Sequence[Term]:
        legs = total(legs_terms(body, case))
        if seat is None or seat - legs <= case.policy.flat_feet_margin + ROUNDING:
            return (Term(label=msg("feet reach the floor"), value=0.0),)
        return Term(label=msg("seat"), value=seat), Term(
            label=msg("seat for the legs"), value=-legs
        )

    def ends(target: float) -> tuple[float, float]:
        margin = case.policy.flat_feet_margin
        return max(0.0, target - margin), target + margin

    value = case.found_seated.footrest
    row = target_row(case, subject, terms, ends, found=value)
    if not row.target:
        return set_row(row, row.target)
    best = footing_at(
        row.target, legs=0.0, margin=case.policy.flat_feet_margin, feet=case.workstation.feet or ()
    ).height
    limits: list[Limit] = []
    if row.target - best > case.policy.flat_feet_margin + SAME_MM:
        limits = [limit(row.key, "feet", "hangs", best, row.target - best)]
    row = set_row(row, best, limits)
    return replace(row, note=say("footrest.check")) if case.workstation.feet_assumed else row
