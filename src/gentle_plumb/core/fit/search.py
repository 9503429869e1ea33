"""The exact search for seat, surface and picture under what the pieces can do.

The model
---------
Unknowns are the seat ``s``, the surface ``z`` (standing: ``s`` is 0) and the picture's top ``t``.
Pieces with steps take their own places; others lie on a lattice of whole millimetres joined by
the points where something changes (ends of ranges, edges of bands, the seat for the legs, the
height that gives the target angle). Elbow and wrist depend on ``u = z - s``, legs on ``s``, the
gaze on ``t - s``. ``t`` may be anywhere in ``lift`` over ``z``, in ``tops`` over the floor, or in
both where a tray hangs under a desk that moves.

Order of preference, strictly one after the other:

1. hard: ranges (always), then mm of thigh room and of foot support that are missing;
2. what the policy sets first (feet, or hands), where it names one;
3. the smallest sum of degrees outside the joints' bands;
4. no footrest rather than one;
5. the piece that can't move first: under a surface that can, the seat nearest the legs, then
   the elbow nearest its target angle; at a fixed surface the elbow before the seat; the picture
   nearest its target last.

Every seat and surface of the lattice is covered, so the answer is the optimum of this model, not
a guess; the tests hold it against every pair and against a general solver.
"""

from __future__ import annotations

from dataclasses import replace
from functools import lru_cache
from heapq import heappop, heappush
from itertools import pairwise
from math import ceil, floor, inf
from typing import NamedTuple

from ..memoize import clear_caches
from ..workstation import Span
from .candidates import by_legs, strata_of, turning_seats
from .costs import best_top
from .gaps import Gaps, known
from .search_model import SEAT_LATTICE, SURFACE_LATTICE, SearchModel, Solution

_Best = tuple[tuple[float, ...], float, float, float, float]


def _best_of(
    model: SearchModel, gaps: Gaps, surfaces: Span, seats: list[float], best: _Best | None
) -> _Best | None:
    """The best of these seats, or what was the best before."""
    for seat in seats:
        least, most = surfaces.low - seat, surfaces.high - seat
        presses = 0.0
        if model.least_gap is not None:
            if most < model.least_gap - 1e-9:
                presses, least = model.least_gap - most, most
            else:
                least = max(least, model.least_gap)
                least = least if surfaces.step is None else _least(surfaces, seat, least)
        if model.highest_seat is not None:
            presses = max(presses, seat - model.highest_seat)
        presses = 0.0 if presses < 1e-9 else presses
        hang, legs = gaps.legs(seat)
        hard = round(presses + hang, 6)
        apart = first = 0.0
        if model.legs is not None:
            apart = round(abs(seat - model.legs), 6)
            if model.first == "feet":
                first = max(0.0, apart - model.flat_margin)
        if best is not None:
            top = best[0]
            if (hard, first, legs) > top[:3]:
                continue  # whatever its surface, it comes after the best so far
            if top[:4] == (0.0, 0.0, 0.0, False) and not model.hands_first and apart > top[4]:
                break  # nothing costs less, and all that follow are further from the legs
        cutoff = (
            (inf, inf)
            if best is None or hard < best[0][0]
            else (best[0][1] if model.first == "hands" else inf, best[0][2] - legs + 1e-6)
        )
        score, gap = gaps.best(seat, least, most, cutoff)
        first = score[0] if model.first == "hands" else first
        footrest = model.legs is not None and seat - model.legs > model.flat_margin + 1e-9
        near = (score[2], apart) if model.hands_first else (apart, score[2])
        over = round(score[1] + legs, 6)
        rank: tuple[float, ...] = (hard, first, over, footrest, *near, score[3])
        if best is None or rank < best[0]:
            best = rank, seat, seat + gap, hang, presses
    return best


class _Parts(NamedTuple):
    """What a seat costs at one surface, part by part: each least at an end between turning points."""

    hard: float
    first: float
    hands: float
    gaze: float
    legs: float


def _parts(model: SearchModel, gaps: Gaps, seat: float, surface: float) -> _Parts:
    presses = max(0.0, (model.least_gap or 0.0) - surface + seat) if model.least_gap else 0.0
    if model.highest_seat is not None:
        presses = max(presses, seat - model.highest_seat)
    hands = gaps.hands(surface - seat)[0]
    first = hands if model.first == "hands" else 0.0
    if model.first == "feet" and model.legs is not None:
        first = max(0.0, abs(seat - model.legs) - model.flat_margin)
    hangs, legs = gaps.legs(seat)
    return _Parts(presses + hangs, first, hands, gaps.gaze(seat, surface - seat)[0], legs)


FEW_SEATS = 6
"""Seats of the lattice that are looked at one by one rather than split further."""


