"""A plan of the practitioner's own: any of the additions, ticked, swapped and combined.

One thing to a slot; each slot's offers rest on what is taken in the slots before it, so that a screen stands on
the stack that is there, and the feet on what the seat leaves them.
"""

from __future__ import annotations

from collections.abc import Collection, Iterable
from dataclasses import dataclass, replace

from ..catalogue import Tier
from ..fit import Case
from ..language import msg
from ..workstation import Span
from .addition import Addition, Price, Slot
from .addition_set import AdditionSet, items_used, with_additions
from .additions import desk_additions, pointer_additions
from .back_additions import back_offers
from .extras import extra_offers
from .feet_additions import feet_additions, topped_offers
from .keys_additions import keys_additions
from .screen_additions import screen_additions
from .seat_additions import seat_additions

SLOTS: dict[Slot, str] = {
    "seat": msg("Chair"),
    "desk": msg("Desk"),
    "keys": msg("Keyboard, laptop"),
    "feet": msg("Feet"),
    "screen": msg("Screen"),
    "pointer": msg("Mouse"),
    "back": msg("Back"),
    "phone": msg("Phone"),
    "paper": msg("Paper"),
}
"""Slots in the order in which what is taken rests on what was taken before, with their headings."""
TIERS_OFFERED: tuple[Tier, ...] = ("room", "little", "lasting")


def key_of(addition: Addition) -> str:
    """Return what an addition is kept under: its name, and what it is stacked of.

    The letters of an identifier in the record: no blanks, no dots.
    """
    return "-".join([addition.id, *(f"{item}{many}" for item, many in addition.items)])


def offers_in(case: Case, slot: Slot, used: dict[str, int]) -> list[Addition]:
    """Return everything one slot offers with these pieces, each once; what is here first.

    Parameters
    ----------
    case : Case
        With what is taken in the slots before.
    slot : str
    used : mapping
        Pieces of the room that are used already, by item.

    """
    additions: dict[str, Addition] = {}
    makeshifts = case.policy.temporary != "never"
    for tier in TIERS_OFFERED:
        for addition in _offered(case, slot, tier, used):
            if (makeshifts or not addition.temporary) and all(
                _left(case, item, used) >= many for item, many in addition.items
            ):
                additions.setdefault(key_of(addition), addition)
    return list(additions.values())


def _left(case: Case, item: str, used: dict[str, int]) -> int:
    count = next((stock.count for stock in case.workstation.items if stock.id == item), 0)
    return count - used.get(item, 0)


def _offered(case: Case, slot: Slot, tier: Tier, used: dict[str, int]) -> Iterable[Addition]:
    match slot:
        case "seat":
            return seat_additions(case, tier)
        case "desk":
            return desk_additions(case, tier)
        case "keys":
            return keys_additions(case, tier)
        case "feet":
            return [*feet_additions(case, tier, used), *topped_offers(case, used)]
        case "screen":
            return screen_additions(case, tier, used)
        case "pointer":
            return pointer_additions(case, tier)
        case "back":
            return back_offers(case, tier, used)
    return [extra_offer for extra_offer in extra_offers(case) if extra_offer.slot == slot]


def own_kit(case: Case, taken: Collection[str]) -> AdditionSet:
    """Return the additions that were ticked, in their order; of two in a slot the first.

    Parameters
    ----------
    case : Case
        With the pieces as they are.
    taken : collection of str
        By :func:`key_of`. What is offered no more is left out.

    """
    kit: list[Addition] = []
    for slot in SLOTS:
        with_kit = replace(case, workstation=with_additions(case.workstation, tuple(kit)))
        offered = offers_in(with_kit, slot, items_used(tuple(kit)))
        kit += [addition for addition in offered if key_of(addition) in taken][:1]
    return tuple(kit)


@dataclass(frozen=True, kw_only=True)
class Offer:
    """One thing that can be ticked: what taking it, in the place of what its slot has, comes to.

    ``removes`` and ``minutes`` are against the plan without it; ``left`` what stays then.
    """

    key: str
    slot: Slot
    label: str
    does: str
    price: Price
    temporary: bool
    taken: bool
    removes: float
    minutes: float | None
    left: float
    height: float | None = None
    span: Span | None = None
