"""What each addition does to the screen: workstation in, workstation out."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace

from ..changed import changed
from ..workstation import ScreenHolder, Span, Workstation

SCREEN_RISER = Span(low=50, high=150, step=25)
ARM_OVER_DESK = Span(low=10, high=400)
LONGER_POLE_MM = 200.0
WALL_BRACKET = Span(low=500, high=1300)
DESK_STAND = Span(low=40, high=170)
"""What is offered, mm: the bracket by the lower edge of its picture over the floor, the stand by that over the desk.
Source: house-additions."""


def lift_picture(by: Span) -> Callable[[Workstation], Workstation]:
    """Return what raises the screen by so much."""

    def apply(station: Workstation) -> Workstation:
        lift = station.screen.top_above_surface
        if lift is None:
            return station
        return changed(station, screen=changed(station.screen, top_above_surface=lift.raised(by)))

    return apply


def lift_for_standing(
    lift: Callable[[Workstation], Workstation],
) -> Callable[[Workstation], Workstation]:
    """Return what lifts the picture while standing, from what lifts it always."""

    def apply(station: Workstation) -> Workstation:
        bare = changed(station.screen, top_above_surface=Span(low=0, high=0))
        riser = lift(changed(station, screen=bare)).screen.top_above_surface
        return changed(station, screen=changed(station.screen, riser_standing=riser))

    return apply


def mount_on_arm(station: Workstation) -> Workstation:
    """Hold the screen on an arm."""
    screen = station.screen
    span = ARM_OVER_DESK.shifted(screen.picture_height or 0.0)
    return changed(
        station,
        screen=changed(screen, top_above_surface=span, held=ScreenHolder.ARM, depth_behind=0.0),
    )


def lengthen_pole(station: Workstation) -> Workstation:
    """Give a screen arm a longer pole."""
    screen = station.screen
    lift = screen.top_above_surface
    assert lift is not None
    longer = replace(lift, high=lift.high + LONGER_POLE_MM)
    return changed(station, screen=changed(screen, top_above_surface=longer))


def move_bracket(station: Workstation) -> Workstation:
    """Hang a screen on its wall at another height."""
    screen = station.screen
    span = WALL_BRACKET.shifted(screen.picture_height or 0.0)
    return changed(station, screen=changed(screen, on_wall_at=span))


def take_off_wall(station: Workstation) -> Workstation:
    """Put a screen on its stand on the desk in the place of the one on the wall."""
    screen = station.screen
    span = DESK_STAND.shifted(screen.picture_height or 0.0)
    return changed(
        station,
        screen=changed(screen, held=ScreenHolder.STAND, on_wall_at=None, top_above_surface=span),
    )
