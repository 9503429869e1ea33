"""A dimension nobody has measured, from stature: always with its plus-minus."""

from __future__ import annotations

from dataclasses import dataclass
from functools import lru_cache

from ..errors import MissingDimension
from .dimensions import Sex, dimension

__all__ = ["LEAST_CORRELATION", "Estimate", "estimate_from_stature"]

LEAST_CORRELATION = 0.25
"""Under this correlation stature says nothing useful; ask for the tape. Source: house-correlation."""


@dataclass(frozen=True, kw_only=True)
class Estimate:
    """An estimated length and its standard error, mm."""

    value_mm: float
    sd_mm: float


@lru_cache(maxsize=4096)  # pure, and asked for again and again within one fit
def estimate_from_stature(name: str, *, stature_mm: float, sex: Sex | None = None) -> Estimate:
    """Estimate one dimension from stature.

    Parameters
    ----------
    name : str
        Identifier of the dimension.
    stature_mm : float
        mm, barefoot.
    sex : {"female", "male"}, optional
        The population; mixed where not given.

    Returns
    -------
    Estimate
        ``mean + r * sd / sd_stature * (stature - mean_stature)`` and ``sd * sqrt(1 - r*r)``.

    Raises
    ------
    MissingDimension
        If the dimension hardly goes with stature (elbow height seated) or is not in the table.

    Examples
    --------
    >>> estimate_from_stature("popliteal_height", stature_mm=1610, sex="female").value_mm
    400.0

    """
    entry = dimension(name)
    spread, stature = entry.spread(sex), dimension("stature").spread(sex)
    if spread is None or stature is None or entry.r_stature < LEAST_CORRELATION:
        raise MissingDimension(
            name, f"{entry.label} can't be estimated from stature: it needs the tape."
        )
    r = entry.r_stature
    shift = r * spread.sd_mm / stature.sd_mm * (stature_mm - stature.mean_mm)
    return Estimate(
        value_mm=spread.mean_mm + shift, sd_mm=spread.sd_mm * max(0.0, 1 - r * r) ** 0.5
    )
