"""What can be added for the screen."""

from __future__ import annotations

from ..catalogue import Tier
from ..changed import changed
from ..fit import Case
from ..language import msg
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


def _for_standing(addition: Addition) -> Addition:
    """Return what lifts the picture as something that is in for standing and out for sitting."""
    return changed(
        addition,
        id=f"{addition.id}_standing",
        label=msg("{label}, for standing only", label=addition.label),
        does=msg("raises the screen for standing; remove it for sitting"),
        apply=lift_for_standing(addition.apply),
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
    additions: list[Addition] = []
    stands = screen.held not in (ScreenHolder.ARM, ScreenHolder.WALL)
    in_and_out = stands and _stands_up(case)
    stacks = (
        stacks_of(case.workstation.items, "screen", taken) if stands and tier != "lasting" else []
    )
    additions += [stack_addition("screen", stack) for stack in stacks]
    lifted = case.details.screen_on
    if stands and lifted:
        additions.append(
            Addition(
                id="stand_off",
                slot="screen",
                label=msg("What the screen stands on, taken away"),
                price="nothing",
                does=msg("lowers the screen"),
                takes_away=True,
                apply=lift_picture(Span(low=-lifted, high=-lifted)),
            )
        )
    if in_and_out:
        additions += [_for_standing(stack_addition("screen", stack)) for stack in stacks]
    if stands and tier != "room":
        additions.append(
            Addition(
                id="screen_riser",
                slot="screen",
                label=msg("Screen riser"),
                span=SCREEN_RISER,
                price="small",
                does=msg("raises the screen"),
                apply=lift_picture(SCREEN_RISER),
            )
        )
        if in_and_out:
            additions.append(_for_standing(additions[-1]))
    if stands and tier == "lasting" and screen.height is not None:
        additions.append(
            Addition(
                id="screen_arm",
                slot="screen",
                label=msg("Screen arm"),
                price="medium",
                does=msg("adjusts screen height and distance"),
                mounted=True,
                apply=mount_on_arm,
            )
        )
    if screen.held == ScreenHolder.ARM and tier != "room":
        additions.append(
            Addition(
                id="longer_pole",
                slot="screen",
                label=msg("Longer pole for the screen arm"),
                price="small",
                does=msg("lets the screen go higher"),
                mounted=True,
                apply=lengthen_pole,
            )
        )
    return additions


def _for_wall(case: Case, tier: Tier) -> list[Addition]:
    """What brings a screen on a wall to the eyes: its bracket at another height, or a screen on the desk."""
    screen = case.workstation.screen
    if tier == "room" or screen.on_wall_at is None or screen.height is None:
        return []
    additions = [
        Addition(
            id="wall_bracket",
            slot="screen",
            label=msg("Wall bracket moved to the right height"),
            price="small",
            does=msg("brings the screen to the eyes"),
            mounted=True,
            apply=move_bracket,
        )
    ]
    if tier == "lasting":
        additions.append(
            Addition(
                id="desk_screen",
                slot="screen",
                label=msg("Screen that stands on the desk"),
                price="medium",
                does=msg("brings the screen to the eyes"),
                apply=take_off_wall,
            )
        )
    return additions
