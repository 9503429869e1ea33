"""What can be added under the feet: what is there, what may be found, a footrest."""

from __future__ import annotations

from ..catalogue import Tier
from ..fit import Case
from ..workstation import Span
from .addition import Addition
from .additions import stack_addition
from .alterations import FOOTREST, add_foot_support
from .stacks import HIGHEST_STACK_MM, stacks_of


def feet_additions(case: Case, tier: Tier, taken: dict[str, int] | None = None) -> list[Addition]:
    """Supports for the feet beside those that are there already; a wheelchair has its footplates."""
    station = case.workstation
    if case.own_seat or not case.sits:
        return []
    found: list[Addition] = []
    if tier != "lasting":
        found += [stack_addition("feet", one) for one in stacks_of(station.items, "feet", taken)]
    if tier != "room":
        found.append(
            Addition(
                id="footrest",
                slot="feet",
                label="Footrest",
                span=FOOTREST,
                price="small",
                does="supports the feet",
                apply=add_foot_support(FOOTREST),
            )
        )
    if tier != "lasting" and case.policy.temporary != "never":
        found.append(feet_to_find())
    return found


TO_FIND = Span(low=20, high=HIGHEST_STACK_MM)
"""What may be found to stand under the feet, mm: no higher than a stack. Source: house-stack."""


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
        label="Box, books or a footrest, to be found",
        price="found",
        does="supports the feet",
        temporary=True,
        height=height,
        apply=add_foot_support(TO_FIND),
    )
