"""What can be ticked for the practitioner's own plan, in words."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass

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


def _label(one: Offer, unit: LengthUnit) -> str:
    label = label_of(one.label, one.span, unit)
    return label if one.height is None else f"{label}, {say_length(one.height, unit)}"


def offer_views(
    offers: Sequence[Offer], unit: LengthUnit, money: Money = NO_MONEY
) -> list[OfferView]:
    """Return every offer in words, with its price as a sum where the practice has one."""
    return [
        OfferView(
            key=one.key,
            slot=SLOTS[one.slot],
            label=_label(one, unit),
            does=one.does,
            price=price_text(one.price, money),
            temporary=one.temporary,
            taken=one.taken,
            removes=both_text(one.removes, one.minutes) if one.removes >= SAME_SHOWN else None,
            left=f"{one.left:.0f}°",
        )
        for one in offers
    ]
