"""The best surface over a seat: gaps of a window, each scored once where that can be shared."""

from __future__ import annotations

from bisect import bisect_left, bisect_right
from functools import cached_property
from math import ceil, floor
from typing import Any, NamedTuple

from ..tolerances import COST_DECIMALS, ROUNDING
from .costs import gaze_over, legs_at
from .hand_costs import HandCost, HandCosts, hand_turns
from .search_model import SearchModel


class Score(NamedTuple):
    """What a gap costs, what counts first first."""

    priority_cost: float
    """What the policy sets first, where that is the hands: degrees outside."""
    excess_deg: float
    """Degrees outside the bands of hands and gaze."""
    from_target: float
    """Degrees of the elbow from its target."""
    picture: float
    """Mm of the picture's top from its target."""


class ScoredGap(NamedTuple):
    """A gap, mm of the surface over the seat, with its score."""

    score: Score
    gap: float

    @property
    def free(self) -> bool:
        """Whether nothing is outside its band."""
        return self.score.priority_cost == 0 and self.score.excess_deg == 0


MOST_TABLES = 96
"""How many tables of costs a visit keeps. Source: house-chain."""


def _costs(*_: object) -> dict[float, Any]:
    """A table of costs to be filled, for these lengths and bands: sets of pieces share most of it."""
    return {}


class Minima:
    """The least of every stretch of scored gaps: each stretch is covered by two of a power of two."""

    def __init__(self, scored: list[ScoredGap]) -> None:
        """``scored`` in the order of their gaps."""
        self._gaps = [gap for _, gap in scored]
        self._by_rank = sorted(scored)
        place = {gap: rank for rank, (_, gap) in enumerate(self._by_rank)}
        self._levels = [[place[gap] for gap in self._gaps]]
        while len(self._levels[-1]) > (half := 1 << (len(self._levels) - 1)):
            last = self._levels[-1]
            self._levels.append(list(map(min, last, last[half:])))

    def least(self, low: float, high: float) -> ScoredGap | None:
        """Return the least score between two gaps, both counted, with its gap; None where there is none."""
        first, end = bisect_left(self._gaps, low), bisect_right(self._gaps, high)
        if first >= end:
            return None
        level = (end - first).bit_length() - 1
        row = self._levels[level]
        return self._by_rank[min(row[first], row[end - (1 << level)])]


