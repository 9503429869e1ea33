"""Seat depth, lumbar pad and backrest."""

from __future__ import annotations

from collections.abc import Sequence

from ..body import Body
from .case import Case
from .result import FitRow
from .rows import about, bare_row, kept, ranged_row, target_row
from .seat_rows import PART_OF_WHEELCHAIR, row_by_reason
from .terms import Term

FINGERS_PER_HAND = 4
LUMBAR_BAND_MM = 25.0
UPRIGHT_DEG = 90.0
BACKREST_BAND_DEG = 5.0
"""Sources: house-seat-depth, house-lumbar, geometry, house-joint-bands."""


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
            Term(label="buttock-popliteal length", value=body.mm("buttock_popliteal_length")),
            Term(label=label, value=-gap(body, middle)),
        )

    def ends(target: float) -> tuple[float, float]:
        half = gap(case.body, (policy.knee_gap_high - policy.knee_gap_low) / 2)
        return target - half, target + half

    if case.own_seat:
        return row_by_reason(subject, case.found_seated.seat_depth, PART_OF_WHEELCHAIR, None)
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
        return row_by_reason(subject, case.found_seated.lumbar, PART_OF_WHEELCHAIR, None)
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
        return row_by_reason(subject, case.found_seated.backrest, PART_OF_WHEELCHAIR)
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
