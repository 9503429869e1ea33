"""A thing that can be added: its price, its slot, what it does to the pieces."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Literal

from ..language import msg
from ..workstation import Span, Workstation

Price = Literal["nothing", "found", "small", "medium", "large"]
Slot = Literal["seat", "desk", "keys", "feet", "screen", "pointer", "back", "phone", "paper"]

PRICES: dict[Price, int] = {"nothing": 0, "found": 0, "small": 1, "medium": 4, "large": 16}
"""What a price class weighs in money. Source: house-price."""
Effort = Literal["room", "find", "buy", "mount", "approval"]
EFFORTS: dict[Effort, int] = {"room": 1, "find": 3, "buy": 4, "mount": 6, "approval": 8}
"""What it takes to have a thing in place: it is in the room, has to be found, to be bought, to be mounted as well,
or needs somebody's approval. Two things of the room weigh less than one that has to be found.

Source: house-price."""
USUAL_EFFORT: dict[Price, Effort] = {
    "nothing": "room",
    "found": "find",
    "small": "buy",
    "medium": "buy",
    "large": "approval",
}
PRICE_LABELS: dict[Price, str] = {
    "nothing": msg("already here"),
    "found": msg("to be found"),
    "small": msg("small"),
    "medium": msg("medium"),
    "large": msg("large"),
}
CUSHION_PRICE: Price = "small"


@dataclass(frozen=True, kw_only=True)
class Addition:
    """One thing added: its slot, price, whether it is temporary, and what it does to the pieces.

    ``height`` and ``sd`` are those of what has one height, ``span`` the range of what is offered in one, mm.
    ``mounted`` is what has to be fixed to something, or moved with its load on it; ``takes_away`` says that
    something that is there goes.
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
    mounted: bool = False
    takes_away: bool = False
    apply: Callable[[Workstation], Workstation] = field(compare=False, repr=False)

    @property
    def effort(self) -> Effort:
        """What it takes to have it in place."""
        usual = USUAL_EFFORT[self.price]
        return "mount" if self.mounted and usual == "buy" else usual

    @property
    def pieces(self) -> int:
        """How many things are handled."""
        return sum(many for _, many in self.items) or 1
