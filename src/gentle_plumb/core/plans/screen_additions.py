"""What can be added for the screen."""

from __future__ import annotations

from ..catalogue import Tier
from ..fit import Case
from ..workstation import ScreenHolder, ScreenKind
from .addition import Addition
from .additions import stack_addition
from .alterations import SCREEN_RISER, lift_picture, mount_on_arm
from .stacks import stacks_of


def screen_additions(case: Case, tier: Tier, taken: dict[str, int] | None = None) -> list[Addition]:
    """What lifts the picture; what stands on the surface only, and only where its range is known."""
    screen = case.workstation.screen
    if screen.kind == ScreenKind.LAPTOP or screen.top_above_surface is None:
        return []
    found: list[Addition] = []
    stands = screen.held not in (ScreenHolder.ARM, ScreenHolder.WALL)
    if stands and tier != "lasting":
        found += [
            stack_addition("screen", one)
            for one in stacks_of(case.workstation.items, "screen", taken)
        ]
    if stands and tier != "room":
        found.append(
            Addition(
                id="screen_riser",
                slot="screen",
                label="Screen riser, 5 to 15 cm",
                price="small",
                does="raises the screen",
                apply=lift_picture(SCREEN_RISER),
            )
        )
    if stands and tier == "lasting" and screen.height is not None:
        found.append(
            Addition(
                id="screen_arm",
                slot="screen",
                label="Screen arm",
                price="medium",
                does="adjusts screen height and distance",
                apply=mount_on_arm,
            )
        )
    return found
