"""Habits seen after some minutes of work: one mark each on the figure.

``at`` names the joint of the drawn pose the mark is tied to. ``deg`` is what the habit counts
for in the strain sum when no photograph measures it: a stated, cautious stand-in for degrees
outside the joint's band. Source: house-habits.
"""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from ..catalogue import MechanismId
from ..choices import Choice
from ..intake import Demand
from ..language import Words, msg

At = Literal["head", "eye", "ear", "shoulder", "elbow", "hand", "back", "hip", "knee", "ankle"]
Posture = Literal["seated", "standing", "either"]
Moves = tuple[tuple[str, int, Words], ...]


class HabitOften(Choice):
    """How often a habit is there."""

    NOW_AND_THEN = "now_and_then", msg("Now and then")
    OFTEN = "often", msg("Often")
    NEARLY_ALWAYS = "nearly_always", msg("Nearly always")


class HabitSide(Choice):
    """On which side a habit is seen."""

    LEFT = "left", msg("Left")
    RIGHT = "right", msg("Right")
    BOTH = "both", msg("Both")


SHARE: dict[HabitOften, float] = {
    HabitOften.NOW_AND_THEN: 0.15,
    HabitOften.OFTEN: 0.45,
    HabitOften.NEARLY_ALWAYS: 0.85,
}
"""Share of the time a habit is taken to be there; ``often`` where nobody said. Source: house-habits."""


@dataclass(frozen=True, kw_only=True)
class Habit:
    """One habit. ``joint`` and ``region`` say what it loads; ``sided`` whether a side is asked.

    ``asks`` is what ``advice`` asks of the body. ``advice`` holds whatever the numbers are. ``moves`` are pieces of advice with a direction: quantity,
    sign of its change, words; each is given only where the worked-out change goes that way. ``on_figure``: it has a
    field on the figure; what is too fine to see there is ticked in a list.
    """

    id: str
    mechanism: MechanismId
    label: Words
    at: At
    posture: Posture
    joint: str
    region: str
    deg: float
    why: Words
    advice: Words
    sided: bool = False
    moves: Moves = ()
    asks: frozenset[Demand] = frozenset()
    on_figure: bool = True


GOOD: dict[str, str] = {
    "sits_back": msg("Sits right back against the backrest"),
    "feet_down": msg("Both feet supported"),
    "changes": msg("Changes position often"),
    "gets_up": msg("Takes a short break at least every hour"),
    "light_touch": msg("Light touch on keys and mouse"),
    "arm_moves": msg("Moves the mouse from the elbow and shoulder"),
    "looks_away": msg("Looks into the distance now and then"),
}
"""What is done well already, and is worth keeping. Source: house-habits."""
