"""What can be done about the chair: a cushion, or another chair.

Ranges of what could be bought are everyday ones without a make. Source: house-additions.
"""

from __future__ import annotations

from ..catalogue import Tier
from ..fit import Case
from ..language import msg
from ..workstation import Span
from .addition import CUSHION_PRICE, Addition
from .alterations import work_at_table
from .chair_alterations import (
    CUSHION_MM,
    HIGH_SEAT,
    LARGE_DEPTH,
    LARGE_SEAT,
    SMALL_DEPTH,
    SMALL_SEAT,
    TASK_DEPTH,
    TASK_SEAT,
    raise_seat,
    replace_chair,
    swap_chair,
)
from .stacks import stacks_of


def seat_additions(case: Case, tier: Tier) -> list[Addition]:
    """What can be done about the seat; nothing with a wheelchair, whose seating is not ours."""
    if case.own_seat or not case.sits or case.workstation.chair.seat is None:
        return []
    additions = _cushions(case, tier)
    if case.person.steady_seat or case.seat_stays:  # a cushion stands less firmly than a plain seat
        additions = []
    if tier != "lasting":
        return [*additions, *_swapped(case)]
    return [table_and_chair()] if case.on_lap else [*additions, *chair_additions(case)]


def _cushions(case: Case, tier: Tier) -> list[Addition]:
    additions: list[Addition] = []
    if tier != "lasting":
        additions += [
            Addition(
                id="cushion",
                slot="seat",
                label=msg("{text} on the seat", text=stack.text),
                price="nothing",
                does=msg("raises the seat"),
                temporary=True,
                items=stack.items,
                height=stack.height,
                sd=stack.sd,
                apply=raise_seat(stack.height),
            )
            for stack in stacks_of(case.workstation.items, "seat")
        ]
    if tier == "little":
        additions.append(
            Addition(
                id="seat_cushion",
                slot="seat",
                label=msg("Firm seat cushion"),
                price=CUSHION_PRICE,
                does=msg("raises the seat"),
                height=CUSHION_MM,
                apply=raise_seat(CUSHION_MM),
            )
        )
    return additions


def _swapped(case: Case) -> list[Addition]:
    """Return another chair that stands in the room, in the place of this one."""
    other = case.workstation.other_seat
    if other is None or case.on_lap:
        return []
    return [
        Addition(
            id="other_chair",
            slot="seat",
            label=msg("The other chair in the room"),
            span=other,
            price="nothing",
            does=msg("has a seat of another height"),
            apply=swap_chair(other),
        )
    ]


def chair_additions(case: Case) -> list[Addition]:
    """Other chairs, each with a back that carries; a high one not for whoever needs a steady seat."""
    additions = [
        _chair(
            "task_chair",
            msg("Task chair"),
            msg("brings the seat to leg height"),
            TASK_SEAT,
            TASK_DEPTH,
        ),
        _chair(
            "small_chair",
            msg("Smaller task chair"),
            msg("has a low seat that ends behind the knee"),
            SMALL_SEAT,
            SMALL_DEPTH,
        ),
        _chair(
            "large_chair",
            msg("Larger task chair"),
            msg("has a high and deep seat"),
            LARGE_SEAT,
            LARGE_DEPTH,
        ),
    ]
    if not case.person.steady_seat:
        additions.append(
            _chair(
                "high_chair",
                msg("High chair with a foot ring"),
                msg("brings the hands up to a high surface"),
                HIGH_SEAT,
                TASK_DEPTH,
                ring=True,
            )
        )
    return additions


def table_and_chair() -> Addition:
    """Return a table and a chair, for a client who works on a sofa or in bed: one is no use without the other."""
    chair = replace_chair(TASK_SEAT, TASK_DEPTH)
    return Addition(
        id="table_and_chair",
        slot="seat",
        label=msg("Table and task chair"),
        span=TASK_SEAT,
        price="large",
        does=msg("takes the work off the lap and supports the back"),
        apply=lambda station: work_at_table(chair(station)),
    )


def _chair(
    id: str, name: str, does: str, seat: Span, depth: Span, *, ring: bool = False
) -> Addition:
    return Addition(
        id=id,
        slot="seat",
        label=name,
        span=seat,
        price="medium",
        does=does,
        apply=replace_chair(seat, depth, ring=ring),
    )
