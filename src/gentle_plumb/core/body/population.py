"""Made-up bodies: drawn from a table, none of them at odds with itself."""

from __future__ import annotations

from collections.abc import Callable
from math import sqrt

from .catalogue import DIMENSIONS
from .dimensions import Sex
from .relations import broken
from .tables import BRITISH_ADULTS, FOR_DOUBTS, Table

MOST_DRAWS = 1000


def made_up_body(
    gauss: Callable[[], float],
    *,
    sex: Sex,
    table: Table = BRITISH_ADULTS,
    stature_mm: float | None = None,
) -> dict[str, float]:
    """Draw one body, mm by dimension.

    Parameters
    ----------
    gauss : callable
        Draws from the standard normal distribution; the core has no chance of its own.
    sex : {"female", "male"}
    table : Table
    stature_mm : float, optional
        A stature to keep to; drawn where not given.

    Returns
    -------
    dict
        Every dimension of the catalogue that has a spread, under the one-factor model of
        :mod:`.factor`. A body that breaks a relation is drawn again.

    """
    whole = table.spread("stature", sex)
    body: dict[str, float] = {}
    for _ in range(MOST_DRAWS):
        tall = gauss()
        if stature_mm is not None and whole is not None:
            tall = (stature_mm - whole.mean_mm) / whole.sd_mm
        body = {}
        for name, entry in DIMENSIONS.items():
            spread = table.spread(name, sex) or FOR_DOUBTS.get(name)
            if spread is None:
                continue
            r = table.r(name)
            z = r * tall + sqrt(max(0.0, 1 - r * r)) * gauss()
            low, high = entry.low_mm, entry.high_mm
            body[name] = min(high, max(low, spread.mean_mm + spread.sd_mm * z))
        if next(broken(body), None) is None:
            break
    return body
