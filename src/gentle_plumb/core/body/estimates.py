"""A dimension nobody has measured: always with its plus-minus, and what it rests on."""

from __future__ import annotations

from dataclasses import dataclass

from ..errors import MissingDimension
from ..language import msg
from .catalogue import dimension
from .dimensions import Sex
from .factor import Factor
from .tables import BRITISH_ADULTS, Table

LEAST_CORRELATION = 0.25
"""Under this correlation stature says nothing useful; ask for the tape. Source: house-correlation."""
LEAST_TOLD = 0.5
"""Without stature, the others must tell at least this share of its spread. Source: house-correlation."""


@dataclass(frozen=True, kw_only=True)
class Estimate:
    """An estimated length and its standard error, mm; ``basis`` names what it rests on most."""

    value_mm: float
    sd_mm: float
    basis: tuple[str, ...] = ("stature",)


def estimate_from_stature(
    name: str,
    *,
    stature_mm: float,
    sex: Sex | None = None,
    table: Table = BRITISH_ADULTS,
    insist: bool = False,
) -> Estimate:
    """Estimate one dimension from stature.

    Parameters
    ----------
    name : str
        Identifier of the dimension.
    stature_mm : float
        mm, barefoot.
    sex : {"female", "male"}, optional
        The population; mixed where not given.
    table : Table
        Whose means and standard deviations.
    insist : bool
        Estimate even what hardly goes with stature.

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
    spread, stature = table.spread(name, sex), table.spread("stature", sex)
    if spread is None or stature is None:
        table = BRITISH_ADULTS  # both from one table, or neither
        spread, stature = table.spread(name, sex), table.spread("stature", sex)
    r = table.r(name)
    if spread is None or stature is None or (r < LEAST_CORRELATION and not insist):
        raise MissingDimension(
            name, msg("{label} can’t be estimated from stature: measure it.", label=entry.label)
        )
    shift = r * spread.sd_mm / stature.sd_mm * (stature_mm - stature.mean_mm)
    return Estimate(
        value_mm=spread.mean_mm + shift, sd_mm=spread.sd_mm * max(0.0, 1 - r * r) ** 0.5
    )


def estimate_from_others(name: str, factor: Factor, *, insist: bool = False) -> Estimate:
    """Estimate one dimension from all that is known, where stature is not, or not for sure.

    With stature known well the others add nothing in this model; see :mod:`.factor`.

    Raises
    ------
    MissingDimension
        If what is known tells too little of how tall the person is.

    """
    entry = dimension(name)
    if factor.table.r(name) < LEAST_CORRELATION and not insist:
        raise MissingDimension(
            name, msg("{label} can’t be estimated: measure it.", label=entry.label)
        )
    expected = factor.expected(name) if factor.table.spread(name, factor.sex) else None
    if expected is None or factor.share_explained < LEAST_TOLD:
        raise MissingDimension(name, msg("{label} is not measured yet.", label=entry.label))
    weights = {known: link.r**2 / link.own for known, link in factor.known.items()}
    best = sorted(weights, key=lambda known: -weights[known])[:3]
    return Estimate(value_mm=expected.mm, sd_mm=expected.sd_mm, basis=tuple(best))
