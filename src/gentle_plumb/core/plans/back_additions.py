"""What is laid behind the back: it carries the lower back, and shortens a pan that is too deep."""

from __future__ import annotations

from collections.abc import Mapping
from math import inf

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import Case, finger
from ..language import msg
from ..workstation import Item
from .addition import Addition
from .chair_alterations import SMALL_DEPTH, change_pan, lay_behind_back
from .seat_pan import seat_pan_row

MOST_INSERT_MM = 80.0
LEAST_INSERT_MM = 10.0
SUPPORT_MM = 40.0
MOST_GAP_FINGERS = 4.0
"""Thickest roll or insert, since more pushes the client off the seat; the least that is worth one; and what a
back without support gets; and the widest gap behind the knee that it may leave, in fingers.
Source: house-seat-depth."""


def back_additions(case: Case, tier: Tier, taken: Mapping[str, int]) -> list[Addition]:
    """Return what a tier does about back and pan, where the back asks for it.

    Parameters
    ----------
    case : Case
        With the plan's other additions in place.
    tier : {"room", "little", "lasting"}
    taken : mapping
        Pieces of the room that are used already, by item.

    """
    needed = _too_deep(case) or case.workstation.chair.supports_back is False
    return back_offers(case, tier, taken) if needed else []


def back_offers(case: Case, tier: Tier, taken: Mapping[str, int]) -> list[Addition]:
    """Return what may be laid behind the back; nothing where there is no backrest of ours."""
    chair = case.workstation.chair
    if case.own_seat or not case.sits or chair.backless:
        return []
    return [*_laid_behind(case, tier, taken), *_pans(case, tier)]


def _pans(case: Case, tier: Tier) -> list[Addition]:
    """Another pan for the same chair, where the one that is there ends in the wrong place."""
    if tier != "lasting" or not _too_deep(case):
        return []
    return [
        Addition(
            id="small_pan",
            slot="back",
            label=msg("Smaller seat pan for the chair"),
            price="medium",
            does=msg("ends behind the knee"),
            mounted=True,
            apply=change_pan(SMALL_DEPTH),
        )
    ]


def _laid_behind(case: Case, tier: Tier, taken: Mapping[str, int]) -> list[Addition]:
    deep = _too_deep(case)
    thickness = min(MOST_INSERT_MM, deep) if deep else min(SUPPORT_MM, _room_before_back(case))
    if thickness < LEAST_INSERT_MM:
        return []  # the pan is short as it is: what lies behind the back would take from it
    does = msg("{what}supports the lower back", what=msg("shortens the seat and ") if deep else "")
    if tier != "room":
        return [
            Addition(
                id="insert",
                slot="back",
                label=msg("Lumbar insert"),
                price="small",
                does=does,
                height=thickness,
                apply=lay_behind_back(thickness),
            )
        ]
    roll = _roll(case.workstation.items, thickness, taken)
    if roll is None:
        return []
    used = min(roll.thickness, MOST_INSERT_MM) if deep else min(roll.thickness, thickness)
    return [
        Addition(
            id="roll",
            slot="back",
            label=msg("{label} behind the small of the back", label=roll.label),
            price="nothing",
            does=does,
            temporary=True,
            items=((roll.id, 1),),
            height=used,
            sd=roll.error,
            apply=lay_behind_back(used),
        )
    ]


def _too_deep(case: Case) -> float:
    """How much thickness brings the pan to its target, mm; 0 where it fits, or is not known."""
    row = seat_pan_row(case)
    short = next((limit for limit in row.limits if limit.kind in ("starts", "fixed")), None)
    if short is None or short.short >= 0 or row.high is None:
        return 0.0
    return -short.short if short.at > row.high + LEAST_INSERT_MM else 0.0


def _room_before_back(case: Case) -> float:
    """How much may lie behind the back before the pan gets too short for the thighs, mm.

    Without end where pan or thighs are not known.
    """
    row, span = seat_pan_row(case), case.workstation.chair.usable_depth
    deepest = span.high if span is not None else row.found
    try:
        shortest = case.body.mm("buttock_popliteal_length") - MOST_GAP_FINGERS * finger(case.body)
    except MissingInput:
        return inf
    return inf if deepest is None else max(0.0, deepest - shortest)


def _roll(items: tuple[Item, ...], thickness: float, taken: Mapping[str, int]) -> Item | None:
    """What of the room lies behind the back, the nearest to the thickness wanted."""
    there = [item for item in items if "lumbar" in item.uses and item.count > taken.get(item.id, 0)]
    return min(there, key=lambda item: (abs(item.thickness - thickness), item.id), default=None)
