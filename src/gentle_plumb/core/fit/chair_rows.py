"""Seat depth, lumbar pad and backrest."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from ..body import Body
from ..language import msg, numeral
from ..words import say
from ..workstation import ChairKind, Span
from .case import Case, leaning_at
from .result import FitRow
from .rows import about, kept, ranged_row, target_row
from .seat_rows import row_by_reason, seat_stays
from .terms import Term

FINGERS_PER_HAND = 4
LUMBAR_BAND_MM = 25.0
UPRIGHT_DEG = 90.0
BACKREST_BAND_DEG = 5.0
"""Sources: house-seat-depth, house-lumbar, geometry, house-joint-bands."""


NO_BACKREST = msg("The seat has no backrest.")


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
        why=msg("Space behind the knee with the back against the backrest."),
    )

    fingers = policy.knee_gap_unit == "fingers"

    def gap(body: Body, count: float) -> float:
        return count * finger(body) if fingers else count

    def terms(body: Body) -> Sequence[Term]:
        middle = (policy.knee_gap_low + policy.knee_gap_high) / 2
        label = (
            msg("gap of {middle} fingers", middle=numeral(f"{middle:g}"))
            if fingers
            else msg("gap behind the knee")
        )
        return (
            Term(label=msg("buttock-popliteal length"), value=body.mm("buttock_popliteal_length")),
            Term(label=label, value=-gap(body, middle)),
        )

    def ends(target: float) -> tuple[float, float]:
        half = gap(case.body, (policy.knee_gap_high - policy.knee_gap_low) / 2)
        return target - half, target + half

    chair, value = case.workstation.chair, case.found_seated.seat_depth
    if case.seat_stays:
        return row_by_reason(subject, value, seat_stays(case), None)
    if chair.backless:
        return row_by_reason(subject, value, NO_BACKREST)
    row = target_row(case, subject, terms, ends, found=value)
    if not chair.behind_back:
        return kept(case, ranged_row(row, "seat_depth", chair.depth), "seat_depth")
    fit_row = ranged_row(row, "seat_depth", chair.usable_depth)
    return fit_row.replace(note=say("seat_depth.before_insert"))


def lumbar_row(case: Case) -> FitRow:
    """Centre of the lumbar pad over the loaded seat."""
    subject = about(
        "lumbar",
        "seated",
        source="house-lumbar",
        why=msg("The support meets the lumbar curve; check again after changing the recline."),
    )
    chair, value = case.workstation.chair, case.found_seated.lumbar
    if case.seat_stays:
        return row_by_reason(subject, value, seat_stays(case), None)
    if chair.backless:
        return row_by_reason(subject, value, NO_BACKREST)
    if chair.supports_back is False and not chair.behind_back:
        return row_by_reason(subject, value, say("lumbar.none"))
    row = target_row(
        case,
        subject,
        lambda body: (
            Term(label=msg("lumbar curve above the seat"), value=body.mm("lumbar_height_sitting")),
            Term(label=msg("at the belt"), value=case.policy.lumbar_offset),
        ),
        lambda target: (target - LUMBAR_BAND_MM, target + LUMBAR_BAND_MM),
        found=case.found_seated.lumbar,
    )
    fit_row = kept(case, ranged_row(row, "lumbar", chair.lumbar), "lumbar")
    return (
        fit_row.replace(note=_step_of(chair.lumbar, fit_row.setting)) if chair.lumbar else fit_row
    )


def _step_of(span: Span, setting: float | None) -> str:
    """Return which place of a stepped piece a setting is, counted from the lowest; empty without steps."""
    places = span.places() if span.step is not None else None
    if places is None or setting is None:
        return ""
    near = min(range(len(places)), key=lambda index: abs(places[index] - setting))
    return say("piece.step", step=str(near + 1), of=str(len(places)))


def backrest_row(case: Case) -> FitRow:
    """Angle of the backrest from level: the recline that was chosen, as far as the chair goes."""
    subject = about(
        "backrest",
        source="house-joint-bands",
        why=msg("The backrest carries part of the trunk; the pad and the screen follow its angle."),
    )
    if case.seat_stays:
        return row_by_reason(subject, case.found_seated.backrest, seat_stays(case))
    if case.workstation.chair.backless:
        return row_by_reason(subject, case.found_seated.backrest, NO_BACKREST)
    row = target_row(
        case,
        subject,
        lambda _: (
            Term(label=msg("upright"), value=UPRIGHT_DEG),
            Term(label=msg("recline"), value=case.policy.recline),
        ),
        lambda target: (
            max(target - BACKREST_BAND_DEG, _least_backrest(case)),
            target + BACKREST_BAND_DEG,
        ),
        found=case.found_seated.backrest,
    )
    span = case.workstation.chair.recline
    span = span.shifted(UPRIGHT_DEG) if span is not None else None
    return kept(case, ranged_row(row, "backrest", span), "backrest")


def _least_backrest(case: Case) -> float:
    """Return the least angle of the backrest that keeps the hips as open as the person's limits ask, degrees."""
    return case.person.least_hip - case.thigh_slope


def as_it_will_lean(case: Case) -> Case:
    """Return the case with its back leaning as the backrest will be set: as it was found, where that holds."""
    if case.seat_stays or case.workstation.chair.backless:
        return case
    position = backrest_row(replace(case, uncertain=False)).setting
    return case if position is None else leaning_at(case, position)


SLOPE_BAND_DEG = 2.0
"""How far the pan's slope may lie from the thighs', degrees. Source: house-chain."""


def seat_slope_row(case: Case) -> FitRow:
    """Slope of the seat pan: with the thighs, level or falling to the knee."""
    subject = about(
        "seat_slope",
        source="house-chain",
        why=msg("The pan slopes with the thighs, so that its front edge does not press on them."),
    )
    chair, value = case.workstation.chair, case.found_seated.seat_slope
    if case.seat_stays:
        return row_by_reason(subject, value, seat_stays(case))
    if chair.kind == ChairKind.SADDLE:
        return row_by_reason(subject, value, say("seat_slope.saddle"))
    if chair.slope is None and value is None and not case.thigh_slope:
        return row_by_reason(subject, value, say("seat_slope.unknown"))
    row = target_row(
        case,
        subject,
        lambda _: (Term(label=msg("slope of the thighs"), value=case.thigh_slope),),
        lambda target: (target - SLOPE_BAND_DEG, target + SLOPE_BAND_DEG),
        found=value,
    )
    return kept(case, ranged_row(row, "seat_slope", chair.slope), "seat_slope")
