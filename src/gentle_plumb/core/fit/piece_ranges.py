"""What the pieces of a workstation allow: where the seat, the picture and unmoving armrests are, mm."""

from __future__ import annotations

from ..errors import MissingInput
from ..language import msg
from ..workstation import ArmrestKind, ScreenKind, Span, Workstation
from .case import Case
from .result import Posture


def own_seat_span(case: Case) -> Span:
    """Where a wheelchair's seat is and stays; raises MissingInput where nobody measured it."""
    position, span = case.found_seated.seat, case.workstation.chair.seat
    if position is None and span is not None and span.fixed:
        position = span.low
    if position is None:
        raise MissingInput(
            "seat",
            msg(
                "The wheelchair seat is not measured. It is never adjusted; everything else is fitted to it."
            ),
        )
    return Span(low=position, high=position)


def armrest_need(station: Workstation) -> float | None:
    """Least room over the seat that armrests need which can't be moved, mm.

    None where there are none, where they move or come off, or where nobody recorded their height.
    """
    chair = station.chair
    if chair.armrests_idle or chair.armrest is None:
        return None
    return chair.armrest.low if chair.armrests == ArmrestKind.FIXED or chair.armrest.fixed else None


def reach_of(station: Workstation, posture: Posture = "seated") -> tuple[Span | None, Span | None]:
    """Where the top of the picture can be: over the keys' surface, and over the floor, mm."""
    desk, lift = station.desk, station.screen.reach(station.keyboard)
    if station.screen.on_wall:
        return None, station.screen.on_wall_at
    if posture == "standing" and station.screen.riser_standing is not None and lift is not None:
        lift = lift.raised(station.screen.riser_standing)
    if lift is None or station.screen.kind == ScreenKind.LAPTOP:
        return lift, None
    if desk.screen_base is None:
        return lift, None
    tops = Span(
        low=desk.screen_base.low + lift.low,
        high=desk.screen_base.high + lift.high,
        step=lift.step if desk.screen_base.fixed else None,
    )
    if desk.below is None or desk.screen_base.fixed:
        return None, tops
    return Span(low=lift.low + desk.below.low, high=lift.high + desk.below.high), tops


def fixed_surface(case: Case) -> float | None:
    """Height of a surface that can't move, mm; None where it can or is unknown."""
    surface = case.workstation.desk.surface
    return surface.low if surface is not None and surface.fixed else None
