"""What does not fit at all: said first and loudest, and never made up for by degrees."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass

from ..fit import AimedSettings, Case, Posture
from ..tolerances import SAME_MM
from .condition import Condition
from .conditions import conditions_of


@dataclass(frozen=True, kw_only=True)
class HardLimits:
    """What does not fit at all, mm; 0 where nothing is lacking.

    Room for the thighs (or for armrests that can't move) under the desk, support for the feet, desk
    before the belly, and armrests that meet the desk even at their lowest. ``keys`` are the postures
    in which no arm reaches the keys.
    """

    thighs: float = 0.0
    feet: float = 0.0
    belly: float = 0.0
    armrests: float = 0.0
    keys: tuple[Posture, ...] = ()

    @property
    def any(self) -> bool:
        """Whether anything is lacking."""
        return bool(self.keys) or max(*self._parts()[:3], self.armrests) > SAME_MM

    def worse_than(self, other: HardLimits) -> bool:
        """Whether any one of them is more than the other's: no gain elsewhere makes up for it.

        Armrests that move can be turned away or taken off; they are said, and decide nothing.
        """
        mine, theirs = self._parts(), other._parts()
        return any(value > before + SAME_MM for value, before in zip(mine, theirs, strict=True))

    def mends(self, other: HardLimits) -> bool:
        """Whether less is lacking, and none of it more."""
        mine, theirs = self._parts(), other._parts()
        less = any(value < before - SAME_MM for value, before in zip(mine, theirs, strict=True))
        return less and not self.worse_than(other)

    def _parts(self) -> tuple[float, ...]:
        return self.thighs, self.feet, self.belly, 1000.0 * len(self.keys)


def hard_limits_in(by_posture: Iterable[tuple[Posture, Iterable[Condition]]]) -> HardLimits:
    """Return what is lacking in the conditions of both postures."""
    short: dict[str, float] = {}
    keys: list[Posture] = []
    for posture, conditions in by_posture:
        for condition in conditions:
            if condition.key == "reach" and condition.state == "off":
                keys.append(posture)
            elif condition.short:
                short[condition.key] = max(short.get(condition.key, 0.0), condition.short)
    return HardLimits(
        thighs=max(short.get("thighs", 0.0), short.get("armrests_fixed", 0.0)),
        feet=short.get("feet", 0.0),
        belly=short.get("belly", 0.0),
        armrests=short.get("armrests", 0.0),
        keys=tuple(keys),
    )


def hard_limits(case: Case, settings: AimedSettings) -> HardLimits:
    """Return what is lacking once everything is set like this.

    Parameters
    ----------
    case : Case
        With the pieces that these settings were worked out for.
    settings : AimedSettings

    """
    postures: list[tuple[Posture, Iterable[Condition]]] = []
    if case.sits:
        seated = conditions_of(case, settings.seated, settings.joints_seated, seated=True)
        postures.append(("seated", seated))
    if settings.standing is not None:
        up = case.standing()
        joints = settings.joints_standing
        standing = conditions_of(up, settings.standing, joints, seated=False)
        postures.append(("standing", standing))
    return hard_limits_in(postures)
