"""Two readings, or three: the value they give and how sure it is."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from math import sqrt
from statistics import fmean, median
from typing import Literal

REPEAT_SD_FLOOR_MM = 3.0
"""Smallest standard deviation a tape reading is given, mm. Source: house-repeat."""
REPEATABILITY = 1.96 * sqrt(2)
"""Nineteen of twenty differences of two readings stay below this many errors of one. Geometry of
the normal distribution."""
MEDIAN_OF_THREE = 0.67
"""Error of the median of three readings over the error of one, normal distribution."""


@dataclass(frozen=True, kw_only=True)
class Resolved:
    """What a set of readings comes to.

    ``value_mm`` is None while there are no readings, or while two disagree and no third is taken.
    """

    value_mm: float | None
    sd_mm: float
    needs_third: bool
    spread_mm: float
    by: Literal["none", "one", "mean", "median"] = "none"


def house_error(repeat_limit_mm: float) -> float:
    """Error of one reading (standard deviation, mm) that goes with a limit for two of them.

    >>> round(house_error(10), 2)
    3.61
    """
    return repeat_limit_mm / REPEATABILITY


def resolve_readings(
    readings_mm: Sequence[float], *, repeat_limit_mm: float, error_mm: float | None = None
) -> Resolved:
    """Mean of two readings that agree, median of three where the first two do not.

    Parameters
    ----------
    readings_mm : sequence of float
        None to three readings, mm.
    repeat_limit_mm : float
        How far two may differ, mm, above 0.
    error_mm : float, optional
        The practitioner's error of one reading (standard deviation); that of the house where
        it is not known.

    Returns
    -------
    Resolved
        A single reading counts, with the repeat limit as its standard deviation: nothing has
        confirmed it. The mean of two has the error of one over the square root of two, and at
        least half their difference; never under 3 mm.

    Examples
    --------
    >>> resolve_readings([400, 404], repeat_limit_mm=8).value_mm
    402.0
    >>> resolve_readings([400, 420], repeat_limit_mm=8).needs_third
    True
    >>> resolve_readings([400, 420, 418], repeat_limit_mm=8).value_mm
    418.0

    """
    error_of_one = error_mm if error_mm is not None else house_error(repeat_limit_mm)
    count = len(readings_mm)
    if count == 0:
        return Resolved(value_mm=None, sd_mm=0.0, needs_third=False, spread_mm=0.0)
    if count == 1:
        value, sd = float(readings_mm[0]), max(REPEAT_SD_FLOOR_MM, repeat_limit_mm, error_of_one)
        return Resolved(value_mm=value, sd_mm=sd, needs_third=False, spread_mm=0.0, by="one")
    spread = abs(readings_mm[0] - readings_mm[1])
    if spread <= repeat_limit_mm:
        return Resolved(
            value_mm=fmean(readings_mm[:2]),
            sd_mm=max(REPEAT_SD_FLOOR_MM, spread / 2, error_of_one / sqrt(2)),
            needs_third=False,
            spread_mm=spread,
            by="mean",
        )
    if count == 2:
        return Resolved(value_mm=None, sd_mm=spread / 2, needs_third=True, spread_mm=spread)
    ordered = sorted(readings_mm[:3])
    nearest = min(ordered[1] - ordered[0], ordered[2] - ordered[1])
    return Resolved(
        value_mm=float(median(ordered)),
        sd_mm=max(REPEAT_SD_FLOOR_MM, nearest / 2, MEDIAN_OF_THREE * error_of_one),
        needs_third=False,
        spread_mm=spread,
        by="median",
    )
