"""A set of additions: its price, and the pieces with it."""

from __future__ import annotations

from math import floor

from ..workstation import Workstation
from .addition import PRICES, Addition

AdditionSet = tuple[Addition, ...]


def price_of(kit: AdditionSet) -> int:
    """Sum of the price classes' weights."""
    return sum(PRICES[one.price] for one in kit)


def items_used(kit: AdditionSet) -> dict[str, int]:
    """Pieces of the room that a set stands on, by item."""
    used: dict[str, int] = {}
    for one in kit:
        for item, many in one.items:
            used[item] = used.get(item, 0) + many
    return used


def with_additions(station: Workstation, kit: AdditionSet) -> Workstation:
    """The pieces with the additions in place."""
    for one in kit:
        station = one.apply(station)
    return station


def tolerance_steps(over: float, worth_deg: float) -> int:
    """Degrees in whole steps of what is worth an addition; thousandths where nothing is set."""
    return floor(over / (worth_deg or 0.001) + 1e-6)
