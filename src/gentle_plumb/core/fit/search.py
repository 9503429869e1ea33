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
from heapq import heappop, heappush
from itertools import pairwise
from math import ceil, floor, inf
from typing import NamedTuple

from ..changed import changed
from ..reuse import reuse_hashed
from ..tolerances import BOUND_SLACK, COST_DECIMALS, RANK_SLACK, ROUNDING
from ..workstation import Span
from .candidates import by_legs, strata_of, turning_seats
from .costs import best_top
from .gaps import Gaps
from .ranks import Candidate, Rank, best_of
from .search_model import SEAT_LATTICE, SURFACE_LATTICE, SearchModel, Solution, without_picture


class _Parts(NamedTuple):
    """What a seat costs at one surface, part by part: each least at an end between turning points."""

    hard: float
    priority_cost: float
    hands: float
    gaze: float
    legs: float


def _parts(model: SearchModel, gaps: Gaps, seat: float, surfaces: Span) -> _Parts:
    least, most = surfaces.low - seat, surfaces.high - seat
    presses = 0.0
    if model.least_gap is not None:
        presses = max(0.0, model.least_gap - most)
        least = min(most, max(least, model.least_gap))
    if model.highest_seat is not None:
        presses = max(presses, seat - model.highest_seat)
    gap = most if least == most else gaps.best(seat, least, most, NO_CUTOFF).gap
    hands = gaps.hands(gap)[0]
    first = hands if model.first == "hands" else 0.0
    if model.first == "feet" and model.legs is not None:
        first = max(0.0, abs(seat - model.legs) - model.flat_margin)
    hangs, legs = gaps.legs(seat)
    return _Parts(presses + hangs, first, hands, gaps.gaze(seat, gap)[0], legs)


class _Bound(NamedTuple):
    """The least that any seat of a stretch can cost: the leading parts of its rank."""

    hard: float
    priority_cost: float
    excess_deg: float


NO_CUTOFF = (inf, inf)
FEW_SEATS = 6
"""Seats of the lattice that are looked at one by one rather than split further."""


def _split(
    model: SearchModel, gaps: Gaps, surfaces: Span, points: set[float], best: Candidate | None
) -> Candidate | None:
    """The best lattice seat under a surface that is fixed or moves freely, by halving what lies between turning points.

    Between two of them every part of the cost is least at one end, so the sum of the lesser ends
    is a bound; a stretch whose bound is over the best so far is left out whole. Where all parts
    are the same at both ends, nothing between them is better than the better end.
    """
    ends = sorted(points)
    known = {seat: _parts(model, gaps, seat, surfaces) for seat in ends}
    waiting: list[tuple[_Bound, float, float]] = []

    def put(low: float, high: float) -> None:
        if floor(high - ROUNDING) >= ceil(low + ROUNDING) and known[low] != known[high]:
            least = _Parts(*map(min, known[low], known[high]))
            over = least.hands + least.gaze + least.legs
            heappush(waiting, (_Bound(least.hard, least.priority_cost, over), low, high))

    for low, high in pairwise(ends):
        put(low, high)
    while waiting:
        bound, low, high = heappop(waiting)
        if best is not None and _over(bound, best.rank):
            continue
        inside = range(ceil(low + ROUNDING), floor(high - ROUNDING) + 1)
        if len(inside) <= FEW_SEATS:
            seats = by_legs(model, map(float, inside))
            best = best_of(model, gaps, surfaces, seats, best)
            continue
        middle = float(inside[len(inside) // 2])
        known[middle] = _parts(model, gaps, middle, surfaces)
        best = best_of(model, gaps, surfaces, [middle], best)
        put(low, middle)
        put(middle, high)
    return best


def _over(bound: _Bound, rank: Rank) -> bool:
    """Whether a bound lies over a rank: at the first part where they differ by more than rounding."""
    for least, reached in zip(bound, rank[:3], strict=True):
        if least - BOUND_SLACK > reached:
            return True
        if least - BOUND_SLACK < reached - RANK_SLACK:
            return False
    return False


@reuse_hashed
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
    Solution
        The optimum. Where nothing leaves room for the thighs or holds the feet, what lacks least
        is taken and said.

    """
    if model.together or model.eye is None:
        return _search(model)
    return with_picture(model, _search(without_picture(model)))


def with_picture(model: SearchModel, solution: Solution) -> Solution:
    """Return the optimum of seat and surface with the picture as near to its band as its stand lets it."""
    if model.eye is None:
        return solution
    gaze, _, top = best_top(model, solution.seat, solution.surface)
    gaze = round(gaze, COST_DECIMALS)
    return changed(
        solution, top=top, gaze=gaze, excess_deg=round(solution.excess_deg + gaze, COST_DECIMALS)
    )


@reuse_hashed
def _search(model: SearchModel) -> Solution:
    """The best seat and surface; kept, as sets of additions that differ in the screen alone share it."""
    seats = model.seat or (SEAT_LATTICE if model.legs is not None else Span(low=0, high=0))
    surfaces = model.surface or SURFACE_LATTICE
    low, high = surfaces.low - seats.high, surfaces.high - seats.low
    gaps = Gaps(model if model.surface else replace(model, surface=surfaces), low, high)
    turns = [*gaps.turns, low] if model.least_gap is None else [*gaps.turns, low, model.least_gap]
    best: Candidate | None = None
    places = seats.places()
    if places is not None:
        best = best_of(model, gaps, surfaces, by_legs(model, places), None)
    else:
        # Seats that cost nothing form intervals whose ends are turning points, and so is what is
        # preferred on them: only where nothing is free of cost does every lattice point count.
        strata = strata_of(surfaces)
        by_stratum = [(span, turning_seats(model, seats, span, turns)) for span in strata]
        for span, points in by_stratum:
            best = best_of(model, gaps, span, by_legs(model, points), best)
        if best is None or not best.rank.free:
            for span, points in by_stratum:
                if span.fixed or (span.step is None and gaps.convex):
                    best = _split(model, gaps, span, points, best)
                else:
                    lattice = {
                        float(index) for index in range(ceil(seats.low), floor(seats.high) + 1)
                    }
                    best = best_of(model, gaps, span, by_legs(model, lattice - points), best)
    if best is None:  # the lattice's ends are always among the points
        raise AssertionError("no seat and surface on the lattice")
    placed = model.eye is not None
    return Solution(
        seat=best.seat,
        surface=best.surface,
        top=best_top(model, best.seat, best.surface).height if placed else None,
        excess_deg=best.rank.excess_deg,
        footrest=best.rank.footrest,
        foot_gap_mm=best.foot_gap_mm,
        thigh_pressed_mm=best.thigh_pressed_mm,
        priority_cost=best.rank.priority_cost,
    )
