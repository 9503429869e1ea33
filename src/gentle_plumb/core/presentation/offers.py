"""What can be ticked for a plan of one's own, in words."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..plans import PRICE_LABELS, SLOTS, Offer, total_price
from .money import NO_MONEY, Money, cost_text
from .plans import both_text


@dataclass(frozen=True, kw_only=True)
class OfferView:
    """One thing that can be ticked for a plan of one's own; ``removes`` None where it removes no degree."""

    key: str
    slot: str
    label: str
    does: str
    price: str
    temporary: bool
    taken: bool
    removes: str | None
    left: str


def offer_views(offers: Sequence[Offer], money: Money = NO_MONEY) -> list[OfferView]:
    """Return every offer in words, with its price as a sum where the practice has one."""
    return [
        OfferView(
            key=one.key,
            slot=SLOTS[one.slot],
            label=one.label,
            does=one.does,
            price=cost_text(total_price([one.price], money.prices), money)
            or PRICE_LABELS[one.price],
            temporary=one.temporary,
            taken=one.taken,
            removes=both_text(one.removes, one.minutes) if one.removes >= 0.5 else None,
            left=f"{one.left:.0f}°",
        )
        for one in offers
    ]
