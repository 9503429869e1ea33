"""How a thing is used rather than where it stands: what a practitioner says for the road.

Said where the hours of a task make it worth saying. Source: house-technique.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from ..catalogue import MechanismId
from ..intake import Demand, PersonLimits

WORTH_SAYING_H = 2.0
"""Hours a day of a task from which its technique is worth a word. Source: house-technique."""


@dataclass(frozen=True, kw_only=True)
class Technique:
    """One piece of advice.

    ``tasks`` are those whose hours together make it worth saying, ``asks`` what it asks of the body.
    """

    id: str
    text: str
    tasks: tuple[str, ...]
    mechanism: MechanismId
    asks: frozenset[Demand] = frozenset()


TECHNIQUES: tuple[Technique, ...] = (
    Technique(
        id="mouse",
        text="Move the mouse from elbow and shoulder with the wrist still; the hand lies over the mouse, not "
        "behind it. Scroll with the arm or with a wheel that runs freely.",
        tasks=("mouse",),
        mechanism="wrists",
        asks=frozenset({Demand.SHOULDER}),
    ),
    Technique(
        id="keys",
        text="Touch the keys lightly with floating hands, and rest between spells, not on the wrists. Give a "
        "key of its own to what is typed again and again.",
        tasks=("typing",),
        mechanism="wrists",
    ),
    Technique(
        id="chair",
        text="After getting up bring the chair back in, and sit right back against the backrest.",
        tasks=("typing", "mouse", "reading", "thinking"),
        mechanism="back",
        asks=frozenset({Demand.WALKING}),
    ),
)
"""Every one, in the order in which it is said."""


def techniques_for(hours: Mapping[str, float], person: PersonLimits) -> tuple[Technique, ...]:
    """Return what is worth saying to somebody with these hours a day by task, within their limits."""
    return tuple(
        one
        for one in TECHNIQUES
        if sum(hours.get(task, 0.0) for task in one.tasks) >= WORTH_SAYING_H
        and person.against(one.asks) is None
    )
