"""Additions that change no piece: for long calls, and for paper."""

from __future__ import annotations

from ..catalogue import Tier
from ..fit import Case
from .addition import Addition

CALLS_H = 1.0
"""Hours of calls a day from which a headset is wanted. Source: house-phone."""
PAPER_H = 0.5
"""Hours of reading paper a day from which it wants its own place. Source: house-paper."""

HEADSET = Addition(
    id="headset",
    slot="phone",
    label="Headset",
    price="small",
    does="frees the neck and shoulder on long calls",
    apply=lambda station: station,
)
HOLDER = Addition(
    id="holder",
    slot="paper",
    label="Document holder between keyboard and screen",
    price="small",
    does="brings paper into the line of sight",
    apply=lambda station: station,
)


def extra_offers() -> tuple[Addition, ...]:
    """Return what may be added whatever the pieces are."""
    return HEADSET, HOLDER


def extras_of(case: Case, tier: Tier) -> tuple[Addition, ...]:
    """What a plan adds beside what changes the pieces.

    Parameters
    ----------
    case : Case
    tier : {"room", "little", "lasting"}

    """
    if tier == "room":
        return ()
    there = case.workstation.at_hand
    found = []
    calls = case.hours.get("calls", 0.0) + case.hours.get("meetings", 0.0)
    if calls > CALLS_H and "headset" not in there:
        found.append(HEADSET)
    if case.hours.get("paper", 0.0) >= PAPER_H and "document_holder" not in there:
        found.append(HOLDER)
    return tuple(found)
