"""What a seat with its surface costs, in the order of preference, and the best of several seats."""

from __future__ import annotations

from math import inf
from typing import NamedTuple

from ..tolerances import COST_DECIMALS, COST_ROUNDING, ROUNDING
from ..workstation import Span
from .gaps import Gaps
from .search_model import SearchModel


class Rank(NamedTuple):
    """What a seat with its surface costs, in the order of preference; less is better."""

    hard: float
    """Mm that hard limits lack: room for the thighs, support for the feet."""
    priority_cost: float
    """What the policy sets first is off by: mm of the seat, or degrees of the hands."""
    excess_deg: float
    """Degrees outside the joints' bands."""
    footrest: bool
    """Whether a footrest is needed."""
    moved_mm: float
    """What is changed last is off by: mm of the seat from the legs, or degrees of the elbow."""
    follows: float
    """What gives way is off by: the other of the two."""
    picture: float
    """Mm of the picture's top from its target."""

    @property
    def free(self) -> bool:
        """Whether it costs nothing that counts."""
        return self.hard == 0 and self.priority_cost == 0 and self.excess_deg == 0


class Candidate(NamedTuple):
    """A seat with its best surface, mm, its rank, and what hard limits lack there, mm."""

    rank: Rank
    seat: float
    surface: float
    foot_gap_mm: float
    thigh_pressed_mm: float


def best_of(
    model: SearchModel, gaps: Gaps, surfaces: Span, seats: list[float], best: Candidate | None
) -> Candidate | None:
    """The best of these seats, or what was the best before."""
    for seat in seats:
        least, most = surfaces.low - seat, surfaces.high - seat
        presses = 0.0
        if model.least_gap is not None:
            if most < model.least_gap - ROUNDING:
                presses, least = model.least_gap - most, most
            else:
                least = max(least, model.least_gap)
                least = least if surfaces.step is None else _least(surfaces, seat, least)
        if model.highest_seat is not None:
            presses = max(presses, seat - model.highest_seat)
        presses = 0.0 if presses < ROUNDING else presses
        hangs, legs = gaps.legs(seat)
        hard = round(presses + hangs, COST_DECIMALS)
        apart = first = 0.0
        if model.legs is not None:
            apart = round(abs(seat - model.legs), COST_DECIMALS)
            if model.first == "feet":
                first = max(0.0, apart - model.flat_margin)
        if best is not None:
            top = best.rank
            if (hard, first, legs) > (top.hard, top.priority_cost, top.excess_deg):
                continue  # whatever its surface, it comes after the best so far
            settled = top.free and not top.footrest and not model.hands_first
            if settled and apart > top.moved_mm:
                break  # nothing costs less, and all that follow are further from the legs
        cutoff = (
            (inf, inf)
            if best is None or hard < best.rank.hard
            else (
                best.rank.priority_cost if model.first == "hands" else inf,
                best.rank.excess_deg - legs + COST_ROUNDING,
            )
        )
        score, gap = gaps.best(seat, least, most, cutoff)
        rank = Rank(
            hard=hard,
            priority_cost=score.priority_cost if model.first == "hands" else first,
            excess_deg=round(score.excess_deg + legs, COST_DECIMALS),
            footrest=model.legs is not None and seat - model.legs > model.flat_margin + ROUNDING,
            moved_mm=score.from_target if model.hands_first else apart,
            follows=apart if model.hands_first else score.from_target,
            picture=score.picture,
        )
        if best is None or rank < best.rank:
            best = Candidate(rank, seat, seat + gap, hangs, presses)
    return best


def _least(surfaces: Span, seat: float, least: float) -> float:
    """The lowest gap not under ``least`` that the surface has a place for."""
    places = surfaces.places()
    if places is None:
        return least
    return min(
        (place - seat for place in places if place - seat >= least - ROUNDING), default=least
    )
