"""How much searching one case may ask for: counted, not timed, so that every machine answers the same."""

from __future__ import annotations

from ..fit import SearchModel
from ..workstation import Span

MOST_WORK = 15_000_000
"""Pairs of seat and surface that the sets of one tier may ask for: some 4 s on a slow machine. Each of 400
generated visits with stacks asks for less than a third. House value."""
LATTICE_SEATS, LATTICE_SURFACES = 200, 30
"""What a seat and a surface without steps count for: a lattice, and mostly turning points. House values."""


def work_of(model: SearchModel) -> int:
    """Return how many pairs of seat and surface a search may have to look at.

    A surface or a support for the feet that goes in small steps makes many.
    """
    feet = sum(_places(foot, 1) for foot in model.feet or ())
    return _places(model.seat, LATTICE_SEATS) * (_places(model.surface, LATTICE_SURFACES) + feet)


def _places(span: Span | None, free: int) -> int:
    if span is None or span.step is None:
        return 1 if span is not None and span.fixed else free
    return max(1, int((span.high - span.low) // span.step) + 1)
