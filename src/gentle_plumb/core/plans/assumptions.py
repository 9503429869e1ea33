"""What a plan takes for granted because nobody recorded it."""

from __future__ import annotations

from ..fit import Case
from ..words import say
from ..workstation import ScreenKind


def assumptions_of(case: Case) -> tuple[str, ...]:
    """Return what a case takes for granted, in words.

    Parameters
    ----------
    case : Case
        With the additions in place.

    """
    station = case.workstation
    screen = station.screen
    moves = screen.kind != ScreenKind.LAPTOP and screen.on_wall_at is None
    taken = (
        ("plan.any_seat", case.sits and station.chair.seat is None and not case.seat_stays),
        ("plan.any_surface", station.desk.surface is None),
        ("plan.any_top", moves and screen.top_above_surface is None),
        ("plan.no_thickness", case.sits and station.desk.thickness is None),
        ("plan.laptop_keys", station.keyboard.assumed),
        ("plan.usual_footrest", station.feet_assumed),
    )
    return tuple(say(words) for words, holds in taken if holds)