def _split(
    model: SearchModel, gaps: Gaps, surfaces: Span, points: set[float], best: _Best | None
) -> _Best | None:
    """The best lattice seat at a fixed surface, by halving what lies between turning points.

    Between two of them every part of the cost is least at one end, so the sum of the lesser ends
    is a bound; a stretch whose bound is over the best so far is left out whole.
    """
    surface = surfaces.low
    ends = sorted(points)
    known = {seat: _parts(model, gaps, seat, surface) for seat in ends}
    waiting: list[tuple[tuple[float, float, float], float, float]] = []

    def put(low: float, high: float) -> None:
        if floor(high - 1e-9) >= ceil(low + 1e-9):
            pairs = [min(one) for one in zip(known[low], known[high], strict=True)]
            heappush(waiting, ((pairs[0], pairs[1], sum(pairs[2:])), low, high))

    for low, high in pairwise(ends):
        put(low, high)
    while waiting:
        bound, low, high = heappop(waiting)
        slack = (bound[0] - 1e-5, bound[1] - 1e-5, bound[2] - 1e-5)
        if best is not None and _over(slack, best[0]):
            continue
        inside = range(ceil(low + 1e-9), floor(high - 1e-9) + 1)
        if len(inside) <= FEW_SEATS:
            seats = by_legs(model, map(float, inside))
            best = _best_of(model, gaps, surfaces, seats, best)
            continue
        middle = float(inside[len(inside) // 2])
        known[middle] = _parts(model, gaps, middle, surface)
        best = _best_of(model, gaps, surfaces, [middle], best)
        put(low, middle)
        put(middle, high)
    return best


def _over(bound: tuple[float, float, float], rank: tuple[float, ...]) -> bool:
    """Whether a bound lies over a rank: at the first part where they differ by more than rounding."""
    for mine, theirs in zip(bound, rank[:3], strict=True):
        if mine > theirs:
            return True
        if mine < theirs - 3e-5:
            return False
    return False


@lru_cache(maxsize=4096)
def search(model: SearchModel) -> Solution:
    """Find the best seat, surface and top.

    Seat and surface are for legs and hands: keys never move to serve a screen. The picture follows
    as well as its stand lets it, and what it lacks counts. Where keys and picture are one piece
    (``together``), all degrees are weighed at once.

    Parameters
    ----------
    model : SearchModel
        The lengths, ranges and bands.

    Returns
    -------
    Found
        The optimum. Where nothing leaves room for the thighs or holds the feet, what lacks least
        is taken and said.

    """
    if model.together or model.eye is None or (model.lift is None and model.tops is None):
        return _search(model)
    found = _search(replace(model, eye=None, lift=None, tops=None))
    gaze, _, top = best_top(model, found.seat, found.surface)
    gaze = round(gaze, 6)
    return replace(found, top=top, gaze=gaze, over=round(found.over + gaze, 6))


@lru_cache(maxsize=4096)
def _search(model: SearchModel) -> Solution:
    """The best seat and surface; kept, as sets of additions that differ in the screen alone share it."""
    seats = model.seat or (SEAT_LATTICE if model.legs is not None else Span(low=0, high=0))
    surfaces = model.surface or SURFACE_LATTICE
    low, high = surfaces.low - seats.high, surfaces.high - seats.low
    gaps = Gaps(model if model.surface else replace(model, surface=surfaces), low, high)
    turns = [*gaps.turns, low] if model.least_gap is None else [*gaps.turns, low, model.least_gap]
    best: _Best | None = None
    places = seats.places()
    if places is not None:
        best = _best_of(model, gaps, surfaces, by_legs(model, places), None)
    else:
        # Seats that cost nothing form intervals whose ends are turning points, and so is what is
        # preferred on them: only where nothing is free of cost does every lattice point count.
        strata = strata_of(surfaces)
        found = [(one, turning_seats(model, seats, one, turns)) for one in strata]
        for one, points in found:
            best = _best_of(model, gaps, one, by_legs(model, points), best)
        if best is None or best[0][:3] != (0.0, 0.0, 0.0):
            for one, points in found:
                if one.fixed:
                    best = _split(model, gaps, one, points, best)
                else:
                    lattice = {float(at) for at in range(ceil(seats.low), floor(seats.high) + 1)}
                    best = _best_of(model, gaps, one, by_legs(model, lattice - points), best)
    if best is None:  # the lattice's ends are always among the points
        raise AssertionError("no seat and surface on the lattice")
    rank, seat, surface, hang, presses = best
    placed = model.eye is not None
    return Solution(
        seat=seat,
        surface=surface,
        top=best_top(model, seat, surface)[2] if placed else None,
        over=rank[2],
        footrest=bool(rank[3]),
        hangs=hang,
        presses=presses,
        first=rank[1],
    )


def forget() -> None:
    """Forget what was found before: for measuring how long finding it takes."""
    search.cache_clear()
    _search.cache_clear()
    known.cache_clear()
    clear_caches()


def _least(surfaces: Span, seat: float, least: float) -> float:
    """The lowest gap not under ``least`` that the surface has a place for."""
    places = surfaces.places()
    if places is None:
        return least
    return min((place - seat for place in places if place - seat >= least - 1e-9), default=least)
