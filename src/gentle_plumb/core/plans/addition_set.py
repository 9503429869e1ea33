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
        sum(PRICES[addition.price] for addition in kit),
        sum(EFFORTS[addition.effort] for addition in kit),
        len(kit),
    )


def items_used(kit: AdditionSet) -> dict[str, int]:
    """Pieces of the room that a set stands on, by item."""
    used: dict[str, int] = {}
    for addition in kit:
        for item, many in addition.items:
            used[item] = used.get(item, 0) + many
    return used


def layers_of(kit: AdditionSet, items: Iterable[Item]) -> dict[str, tuple[float, ...]]:
    """Return what a set puts under or behind things, by slot: mm a piece, the lowest first.

    What lifts the screen for standing alone is under ``screen_standing``.
    """
    thick = {item.id: item.thickness for item in items}
    all_values: dict[str, tuple[float, ...]] = {}
    for addition in kit:
        if addition.height is None:
            continue
        pieces = tuple(thick[id] for id, many in addition.items if id in thick for _ in range(many))
        slot = f"{addition.slot}_standing" if addition.id.endswith("_standing") else addition.slot
        whole = (
            len(addition.items) == 1 and addition.items[0][1] == 1
        )  # one piece may be taken in part: a roll
        all_values[slot] = (addition.height,) if whole or not pieces else pieces
    return all_values


def key_of_set(kit: AdditionSet) -> tuple[object, ...]:
    """Return a key that is the same for sets that change the pieces in the same way."""
    return tuple((addition.id, addition.height, addition.items) for addition in kit)


def with_additions(station: Workstation, kit: AdditionSet) -> Workstation:
    """The pieces with the additions in place."""
    for addition in kit:
        station = addition.apply(station)
    return station
