"""What can be added to a workstation: what it does to the pieces, its price class, how long it lasts.

Ranges of what could be bought are everyday ones without a make. Source: house-additions.
"""

from __future__ import annotations

from typing import Literal

from ..catalogue import Tier
from ..fit import Case
from ..intake import Demand
from ..language import filled, msg
from ..workstation import KeyboardKind, PointerKind, ScreenKind, Span, UnderDesk
from .addition import Addition
from .alterations import (
    RISERS,
    SIT_STAND,
    add_foot_support,
    add_tray,
    change_mouse_hand,
    clear_tray,
    replace_desk,
    replace_keyboard,
    stand_on_risers,
    take_central_pointer,
)
from .screen_alterations import lift_picture
from .stacks import Stack


def stack_addition(slot: Literal["feet", "screen"], stack: Stack) -> Addition:
    """Return a stack of what lies in the room as one thing added."""
    span = Span(low=stack.height, high=stack.height)
    where = msg("under the feet") if slot == "feet" else msg("under the screen")
    return Addition(
        id=f"{slot}_stack",
        slot=slot,
        label=filled("{text} {where}", text=stack.text, where=where),
        price="nothing",
        does=msg("supports the feet") if slot == "feet" else msg("raises the screen"),
        temporary=True,
        items=stack.items,
        height=stack.height,
        sd=stack.sd,
        apply=add_foot_support(span) if slot == "feet" else lift_picture(span),
    )


def desk_additions(case: Case, tier: Tier) -> list[Addition]:
    """What can be done about the height of the keys."""
    desk, laptop = case.workstation.desk, case.workstation.screen.kind == ScreenKind.LAPTOP
    additions: list[Addition] = []
    if desk.form == "tray" and desk.screen_base is not None and desk.top_thickness is not None:
        additions.append(
            Addition(
                id="tray_off",
                slot="desk",
                label=msg("Keyboard tray off"),
                price="nothing",
                does=msg("puts the keyboard on the desk and makes room for the thighs"),
                takes_away=True,
                apply=clear_tray,
            )
        )
    if desk.surface is None or tier == "room" or case.on_lap:
        return additions
    plain = desk.form in (None, "fixed", "sit_stand")
    if desk.surface.fixed and plain and desk.risers is not False:
        additions.append(
            Addition(
                id="risers",
                slot="desk",
                label=msg("Desk risers"),
                span=RISERS,
                price="small",
                does=msg("raises the desk"),
                mounted=True,
                apply=stand_on_risers,
            )
        )
    if tier == "lasting":
        if plain and desk.under in (None, UnderDesk.FREE) and not laptop:
            additions.append(
                Addition(
                    id="tray",
                    slot="desk",
                    label=msg("Keyboard tray under the desk"),
                    price="medium",
                    does=msg("lowers and angles the keyboard"),
                    mounted=True,
                    apply=add_tray,
                )
            )
        if desk.kind != "sit_stand" and desk.form in (None, "fixed", "counter"):
            additions.append(
                Addition(
                    id="sit_stand",
                    slot="desk",
                    label=msg("Sit-stand desk"),
                    span=SIT_STAND,
                    price="large",
                    does=msg("brings the desk to the hands"),
                    apply=replace_desk,
                )
            )
    return additions


def pointer_additions(case: Case, tier: Tier) -> list[Addition]:
    """Ways to bring the mouse nearer, the cheapest first."""
    station = case.workstation
    if station.mouse.kind == PointerKind.CENTRAL or station.mouse.hand is None:
        return []
    weak, hand = case.person.weak_side, station.mouse.hand
    to_weak = case.person.against({Demand.OTHER_HAND}) is not None and hand != weak
    additions: list[Addition] = []
    if not to_weak:
        additions.append(
            Addition(
                id="other_hand",
                slot="pointer",
                label=msg("Try the mouse in the other hand"),
                price="nothing",
                does=msg("brings the mouse nearer"),
                apply=change_mouse_hand,
            )
        )
    if tier != "room":
        if station.keyboard.kind == KeyboardKind.FULL:
            additions.append(
                Addition(
                    id="short_keyboard",
                    slot="pointer",
                    price="small",
                    label=msg("Keyboard without number pad"),
                    does=msg("brings the mouse nearer"),
                    apply=replace_keyboard(KeyboardKind.NO_NUMBER_BLOCK),
                )
            )
        additions.append(
            Addition(
                id="central_pointer",
                slot="pointer",
                price="small",
                label=msg("Central pointing device"),
                does=msg("keeps the arm close to the body"),
                apply=take_central_pointer,
            )
        )
    return additions
