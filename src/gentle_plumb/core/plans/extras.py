"""Additions that change no piece: for long calls, and for paper."""

from __future__ import annotations

from ..catalogue import Tier
from ..fit import Case
from ..language import msg, numeral
from .addition import Addition

CALLS_H = 1.0
"""Hours of calls a day from which a headset is wanted. Source: house-phone."""
PAPER_H = 0.5
"""Hours of reading paper a day from which it wants its own place. Source: house-paper."""


def _calls(case: Case) -> float:
    return case.hours.get("calls", 0.0) + case.hours.get("meetings", 0.0)


def _headset(case: Case) -> Addition:
    return Addition(
        id="headset",
        slot="phone",
        label=msg("Headset"),
        price="small",
        does=msg("frees the neck and shoulder{spent}", spent=_spent(_calls(case), msg("on calls"))),
        apply=lambda station: station,
    )


def _holder(case: Case) -> Addition:
    return Addition(
        id="holder",
        slot="paper",
        label=msg("Document holder between keyboard and screen"),
        price="small",
        does=msg(
            "brings paper into the line of sight{spent}",
            spent=_spent(case.hours.get("paper", 0.0), msg("of paper")),
        ),
        apply=lambda station: station,
    )


def _spent(hours: float, what: str) -> str:
    """Return for how long a day: no joint's angle tells what these remove, their hours do."""
    return msg(", {hours} h {what} a day", hours=numeral(f"{hours:g}"), what=what) if hours else ""


def extra_offers(case: Case) -> tuple[Addition, ...]:
    """Return what may be added whatever the pieces are."""
    return _headset(case), _holder(case)


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
    additions = []
    if _calls(case) > CALLS_H and "headset" not in there:
        additions.append(_headset(case))
    if case.hours.get("paper", 0.0) >= PAPER_H and "document_holder" not in there:
        additions.append(_holder(case))
    return tuple(additions)
