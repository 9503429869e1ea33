"""What elbow and wrist cost by the gap between seat and surface, and the best gap of any window."""

from __future__ import annotations

from bisect import bisect_left
from collections.abc import Sequence
from math import radians, sin
from typing import NamedTuple

from ..tolerances import COST_DECIMALS, ROUNDING
from .costs import elbow_over
from .search_model import SearchModel


class HandCost(NamedTuple):
    """What a gap costs the hands: degrees outside the bands of elbow and wrist, and of the elbow from its target."""

    excess_deg: float
    from_target: float


class HandCosts:
    """Costs of gaps, mm of the surface over the seat, shared by all searches with the same arm and keys.

    Both costs are convex in the angle of the elbow, which falls as the gap grows: what costs least lies between two
    turning points, and of a window that which lies nearest to it is best. So a window costs two comparisons.
    """

    def __init__(self, model: SearchModel) -> None:
        self._model = model
        self._known: dict[float, HandCost] = {}
        self.turns = sorted(hand_turns(model))
        costs = [self.at(gap).excess_deg for gap in self.turns]
        cheapest = [gap for gap, cost in zip(self.turns, costs, strict=True) if cost == min(costs)]
        self._low, self._high = cheapest[0], cheapest[-1]
        self._target = gap_at(model, model.elbow_target)

    @staticmethod
    def key(model: SearchModel) -> tuple[object, ...]:
        """Return what the costs depend on."""
        return (
            model.elbow,
            model.reach,
            model.keyboard,
            model.elbow_target,
            model.elbow_band,
            model.wrist_band,
            model.slopes,
        )

    @staticmethod
    def holds(model: SearchModel) -> bool:
        """Whether the costs are convex: keys that slope in steps leave the wrist's band between two of them."""
        step = 0.0 if model.slopes.fixed else model.slopes.step or 0.0
        band = model.wrist_band
        return band.low <= -step / 2 and step / 2 <= band.high

    def at(self, gap: float) -> HandCost:
        """Return what a gap costs."""
        cost = self._known.get(gap)
        if cost is None:
            over, away = elbow_over(self._model, gap)
            cost = HandCost(round(over, COST_DECIMALS), round(away, COST_DECIMALS))
            self._known[gap] = cost
        return cost

    def best(self, least: float, most: float) -> float:
        """Return the best gap of a window, both ends counted."""
        low, high = max(least, self._low), min(most, self._high)
        if low > high:
            return most if most < self._low else least
        return min(max(self._target, low), high)

    def best_of(self, gaps: Sequence[float]) -> float:
        """Return the best of gaps in rising order."""
        wanted = self.best(gaps[0], gaps[-1])
        place = bisect_left(gaps, wanted - ROUNDING)
        near = gaps[max(0, place - 1) : place + 2]
        return min(near, key=lambda gap: (self.at(gap), gap))


def gap_at(model: SearchModel, angle: float) -> float:
    """Return the gap at which the elbow has an angle, degrees; mm."""
    return model.elbow - model.reach * sin(radians(angle - 90)) - model.keyboard


def hand_turns(model: SearchModel) -> list[float]:
    """Return the gaps where a band of elbow or wrist begins or ends, or the target is met."""
    angles = [model.elbow_target, model.elbow_band.low, model.elbow_band.high]
    angles += [
        90 + model.wrist_band.high - model.slopes.low,
        90 + model.wrist_band.low - model.slopes.high,
    ]
    return [gap_at(model, angle) for angle in angles if 0 <= angle <= 180]
