"""A set of additions: its price, and the pieces with it."""

from __future__ import annotations

from collections.abc import Iterable
from typing import NamedTuple

from ..workstation import Item, Workstation
from .addition import EFFORTS, PRICES, Addition

AdditionSet = tuple[Addition, ...]


class Cost(NamedTuple):
    """What a set costs, what counts first first: money, then effort, then the number of things."""

    money: int = 0
    effort: int = 0
    things: int = 0


def cost_of(kit: AdditionSet) -> Cost:
    """Return what a set costs, in the weights of the price and effort classes."""
    return Cost(
        sum(PRICES[one.price] for one in kit), sum(EFFORTS[one.effort] for one in kit), len(kit)
    )


def items_used(kit: AdditionSet) -> dict[str, int]:
    """Pieces of the room that a set stands on, by item."""
    used: dict[str, int] = {}
    for one in kit:
        for item, many in one.items:
            used[item] = used.get(item, 0) + many
    return used


def layers_of(kit: AdditionSet, items: Iterable[Item]) -> dict[str, tuple[float, ...]]:
    """Return what a set puts under or behind things, by slot: mm a piece, the lowest first.

    What lifts the screen for standing alone is under ``screen_standing``.
    """
    thick = {one.id: one.thickness for one in items}
    found: dict[str, tuple[float, ...]] = {}
    for one in kit:
        if one.height is None:
            continue
        pieces = tuple(thick[id] for id, many in one.items if id in thick for _ in range(many))
        slot = f"{one.slot}_standing" if one.id.endswith("_standing") else one.slot
        whole = (
            len(one.items) == 1 and one.items[0][1] == 1
        )  # one piece may be taken in part: a roll
        found[slot] = (one.height,) if whole or not pieces else pieces
    return found


def with_additions(station: Workstation, kit: AdditionSet) -> Workstation:
    """The pieces with the additions in place."""
    for one in kit:
        station = one.apply(station)
    return station
