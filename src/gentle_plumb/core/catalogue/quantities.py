"""Everything that can be set at a workstation, from quantities.toml."""

from __future__ import annotations

from ..tables import entry, toml_table
from .quantity import Posture, Quantity
from .tasks import tasks_of

NUDGE: dict[str, float] = {"mm": 5.0, "deg": 2.0, "%": 10.0}
"""How far one tap moves a setting, by its unit. Source: house-order."""


def _quantities() -> dict[str, Quantity]:
    table = toml_table(__package__, "quantities.toml")
    return {
        key: entry(
            Quantity,
            {
                "key": key,
                **table["directions"].get(given.get("directions"), {}),
                **{name: value for name, value in given.items() if name != "directions"},
            },
            f"quantities.toml: {key}",
            {"tasks": tasks_of},
        )
        for key, given in table["quantities"].items()
    }


QUANTITIES: dict[str, Quantity] = _quantities()
"""Every quantity by its key, in the order in which it is listed."""


def quantities_set(posture: Posture) -> tuple[Quantity, ...]:
    """Return what is set and re-measured in a posture, in the usual order."""

    def place(quantity: Quantity) -> int:
        return quantity.order if posture == "seated" else quantity.order_standing

    return tuple(
        sorted((quantity for quantity in QUANTITIES.values() if place(quantity)), key=place)
    )


def own_numbers(posture: Posture) -> tuple[Quantity, ...]:
    """Return what a practitioner may put a number of their own to."""
    return tuple(
        quantity
        for quantity in QUANTITIES.values()
        if quantity.own_number and posture in quantity.postures
    )
