"""What can be done about the keys alone: a laptop's freed from its picture, or a stack under them."""

from __future__ import annotations

from ..catalogue import Tier
from ..errors import MissingInput
from ..fit import Case, keys_terms, legs_terms, total
from ..language import msg
from ..workstation import LAPTOP_STAND, ScreenKind
from .addition import Addition
from .alterations import not_on_lap, raise_keys, separate_keys
from .stacks import stacks_of

LEAST_LIFT_MM = 10.0
"""A surface that is too low by less is raised for nobody. Source: house-repeat."""
NEAREST_STACKS = 2
"""Stacks nearest to what is lacking that are tried. Source: house-order."""


def keys_additions(case: Case, tier: Tier) -> list[Addition]:
    """What raises the keys, or frees them from a laptop's picture; nothing on a lap."""
    if case.workstation.screen.kind != ScreenKind.LAPTOP:
        return _stacks(case, tier, "keys", msg("keyboard and mouse"))
    stacks = _stacks(case, tier, "laptop", msg("the laptop"))
    if tier == "room":
        return stacks
    return [
        *stacks,
        Addition(
            id="laptop_apart",
            slot="keys",
            price="small",
            does=msg("separates screen and keyboard"),
            label=msg("Laptop stand, with separate keyboard and mouse"),
            apply=not_on_lap(separate_keys(LAPTOP_STAND)),
        ),
    ]


def _stacks(case: Case, tier: Tier, use: str, what: str) -> list[Addition]:
    """Stacks under what is typed on, where that lies under the hands."""
    lift = _lacking(case)
    if tier == "lasting" or case.on_lap or lift is None or lift <= LEAST_LIFT_MM:
        return []
    stacks = stacks_of(case.workstation.items, use)
    stacks.sort(key=lambda stack: (abs(stack.height - lift), stack.count))
    return [
        Addition(
            id=f"{use}_stack",
            slot="keys",
            label=msg("{text} under {what}", text=stack.text, what=what),
            price="nothing",
            does=msg("raises {what}", what=what),
            temporary=True,
            items=stack.items,
            height=stack.height,
            sd=stack.sd,
            apply=raise_keys(stack.height),
        )
        for stack in stacks[:NEAREST_STACKS]
    ]


def _lacking(case: Case) -> float | None:
    """How far the surface ends under the hands, mm: standing, or seated for the legs; None if unknown."""
    surface, span = case.workstation.desk.surface, case.workstation.chair.seat
    if surface is None:
        return None
    try:
        if not case.sits:
            up = case.standing()
            keys = total(keys_terms(up.body, up, "standing", None, up.policy.elbow_angle))
            return keys - case.keyboard_thickness() - surface.high
        legs = total(legs_terms(case.body, case))
        seat = span.clamp(legs) if span is not None else legs
        if case.own_seat:
            position = case.found_seated.seat
            if position is None:
                return None
            seat = position
        keys = total(keys_terms(case.body, case, "seated", seat, case.policy.elbow_high))
        return keys - case.keyboard_thickness() - surface.high
    except MissingInput:
        return None
