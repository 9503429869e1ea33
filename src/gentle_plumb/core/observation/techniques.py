"""How a thing is used rather than where it stands: what a practitioner says for the road.

Said where the hours of a task make it worth saying. Source: house-technique.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..catalogue import MechanismId
from ..intake import Demand, PersonLimits
from ..language import Words
from ..tables import entries_of

WORTH_SAYING_H = 2.0
"""Hours a day of a task from which its technique is worth a word. Source: house-technique."""


@dataclass(frozen=True, kw_only=True)
class Technique:
    """One piece of advice.

    ``tasks`` are those whose hours together make it worth saying, ``asks`` what it asks of the body.
    """

    id: str
    text: Words
    tasks: tuple[str, ...]
    mechanism: MechanismId
    asks: frozenset[Demand] = frozenset()


TECHNIQUES: tuple[Technique, ...] = tuple(
    entries_of(Technique, __package__, "techniques.toml").values()
)
"""Every one, in the order in which it is said."""


def techniques_for(hours: Mapping[str, float], person: PersonLimits) -> tuple[Technique, ...]:
    """Return what is worth saying to somebody with these hours a day by task, within their limits."""
    return tuple(
        technique
        for technique in TECHNIQUES
        if sum(hours.get(task, 0.0) for task in technique.tasks) >= WORTH_SAYING_H
        and person.against(technique.asks) is None
    )
