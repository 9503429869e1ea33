"""What things cost: price classes, and the practice's own sums for them."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable
from dataclasses import dataclass

from .addition import Price

PAID: tuple[Price, ...] = ("small", "medium", "large")
"""Price classes that cost money, the least first."""


@dataclass(frozen=True, kw_only=True)
class Prices:
    """What a thing of each class costs here, in ``currency``; None where the practice has not said."""

    small: float | None = None
    medium: float | None = None
    large: float | None = None
    currency: str = ""

    def of(self, price: Price) -> float | None:
        """The sum for a class; what costs nothing is 0."""
        if price == "small":
            return self.small
        if price == "medium":
            return self.medium
        return self.large if price == "large" else 0.0


@dataclass(frozen=True, kw_only=True)
class Total:
    """What several things come to: how many of each class that costs money, and the sum where it is known."""

    classes: tuple[tuple[Price, int], ...]
    sum: float | None


def total_price(prices: Iterable[Price], sums: Prices) -> Total:
    """Add up what things cost.

    Parameters
    ----------
    prices : iterable of Price
        The class of each.
    sums : Prices
        The practice's own.

    Examples
    --------
    >>> total_price(["small", "small", "nothing"], Prices(small=60)).sum
    120.0

    """
    counted = Counter(price for price in prices if price in PAID)
    known = [sums.of(text) for text in counted]
    return Total(
        classes=tuple((text, counted[text]) for text in PAID if counted[text]),
        sum=None
        if None in known
        else float(sum((sums.of(text) or 0.0) * many for text, many in counted.items())),
    )
