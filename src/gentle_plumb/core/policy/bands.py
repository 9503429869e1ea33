"""Bands of the joints: one frozen object each, used by rule, drawing and report alike."""

from __future__ import annotations

from dataclasses import dataclass

from ..tolerances import END_ROUNDING, SAME_SHOWN


def judged_excess(value: float, low: float | None, high: float | None) -> float:
    """How far a value lies outside a band, signed; 0 inside and within half a unit, which is what rounding takes from the number that is shown of it.

    Parameters
    ----------
    value : float
        mm, degrees or per cent, unrounded.
    low, high : float or None
        The band's ends in the same unit; None for an open end.

    Examples
    --------
    >>> judged_excess(120.5, 90.0, 120.0), judged_excess(121.0, 90.0, 120.0)
    (0.0, 1.0)

    """
    if low is not None and value < low - SAME_SHOWN:
        return value - low
    return value - high if high is not None and value > high + SAME_SHOWN else 0.0


@dataclass(frozen=True, kw_only=True)
class Band:
    """A closed band: both ends count as inside."""

    low: float
    high: float

    def excess(self, value: float) -> float:
        """How far outside, signed: negative under the band, positive over it, 0 inside."""
        if value < self.low - END_ROUNDING:
            return value - self.low
        return value - self.high if value > self.high + END_ROUNDING else 0.0


JOINT_BANDS: dict[str, Band] = {
    "elbow": Band(low=90, high=110),
    "wrist": Band(low=-10, high=10),
    "shoulder": Band(low=0, high=0),
    "upper_arm": Band(low=0, high=20),
    "upper_arm_keys": Band(low=0, high=20),
    "hip": Band(low=90, high=120),
    "knee": Band(low=90, high=120),
}
"""Bands in degrees. Source: house-joint-bands. The elbow's is a policy; the neck's follows from the
screen rule."""
