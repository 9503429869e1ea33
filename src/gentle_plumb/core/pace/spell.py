"""Stretches of a day, whole minutes."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import filled, numeral
from .rhythms import Posture


@dataclass(frozen=True, kw_only=True)
class Fixed:
    """A fixed time in the day: its start (minutes after midnight), its length (minutes) and its posture.

    ``lunch`` is away from work; ``own`` is a spell that was put there by hand, and else as any other.
    """

    at: int
    minutes: int
    posture: Posture = "sit"
    lunch: bool = False
    own: bool = False
    id: str = ""

    @property
    def end(self) -> int:
        """When it ends, minutes after midnight."""
        return self.at + self.minutes


@dataclass(frozen=True, kw_only=True)
class Spell:
    """A stretch of one posture: ``at`` in minutes after midnight; what is done in it, with minutes each."""

    at: int
    minutes: int
    posture: Posture
    fixed: Fixed | None = None
    tasks: tuple[tuple[str, int], ...] = ()

    @property
    def end(self) -> int:
        """When it ends."""
        return self.at + self.minutes

    @property
    def meeting(self) -> bool:
        """Whether it is a meeting that lies fast."""
        return self.fixed is not None and not self.fixed.lunch and not self.fixed.own

    @property
    def lunch(self) -> bool:
        """Whether it is the meal, away from work."""
        return self.fixed is not None and self.fixed.lunch


def clock(minutes: int) -> str:
    """Return a time of day.

    >>> clock(545), clock(1440)
    ('9:05', '24:00')

    """
    return filled(
        "{minutes}:{minutes2}", minutes=minutes // 60, minutes2=numeral(f"{minutes % 60:02d}")
    )
