"""What can be added for the screen."""

from __future__ import annotations

from dataclasses import replace

from ..catalogue import Tier
from ..fit import Case
from ..workstation import ScreenHolder, ScreenKind, Span
from .addition import Addition
from .additions import stack_addition
from .screen_alterations import (
    SCREEN_RISER,
    lengthen_pole,
    lift_for_standing,
    lift_picture,
    mount_on_arm,
    move_bracket,
    take_off_wall,
)
from .stacks import stacks_of


def _stands_up(case: Case) -> bool:
    """Whether this place is worked at standing as well."""
    return case.sits and case.moves_up and case.may_stand


def _for_standing(one: Addition) -> Addition:
    """Return what lifts the picture as something that is in for standing and out for sitting."""
    return replace(
        one,
        id=f"{one.id}_standing",
        label=f"{one.label}, for standing only",
        does="raises the screen for standing; out again for sitting",
        apply=lift_for_standing(one.apply),
    )


def screen_additions(case: Case, tier: Tier, taken: dict[str, int] | None = None) -> list[Addition]:
    """What lifts the picture; what stands on the surface only, and only where its range is known."""
    screen = case.workstation.screen
    if case.on_lap:
        return []
    if screen.on_wall:
        return _for_wall(case, tier)
    if screen.kind == ScreenKind.LAPTOP or screen.top_above_surface is None:
        return []
    found: list[Addition] = []
    stands = screen.held not in (ScreenHolder.ARM, ScreenHolder.WALL)
    in_and_out = stands and _stands_up(case)
    stacks = (
        stacks_of(case.workstation.items, "screen", taken) if stands and tier != "lasting" else []
    )
    found += [stack_addition("screen", one) for one in stacks]
    lifted = case.details.screen_on
    if stands and lifted:
        found.append(
            Addition(
                id="stand_off",
                slot="screen",
                label="What the screen stands on, taken away",
                price="nothing",
                does="lowers the screen",
                takes_away=True,
                apply=lift_picture(Span(low=-lifted, high=-lifted)),
            )
        )
    if in_and_out:
        found += [_for_standing(stack_addition("screen", one)) for one in stacks]
    if stands and tier != "room":
        found.append(
            Addition(
                id="screen_riser",
                slot="screen",
                label="Screen riser",
                span=SCREEN_RISER,
                price="small",
                does="raises the screen",
                apply=lift_picture(SCREEN_RISER),
            )
        )
        if in_and_out:
            found.append(_for_standing(found[-1]))
    if stands and tier == "lasting" and screen.height is not None:
        found.append(
            Addition(
                id="screen_arm",
                slot="screen",
                label="Screen arm",
                price="medium",
                does="adjusts screen height and distance",
                mounted=True,
                apply=mount_on_arm,
            )
        )
    if screen.held == ScreenHolder.ARM and tier != "room":
        found.append(
            Addition(
                id="longer_pole",
                slot="screen",
                label="Longer pole for the screen arm",
                price="small",
                does="lets the screen go higher",
                mounted=True,
                apply=lengthen_pole,
            )
        )
    return found


def _for_wall(case: Case, tier: Tier) -> list[Addition]:
    """What brings a screen on a wall to the eyes: its bracket at another height, or a screen on the desk."""
    screen = case.workstation.screen
    if tier == "room" or screen.on_wall_at is None or screen.height is None:
        return []
    found = [
        Addition(
            id="wall_bracket",
            slot="screen",
            label="Wall bracket moved to the right height",
            price="small",
            does="brings the screen to the eyes",
            mounted=True,
            apply=move_bracket,
        )
    ]
    if tier == "lasting":
        found.append(
            Addition(
                id="desk_screen",
                slot="screen",
                label="Screen that stands on the desk",
                price="medium",
                does="brings the screen to the eyes",
                apply=take_off_wall,
            )
        )
    return found
