"""Which of many sets of additions to take: the best one whose every cheaper rival is clearly worse.

Sets are held against each other by :class:`Quality` and :class:`Cost`. A set is *worth its cost* where it is better,
by a difference worth having, than each set that costs less. The one taken is the best of those. So no cheaper set
does as well, and nothing can be left out of it without such a difference: what is left is a cheaper set.
"""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import dataclass
from itertools import groupby
from typing import NamedTuple

from ..fit import Case
from ..tolerances import ROUNDING, SAME_MM
from .addition_set import AdditionSet, Cost, cost_of

ALIKE_DEG = 0.5
"""Sets of one cost that differ by less are told apart by strain and by what has to be handled. Source: house-joint-bands."""
ALIKE_MIN = 10.0
"""Strain minutes a day that tell alike sets apart. Source: house-severity."""


class Quality(NamedTuple):
    """How well a workstation fits with a set, what counts first first; less is better.

    ``worse`` than without any additions in a hard limit; mm that hard limits lack; what the policy sets first, mm
    for the feet or degrees for the hands; degrees outside the joints' bands.
    """

    worse: bool
    shortfall_mm: float
    priority_cost: float
    excess_deg: float

    def no_worse(self, other: Quality) -> bool:
        """Whether nothing here is worse than there."""
        return (
            self.worse <= other.worse
            and self.shortfall_mm <= other.shortfall_mm + ROUNDING
            and self.priority_cost <= other.priority_cost + ROUNDING
            and self.excess_deg <= other.excess_deg + ROUNDING
        )


@dataclass(frozen=True, kw_only=True)
class Worth:
    """Differences worth having: mm of a hard limit, of what the policy sets first, and degrees."""

    hard: float
    priority_cost: float
    excess_deg: float

    @classmethod
    def of(cls, case: Case) -> Worth:
        """What is worth having for this client: less, where it hurts."""
        policy = case.policy
        first = case.least_gain_deg if policy.first == "hands" else policy.flat_feet_margin
        return cls(hard=SAME_MM, priority_cost=first, excess_deg=case.least_gain_deg)

    def better(self, mine: Quality, theirs: Quality) -> bool:
        """Whether the one is better than the other by a difference worth having."""
        if mine.worse != theirs.worse:
            return theirs.worse
        for ours, other, least in (
            (mine.shortfall_mm, theirs.shortfall_mm, self.hard),
            (mine.priority_cost, theirs.priority_cost, self.priority_cost),
        ):
            if abs(ours - other) > least:
                return ours < other
        return theirs.excess_deg - mine.excess_deg > self.excess_deg


@dataclass(frozen=True, kw_only=True)
class Tried:
    """One set, what it costs and how well it does."""

    additions: AdditionSet
    cost: Cost
    quality: Quality

    def fits(self, alike: float) -> tuple[float, ...]:
        """How well it fits, for sets of one cost: those that come to the same are alike."""
        fit = self.quality
        return (
            fit.worse,
            round(fit.shortfall_mm),
            round(fit.priority_cost, 1),
            round(fit.excess_deg / alike),
        )

    @property
    def handled(self) -> tuple[float, float]:
        """What tells alike sets of one cost apart at last: pieces, then the rest of the fit."""
        return sum(addition.pieces for addition in self.additions), self.quality.excess_deg


class Frontier:
    """Sets that no cheaper or equal one does as well as, in the order they are tried.

    ``strain`` tells the strain minutes that a set leaves, None where no hours are known: of sets that cost the same
    and fit alike, the one that leaves less by the hours of the day is taken.
    """

    def __init__(
        self,
        worth: Worth,
        alike: float = ALIKE_DEG,
        strain: Callable[[AdditionSet], float | None] | None = None,
    ) -> None:
        self.worth, self.alike, self._strain = worth, alike, strain
        self._kept: list[Tried] = []

    def beaten(self, cost: Cost, quality: Quality) -> bool:
        """Whether a set that was tried costs no more and is in nothing worse; then there is nothing to try."""
        return any(tried.cost <= cost and tried.quality.no_worse(quality) for tried in self._kept)

    def outdone(self, cost: Cost, quality: Quality) -> bool:
        """Whether a set that costs less was tried and is in nothing worse."""
        return any(tried.cost < cost and tried.quality.no_worse(quality) for tried in self._kept)

    def take(self, kit: AdditionSet, quality: Quality) -> None:
        """Note a set that was tried."""
        cost = cost_of(kit)
        if not self.outdone(cost, quality):
            self._kept.append(Tried(additions=kit, cost=cost, quality=quality))

    def best(self) -> AdditionSet:
        """The set to take."""
        chosen: AdditionSet = ()
        cheaper: list[Tried] = []
        in_order = sorted(self._kept, key=lambda tried: tried.cost)
        for _, group in groupby(in_order, key=lambda tried: tried.cost):
            alike = list(group)
            worthy = [
                tried
                for tried in alike
                if all(self.worth.better(tried.quality, other.quality) for other in cheaper)
            ]
            if worthy:
                chosen = self._of_alike(worthy, alike).additions
            cheaper += alike
        return chosen

    def _of_alike(self, worthy: Sequence[Tried], group: Sequence[Tried]) -> Tried:
        """Return the best of sets of one cost: none of them is better by a difference worth having."""
        better = self.worth.better
        worthy = [
            tried
            for tried in worthy
            if not any(better(other.quality, tried.quality) for other in group)
        ] or worthy
        best = min(tried.fits(self.alike) for tried in worthy)
        tied = [tried for tried in worthy if tried.fits(self.alike) == best]
        strain = self._strain if len(tied) > 1 else None

        def rank(tried: Tried) -> tuple[float, ...]:
            minutes = strain(tried.additions) if strain is not None else None
            return (round((minutes or 0.0) / ALIKE_MIN), *tried.handled)

        return min(tied, key=rank)
