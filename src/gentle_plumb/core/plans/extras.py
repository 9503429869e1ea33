"""Additions that no joint's degrees ask for: a seat too deep, long calls, paper, standing in future."""

from __future__ import annotations

from dataclasses import replace

from ..catalogue import Tier
from ..fit import Case, seat_depth_row
from .addition import Addition, Price, Slot

MOST_INSERT_MM = 80.0
"""Thickest lumbar roll or insert that shortens a seat; more pushes the client off it.
Source: house-seat-depth."""
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
    depth = seat_depth_row(replace(case, uncertain=False))
    short = next(
        (one for one in depth.limits if one.kind in ("starts", "fixed") and one.short < 0), None
    )
    if short is not None and depth.low is not None and depth.high is not None:
        deep = -short.short
        if short.at > depth.high + 1:
            found += _shorter_seat(case, tier, deep)
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


def _shorter_seat(case: Case, tier: Tier, deep: float) -> list[Addition]:
    if case.own_seat:
        return []
    if deep > MOST_INSERT_MM:
        return (
            []
            if tier != "lasting"
            else [
                _plain(
                    "small_chair",
                    "Chair with a shorter seat",
                    "medium",
                    "has a seat that ends behind the knee",
                    slot="back",
                )
            ]
        )
    if tier == "room":
        roll = next((one for one in case.workstation.items if "lumbar" in one.uses), None)
        if roll is None:
            return []
        return [
            _plain(
                "roll",
                f"{roll.label} behind the back",
                "nothing",
                "shortens the seat",
                slot="back",
                temporary=True,
            )
        ]
    return [
        _plain(
            "insert",
            "Lumbar insert",
            "small",
            "reduces seat depth and supports the lower back",
            slot="back",
            height=deep,
        )
    ]
