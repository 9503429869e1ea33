"""Additions that change no piece: for long calls, and for paper."""

from __future__ import annotations

from ..catalogue import Tier
from ..fit import Case
from .addition import Addition, Price, Slot

CALLS_H = 1.0
"""Hours of calls a day from which a headset is wanted. Source: house-phone."""
PAPER_H = 0.5
"""Hours of reading paper a day from which it wants its own place. Source: house-paper."""


def extras_of(case: Case, tier: Tier) -> tuple[Addition, ...]:
    """What a plan adds beside the heights and the mouse.

    Parameters
    ----------
    case : Case
        With the plan's other additions in place.
    tier : {"room", "little", "lasting"}

    """
    found: list[Addition] = []
    if tier != "room" and case.hours.get("calls", 0.0) + case.hours.get("meetings", 0.0) > CALLS_H:
        found.append(
            _plain(
                "headset",
                "Headset",
                "small",
                "frees the neck and shoulder on long calls",
                slot="phone",
            )
        )
    if tier != "room" and case.hours.get("paper", 0.0) >= PAPER_H:
        found.append(
            _plain(
                "holder",
                "Document holder between keyboard and screen",
                "small",
                "brings paper into the line of sight",
                slot="phone",
            )
        )
    return tuple(found)


def _plain(
    id: str,
    label: str,
    price: Price,
    does: str,
    *,
    slot: Slot,
    temporary: bool = False,
    height: float | None = None,
) -> Addition:
    return Addition(
        id=id,
        slot=slot,
        label=label,
        price=price,
        does=does,
        temporary=temporary,
        height=height,
        apply=lambda station: station,
    )
