"""What can be added under the feet: what is there, what may be found, a footrest."""

from __future__ import annotations

from ..catalogue import Tier
from ..changed import changed
from ..fit import Case
from ..language import msg
from ..workstation import USUAL_FOOTREST, Span
from .addition import Addition
from .additions import stack_addition
from .alterations import add_foot_support
from .stacks import HIGHEST_STACK_MM, Stack, stacks_of


def feet_additions(case: Case, tier: Tier, taken: dict[str, int] | None = None) -> list[Addition]:
    """Supports for the feet beside those that are there already; a wheelchair has its footplates."""
    station = case.workstation
    if case.seat_stays or not case.sits:
        return []
    additions: list[Addition] = []
    if tier != "lasting":
        additions += [
            stack_addition("feet", stack) for stack in stacks_of(station.items, "feet", taken)
        ]
    if tier != "room":
        additions.append(
            Addition(
                id="footrest",
                slot="feet",
                label=msg("Footrest"),
                span=USUAL_FOOTREST,
                price="small",
                does=msg("supports the feet"),
                apply=add_foot_support(USUAL_FOOTREST),
            )
        )
    if tier != "lasting" and case.policy.temporary != "never":
        additions.append(feet_to_find())
    return additions


TO_FIND = Span(low=20, high=HIGHEST_STACK_MM)
"""What may be found to stand under the feet, mm: no higher than a stack. Source: house-stack."""


def topped(case: Case, height: float, taken: dict[str, int]) -> Addition:
    """Return what is to be found under the feet, on top of as much as lies in the room; all of it where nothing does.

    Parameters
    ----------
    case : Case
    height : float
        What the seat asks for, mm.
    taken : dict
        Pieces that something else stands on already, by item.

    """
    most = height - TO_FIND.low
    there = [
        stack for stack in stacks_of(case.workstation.items, "feet", taken) if stack.height <= most
    ]
    if not there:
        return feet_to_find(height)
    tallest = max(there, key=lambda stack: (stack.height, -stack.count))
    return changed(_on_top_of(tallest), height=height)


def _on_top_of(stack: Stack) -> Addition:
    """Return a stack of what is here with something on top that has yet to be found."""
    addition = stack_addition("feet", stack)
    span = Span(low=stack.height + TO_FIND.low, high=HIGHEST_STACK_MM)
    return changed(
        addition,
        id="feet_topped",
        label=msg("{label}, with something on top to be found", label=addition.label),
        price="found",
        height=None,
        apply=add_foot_support(span),
    )


def topped_offers(case: Case, taken: dict[str, int] | None = None) -> list[Addition]:
    """Return each stack that can be made here, with something on top, for the practitioner's own plan."""
    if case.seat_stays or not case.sits or case.policy.temporary == "never":
        return []
    stacks = stacks_of(case.workstation.items, "feet", taken)
    return [_on_top_of(stack) for stack in stacks if stack.height <= HIGHEST_STACK_MM - TO_FIND.low]


def feet_to_find(height: float | None = None) -> Addition:
    """Return a support for the feet that nobody has yet: the first thing to fetch.

    Parameters
    ----------
    height : float, optional
        What the seat asks for, mm, once that is known.

    """
    return Addition(
        id="feet_to_find",
        slot="feet",
        label=msg("Box, books or a footrest, to be found"),
        price="found",
        does=msg("supports the feet"),
        temporary=True,
        height=height,
        apply=add_foot_support(TO_FIND),
    )
