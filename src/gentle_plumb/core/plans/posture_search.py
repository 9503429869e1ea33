"""One posture solved for set after set of pieces, each piece's part once."""

from __future__ import annotations

from ..changed import changed
from ..fit import Lengths, SearchModel, Solution, hold, search, with_picture, without_picture
from ..workstation import ScreenKind, Settings, Span, Workstation


class PostureSearch:
    """Solves one posture of a case, the practitioner's own numbers held.

    Seat and surface depend on chair, desk, keys and what the feet stand on, the picture on the rest: sets that have
    the same pieces share what follows from them. Pieces are the same where they are one object, and are kept, so
    that no other takes their place.
    """

    def __init__(self, lengths: Lengths, own: Settings, *, together: bool) -> None:
        self._lengths, self._own, self._together = lengths, own, together
        self._solved: dict[tuple[int | bool, ...], tuple[object, SearchModel, Solution]] = {}
        self.work = 0

    def solve(self, station: Workstation, *, any_feet: bool, any_top: bool) -> Solution:
        """Return the optimum; with any support or any height of the picture, a bound for what follows."""
        laptop = station.screen.kind == ScreenKind.LAPTOP
        if self._together or laptop:
            return self._as_one(station, any_feet=any_feet, any_top=any_top and not laptop)
        seated = self._lengths.posture == "seated"
        pieces = (station.desk, station.keyboard)
        of_seat = (station.chair, station.feet) if seated else ()
        key = (*map(id, (*pieces, *of_seat)), any_feet and seated)
        known = self._solved.get(key)
        if known is None:
            model = self._model(station, any_feet=any_feet)
            self.work += work_of(model)
            solution = search(without_picture(model))
            known = self._solved[key] = (*pieces, *of_seat), model, solution
        _, model, solution = known
        if any_top:
            return solution
        model = changed(model, **self._lengths.picture(station))
        return with_picture(hold(model, top=self._own.screen_top), solution)

    def _as_one(self, station: Workstation, *, any_feet: bool, any_top: bool) -> Solution:
        """The optimum with the picture weighed with the hands."""
        model = self._model(station, any_feet=any_feet)
        if any_top and self._own.screen_top is None:
            model = changed(model, lift=None, tops=None)
        self.work += work_of(model)
        return search(model)

    def _model(self, station: Workstation, *, any_feet: bool) -> SearchModel:
        model = self._lengths.model(station, together=self._together)
        if any_feet:
            model = changed(model, feet=None)
        own = self._own
        seat = own.seat if model.legs is not None else None
        return hold(model, seat=seat, surface=own.surface, top=own.screen_top)


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
