"""Seat, footrest, seat depth, lumbar pad and armrests."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace
from math import radians, sin

from ..body import Body
from ..workstation import ArmrestKind
from .case import Case
from .costs import footing_at
from .frame import elbow_terms, legs_terms, reach
from .joints import Joint
from .model import armrest_need
from .result import FitRow, Limit, LimitKind
from .rows import (
    SAME_MM,
    RowSubject,
    about,
    bare_row,
    binding,
    end_limit,
    kept,
    limit,
    ranged_row,
    set_row,
    target_row,
)
from .terms import Term, total

FINGERS_PER_HAND = 4
ARMREST_BAND_MM = 20.0
LUMBAR_BAND_MM = 25.0
UPRIGHT_DEG = 90.0
BACKREST_BAND_DEG = 5.0
"""Sources: house-seat-depth, house-armrest, house-lumbar, geometry, house-joint-bands."""


@dataclass(frozen=True, kw_only=True)
class SeatAim:
    """What the search with free pieces made of the seat: its height, and which part decided."""

    height: float
    by_hands: bool


def hands_seat_terms(body: Body, case: Case, surface: float, elbow_deg: float) -> tuple[Term, ...]:
    """Seat height that brings the elbow to keys on a surface that can't move."""
    return (
        Term(label="surface", value=surface),
        Term(label="keyboard", value=case.keyboard_thickness()),
        Term(label="elbow height above the seat", value=-total(elbow_terms(body, case))),
        Term(
            label=f"forearm at {elbow_deg:.0f}°", value=reach(body) * sin(radians(elbow_deg - 90))
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
    by_hands = aim is not None and aim.by_hands and fixed_surface is not None
    subject = about(
        "seat",
        "seated",
        source="house-relief",
        why="The desk can't move, so the hands set the seat height and the feet are supported."
        if by_hands
        else "Feet flat, thighs level.",
    )

    def terms(body: Body) -> Sequence[Term]:
        if by_hands and fixed_surface is not None:
            return hands_seat_terms(body, case, fixed_surface, policy.elbow_angle)
        legs = legs_terms(body, case)
        extra = aim.height - total(legs_terms(case.body, case)) if aim is not None else 0.0
        if abs(extra) < SAME_MM:
            return legs
        return (*legs, Term(label="within range for the hands", value=extra))

    def ends(target: float) -> tuple[float, float]:
        if by_hands and fixed_surface is not None:
            ends = [
                total(hands_seat_terms(case.body, case, fixed_surface, angle))
                for angle in (policy.elbow_low, policy.elbow_high)
            ]
            return ends[0], ends[1]
        legs = total(legs_terms(case.body, case))
        return legs - policy.flat_feet_margin, legs + policy.flat_feet_margin

    if case.own_seat:
        return _own_row(
            subject,
            case.found_seated.seat,
            "The client's own seating is never moved: surface, keys and screen come to it.",
            setting,
        )
    row = target_row(case, subject, terms, ends, found=case.found_seated.seat)
    if row.target is None or setting is None:
        return set_row(row, setting)
    limits = _seat_limits(case, row.target, fixed_surface)
    return set_row(
        row, setting, binding(row, setting, limits, "chair"), elbow if by_hands else knee
    )


def _seat_limits(case: Case, target: float, fixed_surface: float | None) -> list[Limit]:
    """Return what keeps the seat from its target: its range, the thighs, the feet's support."""
    desk, feet = case.workstation.desk, case.workstation.feet
    limits = end_limit("seat", "chair", case.workstation.chair.seat, target)
    under = desk.underside
    if under is None and fixed_surface is not None and desk.thickness is not None:
        under = fixed_surface - desk.thickness
    if under is not None:
        highest = under - case.policy.thigh_room - case.body.mm("thigh_clearance")
        rests = armrest_need(case.workstation)
        kind: LimitKind = "thighs"
        if rests is not None and under - rests < highest:
            kind, highest = "armrests", under - rests
        if target > highest + SAME_MM:
            limits.append(limit("seat", "desk", kind, highest, target - highest))
    legs, margin = total(legs_terms(case.body, case)), case.policy.flat_feet_margin
    if feet is not None and target > legs + margin + SAME_MM:
        highest = max((legs + span.high for span in feet), default=legs) + margin
        if target > highest + SAME_MM:
            limits.append(limit("seat", "feet", "hangs", highest, target - highest))
    return limits


def _own_row(
    subject: RowSubject, found: float | None, reason: str, setting: float | None = None
) -> FitRow:
    """Return a row of what belongs to the client's own seating: said, not judged and not moved."""
    return bare_row(subject, "not_assessable", reason=reason, found=found, setting=setting)


PART_OF_WHEELCHAIR = "Part of the client's own seating: changes go through their therapist."


def footrest_row(case: Case, seat: float | None) -> FitRow:
    """What the feet stand on where the seat is higher than the legs."""
    subject = about(
        "footrest",
        "seated",
        source="house-relief",
        why="With feet hanging, the seat edge presses under the thighs.",
    )

    if case.own_seat:
        return _own_row(
            subject,
            case.found_seated.footrest,
            "The wheelchair's footplates carry the feet: looked at by eye, no footrest is added.",
            None,
        )

    def terms(body: Body) -> Sequence[Term]:
        legs = total(legs_terms(body, case))
        if seat is None or seat - legs <= case.policy.flat_feet_margin + 1e-9:
            return (Term(label="feet reach the floor", value=0.0),)
        return Term(label="seat", value=seat), Term(label="seat for the legs", value=-legs)

    def ends(target: float) -> tuple[float, float]:
        margin = case.policy.flat_feet_margin
        return max(0.0, target - margin), target + margin

    found = case.found_seated.footrest
    row = target_row(case, subject, terms, ends, found=found)
    if not row.target or case.workstation.feet is None:
        return set_row(row, row.target)
    best = footing_at(
        row.target, legs=0.0, margin=case.policy.flat_feet_margin, feet=case.workstation.feet
    ).height
    limits: list[Limit] = []
    if row.target - best > case.policy.flat_feet_margin + SAME_MM:
        limits = [limit(row.key, "feet", "hangs", best, row.target - best)]
    return set_row(row, best, limits)


def finger(body: Body) -> float:
    """Breadth of a finger, mm."""
    return body.mm("hand_breadth") / FINGERS_PER_HAND


def seat_depth_row(case: Case) -> FitRow:
    """Usable depth of the seat pan."""
    policy = case.policy
    subject = about(
        "seat_depth",
        "seated",
        source="house-seat-depth",
        why="Space behind the knee with the back against the backrest.",
    )

    fingers = policy.knee_gap_unit == "fingers"

    def gap(body: Body, count: float) -> float:
        return count * finger(body) if fingers else count

    def terms(body: Body) -> Sequence[Term]:
        middle = (policy.knee_gap_low + policy.knee_gap_high) / 2
        label = f"gap of {middle:g} fingers" if fingers else "gap behind the knee"
        return (
            Term(label="thigh", value=body.mm("buttock_popliteal_length")),
            Term(label=label, value=-gap(body, middle)),
        )

    def ends(target: float) -> tuple[float, float]:
        half = gap(case.body, (policy.knee_gap_high - policy.knee_gap_low) / 2)
        return target - half, target + half

    if case.own_seat:
        return _own_row(subject, case.found_seated.seat_depth, PART_OF_WHEELCHAIR, None)
    row = target_row(case, subject, terms, ends, found=case.found_seated.seat_depth)
    return kept(case, ranged_row(row, "seat_depth", case.workstation.chair.depth), "seat_depth")


def lumbar_row(case: Case) -> FitRow:
    """Centre of the lumbar pad over the loaded seat."""
    subject = about(
        "lumbar",
        "seated",
        source="house-lumbar",
        why="The support meets the lumbar curve; check again after changing the recline.",
    )
    if case.own_seat:
        return _own_row(subject, case.found_seated.lumbar, PART_OF_WHEELCHAIR, None)
    row = target_row(
        case,
        subject,
        lambda body: (
            Term(label="lumbar curve above the seat", value=body.mm("lumbar_height_sitting")),
            Term(label="at the belt", value=case.policy.lumbar_offset),
        ),
        lambda target: (target - LUMBAR_BAND_MM, target + LUMBAR_BAND_MM),
        found=case.found_seated.lumbar,
    )
    return kept(case, ranged_row(row, "lumbar", case.workstation.chair.lumbar), "lumbar")


def backrest_row(case: Case) -> FitRow:
    """Angle of the backrest from level: the recline that was chosen, as far as the chair goes."""
    subject = about(
        "backrest",
        source="house-joint-bands",
        why="The backrest carries part of the trunk; the pad and the screen follow its angle.",
    )
    if case.own_seat:
        return _own_row(subject, case.found_seated.backrest, PART_OF_WHEELCHAIR)
    if case.workstation.chair.backless:
        return bare_row(subject, "not_assessable", reason="The seat has no backrest.")
    row = target_row(
        case,
        subject,
        lambda _: (
            Term(label="upright", value=UPRIGHT_DEG),
            Term(label="recline", value=case.policy.recline),
        ),
        lambda target: (target - BACKREST_BAND_DEG, target + BACKREST_BAND_DEG),
        found=case.found_seated.backrest,
    )
    span = case.workstation.chair.recline
    span = span.shifted(UPRIGHT_DEG) if span is not None else None
    return kept(case, ranged_row(row, "backrest", span), "backrest")


def armrest_row(case: Case, seat: float | None, surface: float | None) -> FitRow:
    """Armrest over the seat, and whether it meets the desk."""
    chair, desk = case.workstation.chair, case.workstation.desk
    subject = about(
        "armrest",
        "seated",
        source="house-armrest",
        why="Light support just below the elbow, never raising the shoulder.",
    )
    below = case.policy.armrest_below_elbow
    if case.own_seat:
        return _own_row(subject, case.found_seated.armrest, PART_OF_WHEELCHAIR, None)
    row = target_row(
        case,
        subject,
        lambda body: (*elbow_terms(body, case), Term(label="light support", value=-below)),
        lambda target: (target + below - ARMREST_BAND_MM, target + below),
        found=case.found_seated.armrest,
    )
    if chair.armrests == ArmrestKind.NONE:
        return replace(
            row, status="not_assessable", reason="The chair has no armrests.", setting=None
        )
    if case.policy.armrest_use == "off":
        return row.but(
            status="not_assessable",
            setting=None,
            reason="Armrests not used (your choice): lower them out of the way.",
        )
    row = kept(case, ranged_row(row, "armrest", chair.armrest), "armrest")
    if (
        row.setting is not None
        and row.high is not None
        and chair.armrests_off
        and row.setting > row.high + SAME_MM
    ):
        return replace(
            set_row(row, None, row.limits),
            reason="Even at their lowest they lift the shoulders: take them off.",
        )
    if row.setting is None or seat is None or surface is None:
        return row
    under = desk.underside
    if under is None and desk.thickness is not None:
        under = surface - desk.thickness
    if under is None or row.setting <= under - seat + SAME_MM:
        return row
    highest = under - seat
    meets = limit(row.key, "armrest", "collides", highest, row.setting - highest)
    lowest = chair.armrest.low if chair.armrest is not None else None
    if lowest is not None and lowest <= highest:
        return set_row(row, highest, [meets])
    if chair.armrests_off:
        return replace(
            set_row(row, None, [meets]),
            reason="They hit the desk even at their lowest: remove them.",
        )
    return set_row(row, row.setting, [*row.limits, meets])