class Gaps:
    """Costs of seats and gaps (surface over seat), each reckoned once where it can be shared.

    Every cost is reckoned from what it depends on alone, so that it is the same whoever asks first.
    """

    def __init__(self, model: SearchModel, low: float, high: float) -> None:
        self._model, self._low, self._high = model, low, high
        seen = model.eye is not None and (model.lift is not None or model.tops is not None)
        self._known = model.reuse.hashed(_costs, MOST_TABLES)
        self._by_gap = model.tops is None or not seen
        self._by_seat = seen and model.tops is not None and model.lift is None
        self._hands_key = "hands", *HandCosts.key(model)
        hands = self._known(*self._hands_key)
        if not hands:
            hands[0] = HandCosts(model)
        self._hands: HandCosts = hands[0]
        self.convex = not seen and HandCosts.holds(model)
        self._gaze_key = (
            "gaze",
            model.eye,
            model.distance,
            model.lift,
            model.tops,
            model.top_band,
            model.top_target,
        )
        self._gaze = self._known(*self._gaze_key)
        self._legs = self._known(
            "legs",
            model.legs,
            model.thigh_length,
            model.knee_band,
            model.hip_band,
            model.hip_level,
            model.level,
            model.thigh_slope,
            model.flat_margin,
            model.feet,
        )
        self._by_hands: list[tuple[float, float]] | None = None
        self.turns = sorted(gap for gap in turning_gaps(model) if low <= gap <= high)

    def hands(self, gap: float) -> HandCost:
        """Degrees elbow and wrist are outside their bands, and the elbow from its target."""
        return self._hands.at(gap)

    def gaze(self, seat: float, gap: float) -> tuple[float, float]:
        """Degrees the top of the picture lies outside its band at best, mm from its target."""
        if not (self._by_gap or self._by_seat):
            over, apart = gaze_over(self._model, seat, seat + gap)
            return round(over, COST_DECIMALS), round(apart, COST_DECIMALS)
        key = gap if self._by_gap else seat
        result = self._gaze.get(key)
        if result is None:
            over, apart = gaze_over(self._model, *((0.0, gap) if self._by_gap else (seat, 0.0)))
            result = self._gaze[key] = round(over, COST_DECIMALS), round(apart, COST_DECIMALS)
        return result

    def legs(self, seat: float) -> tuple[float, float]:
        """Mm the feet lack of a support, degrees of knee and hip."""
        known = self._legs.get(seat)
        if known is None:
            hangs, over = legs_at(self._model, seat)
            known = self._legs[seat] = hangs, round(over, COST_DECIMALS)
        return known

    def score(self, seat: float, gap: float) -> Score:
        """Policy's first piece, degrees outside, degrees from the target, mm of the picture."""
        hands, gaze = self.hands(gap), self.gaze(seat, gap)
        first = hands[0] if self._model.first == "hands" else 0.0
        over = round(hands[0] + gaze[0], COST_DECIMALS)
        return Score(first, over, hands[1], gaze[1])

    def _scored(self, gap: float) -> ScoredGap:
        """A gap with its score, where there is no picture."""
        over, away = self._hands.at(gap)
        return ScoredGap(Score(over if self._model.first == "hands" else 0.0, over, away, 0.0), gap)

    def best(
        self, seat: float, least: float, most: float, cutoff: tuple[float, float]
    ) -> ScoredGap:
        """The best gap of a window at a seat; what costs more than the cutoff is not looked for.

        Gaps that cost nothing form intervals whose ends are among the turning points; on each the
        distance from the target grows to both sides. So where anything costs nothing, the
        window's ends and the turning points hold the best. Else every lattice point counts.
        """
        if least == most:
            return ScoredGap(self.score(seat, most), most)
        places = self._model.surface.places() if self._model.surface else None
        if places is not None:
            tries = [
                place - seat
                for place in places
                if least - ROUNDING <= place - seat <= most + ROUNDING
            ]
            if self.convex:
                return self._scored(self._hands.best_of(tries or [most]))
            return min(ScoredGap(self.score(seat, gap), gap) for gap in tries or [most])
        if self.convex:
            return self._scored(self._hands.best(least, most))
        more = [] if self._by_gap else _turning_tops(self._model, seat)
        points = [least, most, *(gap for gap in (*self.turns, *more) if least < gap < most)]
        best = min([ScoredGap(self.score(seat, gap), gap) for gap in points])
        if best.free:
            return best
        if not self._by_gap:
            return self._best_by_seat(seat, least, most, cutoff, best)
        inside = self._minima.least(least, most)
        return best if inside is None else min(best, inside)

    def _best_by_seat(
        self, seat: float, least: float, most: float, cutoff: tuple[float, float], best: ScoredGap
    ) -> ScoredGap:
        """The best gap where the picture depends on the seat: turning points, then what the hands let in."""
        more = _turning_tops(self._model, seat)
        points = [gap for gap in (*self.turns, *more) if least < gap < most]
        best = min([best, *(ScoredGap(self.score(seat, gap), gap) for gap in points)])
        if best.free:
            return best
        if self._by_hands is None:
            self._by_hands = sorted((self.hands(gap)[0], gap) for gap in self._lattice())
        for over, gap in self._by_hands:
            if over > min(best.score.excess_deg, cutoff[1]):
                break  # the hands alone cost more already
            if least <= gap <= most:
                best = min(best, ScoredGap(self.score(seat, gap), gap))
        return best

    @cached_property
    def _minima(self) -> Minima:
        """The least cost of any stretch of gaps; shared by all that have the same hands and picture."""
        key = "minima", self._model.first, *self._hands_key, *self._gaze_key
        kept: dict[Any, Minima] = self._known(*key)
        if not kept:
            middle = self._model.elbow - self._model.keyboard
            lattice = range(ceil(middle - self._model.reach), floor(middle + self._model.reach) + 1)
            points = sorted({*map(float, lattice), *turning_gaps(self._model)})
            kept[0] = Minima([ScoredGap(self.score(0.0, gap), gap) for gap in points])
        return kept[0]

    def _lattice(self) -> list[float]:
        middle = self._model.elbow - self._model.keyboard
        nearest = max(self._low, middle - self._model.reach)
        furthest = min(self._high, middle + self._model.reach)
        return [float(gap) for gap in range(ceil(nearest), floor(furthest) + 1)]


def turning_gaps(model: SearchModel) -> list[float]:
    """Gaps where a band of elbow, wrist or gaze begins or ends, or the target is met."""
    points = hand_turns(model)
    if model.eye is not None and model.lift is not None:
        ends = model.lift.places() or (model.lift.low, model.lift.high)
        for edge in (model.top_band.low, model.top_band.high):
            points += [model.eye + edge - end for end in ends]
    return points


def _turning_tops(model: SearchModel, seat: float) -> list[float]:
    """Gaps where what binds the picture changes between the surface and the floor."""
    if model.lift is None or model.tops is None:
        return []
    return [
        top - lift - seat
        for top in (model.tops.low, model.tops.high)
        for lift in (model.lift.low, model.lift.high)
    ]
