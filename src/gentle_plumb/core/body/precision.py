"""How well somebody repeats a reading: the technical error of measurement, with its interval."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import dataclass
from math import exp, inf, lgamma, log, sqrt

from .readings import house_error

TAIL = 0.05
"""Left out at each end of the 90 % interval."""
HOUSE_PAIRS = 10
"""How many pairs the house's error counts for beside the practitioner's own. Source: house-precision."""


@dataclass(frozen=True, kw_only=True)
class Precision:
    """Error of one reading over ``pairs`` of two, mm, and the ends of its 90 % interval."""

    pairs: int
    error_mm: float
    low_mm: float
    high_mm: float
    over_limit: int

    def held_against(self, repeat_limit_mm: float) -> float:
        """The error to reckon with, mm: the own one, drawn to the house's while pairs are few."""
        house = house_error(repeat_limit_mm)
        both = self.pairs * self.error_mm**2 + HOUSE_PAIRS * house**2
        return sqrt(both / (self.pairs + HOUSE_PAIRS))


def _lower_gamma(a: float, x: float) -> float:
    """Regularised lower incomplete gamma function, by its series."""
    if x <= 0:
        return 0.0
    term = total = 1.0 / a
    k = a
    while term > total * 1e-15:
        k += 1
        term *= x / k
        total += term
    return total * exp(-x + a * log(x) - lgamma(a))


def chi_square_quantile(share: float, freedom: int) -> float:
    """Quantile of the chi-square distribution, by halving.

    >>> round(chi_square_quantile(0.05, 10), 3), round(chi_square_quantile(0.95, 10), 3)
    (3.94, 18.307)
    """
    low, high = 0.0, freedom + 10 * sqrt(2 * freedom) + 20
    for _ in range(80):
        middle = (low + high) / 2
        if _lower_gamma(freedom / 2, middle / 2) < share:
            low = middle
        else:
            high = middle
    return (low + high) / 2


def precision_of(differences_mm: Iterable[float], *, repeat_limit_mm: float) -> Precision | None:
    """Technical error of measurement from the differences of two readings each.

    Parameters
    ----------
    differences_mm : iterable of float
        First less second reading, one for each client, mm.
    repeat_limit_mm : float
        What counts as too far apart, mm.

    Returns
    -------
    Precision or None
        ``sqrt(sum of squares / 2n)`` with its 90 % interval from the chi-square distribution
        with n degrees of freedom; None without any pair.

    Examples
    --------
    >>> found = precision_of([4, -4, 4, -4], repeat_limit_mm=8)
    >>> round(found.error_mm, 2), found.low_mm < found.error_mm < found.high_mm
    (2.83, True)

    """
    squares = [difference**2 for difference in differences_mm]
    pairs = len(squares)
    if not pairs:
        return None
    error = sqrt(sum(squares) / (2 * pairs))
    low = error * sqrt(pairs / chi_square_quantile(1 - TAIL, pairs))
    least = chi_square_quantile(TAIL, pairs)
    high = error * sqrt(pairs / least) if least else inf
    over = sum(square > repeat_limit_mm**2 for square in squares)
    return Precision(pairs=pairs, error_mm=error, low_mm=low, high_mm=high, over_limit=over)
