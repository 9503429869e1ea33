"""Everything that can be set at a workstation: one entry each, and all that is said of it.

A quantity is added here and gets its target in one function of :mod:`gentle_plumb.core.fit`; fields,
order of work, tests on the person, words, findings, plans, papers and the drawing's flags follow
from the entry (see docs/extending.md).
"""

from __future__ import annotations

from ..set_groups import SetGroup
from .chair import CHAIR
from .hands import HANDS
from .nudges import NUDGE, NUDGES, Nudge
from .quantity import DATUM_WORDS, Datum, Drag, Posture, Quantity, QuantityUnit
from .screens import SCREENS

_ALL = (*CHAIR, *HANDS, *SCREENS)

QUANTITIES: dict[str, Quantity] = {quantity.key: quantity for quantity in _ALL}
"""Every quantity by its key, in the order in which it is listed."""


def quantities_set(posture: Posture) -> tuple[Quantity, ...]:
    """Return what is set and re-measured in a posture, in the usual order."""

    def place(quantity: Quantity) -> int:
        return quantity.order if posture == "seated" else quantity.order_standing

    return tuple(sorted((one for one in _ALL if place(one)), key=place))


def own_numbers(posture: Posture) -> tuple[Quantity, ...]:
    """Return what a practitioner may put a number of their own to."""
    return tuple(one for one in _ALL if one.own_number and posture in one.postures)


_GROUPS: dict[SetGroup, tuple[Quantity, ...]] = {
    "feet_chair": CHAIR,
    "hands": HANDS,
    "screen": SCREENS,
}
GROUP_OF: dict[str, SetGroup] = {
    one.key: group for group, those in _GROUPS.items() for one in those
}
"""The group of every quantity."""

__all__ = [
    "DATUM_WORDS",
    "GROUP_OF",
    "NUDGE",
    "NUDGES",
    "QUANTITIES",
    "Datum",
    "Drag",
    "Nudge",
    "Posture",
    "Quantity",
    "QuantityUnit",
    "own_numbers",
    "quantities_set",
]
