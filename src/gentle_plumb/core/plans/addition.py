"""A thing that can be added: its price, its slot, what it does to the pieces."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Literal

from ..workstation import Span, Workstation

Price = Literal["nothing", "found", "small", "medium", "large"]
Slot = Literal["seat", "desk", "keys", "feet", "screen", "pointer", "back", "phone", "paper"]

PRICES: dict[Price, int] = {"nothing": 0, "found": 1, "small": 1, "medium": 4, "large": 16}
"""What a price class weighs; what costs nothing and is yet to be found weighs as little money.

Source: house-price."""
PRICE_LABELS: dict[Price, str] = {
    "nothing": "already here",
    "found": "to be found",
    "small": "small",
    "medium": "medium",
    "large": "large",
}
CUSHION_PRICE: Price = "small"


@dataclass(frozen=True, kw_only=True)
class Addition:
    """One thing added: its slot, price, whether it is temporary, and what it does to the pieces.

    ``height`` and ``sd`` are those of what has one height, ``span`` the range of what is offered in one, mm.
    """

    id: str
    slot: Slot
    label: str
    price: Price
    does: str
    temporary: bool = False
    items: tuple[tuple[str, int], ...] = ()
    height: float | None = None
    sd: float = 0.0
    span: Span | None = None
    apply: Callable[[Workstation], Workstation] = field(compare=False, repr=False)
