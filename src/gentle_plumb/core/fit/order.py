"""The order of work: from the piece that can't move."""

from __future__ import annotations

from .case import Case
from .model import fixed_surface
from .result import FitResult, FitRow

_USUAL = (
    "seat",
    "seat_depth",
    "lumbar",
    "armrest",
    "surface",
    "keys",
    "mouse",
    "distance",
    "screen_top",
    "tilt",
    "footrest",
)
_HANDS_FIRST = (
    "surface",
    "keys",
    "seat",
    "footrest",
    "seat_depth",
    "lumbar",
    "armrest",
    "mouse",
    "distance",
    "screen_top",
    "tilt",
)
NEEDED_ROWS = frozenset({*_USUAL, "desk_depth"} - {"armrest"})
"""Rows without which nothing is worked out."""
_STANDING = ("surface", "keys", "distance", "screen_top", "tilt")


def working_order(case: Case, result: FitResult) -> list[FitRow]:
    """Rows in the order they are set: seated, then standing where that is possible.

    Where the surface can't move, hands come first and the chair follows; keys are re-measured
    with their surface and are no step of their own.
    """
    order = _HANDS_FIRST if fixed_surface(case) is not None else _USUAL
    steps = [result.row("seated", key) for key in order if key != "keys"]
    if result.standing.possible:
        steps += [result.row("standing", key) for key in _STANDING if key != "keys"]
    return [row for row in steps if row.setting is not None and not _joined(row)]


def _joined(row: FitRow) -> bool:
    """Whether there is nothing to set because the piece is joined to another."""
    return any(limit.kind == "joined" for limit in row.limits)
