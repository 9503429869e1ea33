"""What must hold between a body's dimensions, whoever it is."""

from __future__ import annotations

from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass

from ..language import msg


@dataclass(frozen=True, kw_only=True)
class Relation:
    """A number made of some dimensions, and between which ends it lies. Source: house-relations.

    ``of`` are the dimensions, the one to ask about first; ``words`` says what must hold, with the names of
    the others after the first in its braces, and both ends as lengths where it is one.
    """

    of: tuple[str, ...]
    compute: Callable[..., float]
    low: float
    high: float
    words: str

    def holds(self, values: Mapping[str, float]) -> bool:
        """Whether it holds; true where one of the dimensions is not there."""
        if any(name not in values for name in self.of):
            return True
        return self.low <= self.compute(*(values[name] for name in self.of)) <= self.high


def _below(lower: str, upper: str) -> Relation:
    return Relation(
        of=(lower, upper),
        compute=lambda low, high: high - low,
        low=1e-9,
        high=float("inf"),
        words=msg("can’t be above {0}"),
    )


def _between(longer: str, shorter: str, low: float, high: float) -> Relation:
    return Relation(
        of=(longer, shorter),
        compute=lambda a, b: a - b,
        low=low,
        high=high,
        words=msg("is usually {low} to {high} more than {0}; here it is not"),
    )


RELATIONS: tuple[Relation, ...] = (
    _below("eye_height_sitting", "sitting_height"),
    _below("eye_height_standing", "stature"),
    _below("elbow_height_sitting", "shoulder_height_sitting"),
    _below("elbow_height_standing", "shoulder_height_standing"),
    _below("elbow_height_standing", "eye_height_standing"),
    _below("shoulder_height_sitting", "eye_height_sitting"),
    _below("shoulder_height_standing", "eye_height_standing"),
    _below("sitting_height", "stature"),
    _below("lumbar_height_sitting", "shoulder_height_sitting"),
    _below("shoulder_breadth_biacromial", "shoulder_breadth_bideltoid"),
    _below("hand_breadth", "hand_length"),
    _between("knee_height", "popliteal_height", 60, 160),
    _between("buttock_knee_length", "buttock_popliteal_length", 60, 160),
    Relation(
        of=("shoulder_height_sitting", "elbow_height_sitting", "shoulder_elbow_length"),
        compute=lambda shoulder, elbow, arm: (shoulder - elbow) / arm,
        low=0.85,
        high=1.15,
        words=msg("less {0} should come to {1}, within 15 %; here it does not"),
    ),
    Relation(
        of=("elbow_fingertip_length", "hand_length"),
        compute=lambda arm, hand: arm / hand,
        low=2.1,
        high=2.7,
        words=msg("is 2.1 to 2.7 times the {0}; here it is not"),
    ),
)


def broken(values: Mapping[str, float]) -> Iterator[Relation]:
    """The relations that don't hold; ``values`` in mm."""
    return (relation for relation in RELATIONS if not relation.holds(values))
