"""Sums of plans in words."""

from __future__ import annotations

from dataclasses import dataclass

from ..language import filled, joined, numeral
from ..plans import PAID, PRICE_LABELS, Price, Prices, Total
from ..units import NO_BREAK
from ..words import say


@dataclass(frozen=True, kw_only=True)
class Money:
    """What plans are priced with: the practice's sums, and what may be spent on this client."""

    prices: Prices = Prices()
    budget: float | None = None

    def said(self, amount: float) -> str:
        """A sum in the practice's currency."""
        return numeral(f"{amount:,.0f}{NO_BREAK}{self.prices.currency}".strip().rstrip(NO_BREAK))


NO_MONEY = Money()


def price_text(price: Price, money: Money) -> str:
    """Return what one thing costs: the practice's sum, or its class."""
    sum_ = money.prices.of(price) if price in PAID else None
    return PRICE_LABELS[price] if sum_ is None else money.said(sum_)


def cost_text(total: Total, money: Money) -> str | None:
    """Return a sum, or how many of each class where the practice has no sums; None where nothing is bought."""
    if not total.classes:
        return None
    if total.sum is not None:
        return money.said(total.sum)
    return joined(
        ", ",
        (
            filled("{many} {label}", many=many, label=PRICE_LABELS[price])
            for price, many in total.classes
        ),
    )


def over_budget_text(total: Total, money: Money) -> str | None:
    """Return by how much a sum is over the budget; None where it is not, or one of them is unknown."""
    if money.budget is None or total.sum is None or total.sum <= money.budget:
        return None
    return say("plan.over_budget", by=money.said(total.sum - money.budget))
