"""What can be ticked for the practitioner's own plan, in words."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

from ..language import filled, numeral
from ..plans import SLOTS, Offer
from ..tolerances import SAME_SHOWN
from ..units import LengthUnit
from ..words import say_length
from .money import NO_MONEY, Money, price_text
from .plans import both_text, label_of


@dataclass(frozen=True, kw_only=True)
class OfferView:
    """One thing that can be ticked for the practitioner's own plan; ``removes`` None where it removes no degree."""

    key: str
    slot: str
    label: str
    does: str
    price: str
    temporary: bool
    taken: bool
    removes: str | None
    left: str


def _label(offer: Offer, unit: LengthUnit) -> str:
    label = label_of(offer.label, offer.span, unit)
    return (
        label
        if offer.height is None
        else filled("{label}, {height}", label=label, height=say_length(offer.height, unit))
    )


def offer_views(
    offers: Sequence[Offer], unit: LengthUnit, money: Money = NO_MONEY
) -> list[OfferView]:
    """Return every offer in words, with its price as a sum where the practice has one."""
    return [
        OfferView(
            key=offer.key,
            slot=SLOTS[offer.slot],
            label=_label(offer, unit),
            does=offer.does,
            price=price_text(offer.price, money),
            temporary=offer.temporary,
            taken=offer.taken,
            removes=both_text(offer.removes, offer.minutes)
            if offer.removes >= SAME_SHOWN
            else None,
            left=filled("{left}°", left=numeral(f"{offer.left:.0f}")),
        )
        for offer in offers
    ]
