"""What does not fit at all, in words."""

from __future__ import annotations

from ..assessment import HardLimits
from ..fit import TAPE_MM
from ..units import LengthUnit
from ..words import say, say_length, say_posture


def hard_limit_words(limits: HardLimits, unit: LengthUnit) -> list[str]:
    """Return what does not fit at all by more than a tape can be off, the gravest first."""
    texts = [
        say(f"hard.{key}", gap=say_length(short, unit))
        for key, short in (("thighs", limits.thighs), ("feet", limits.feet))
        if short > TAPE_MM
    ]
    texts += [say("hard.keys", posture=say_posture(posture)) for posture in limits.keys]
    texts += [
        say(f"hard.{key}", gap=say_length(short, unit))
        for key, short in (("belly", limits.belly), ("armrests", limits.armrests))
        if short > TAPE_MM
    ]
    return texts
