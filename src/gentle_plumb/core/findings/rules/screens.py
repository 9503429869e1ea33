"""Rules about screens as pieces and their bearings.

Height and distance of the main one are judged with the settings.
"""

from __future__ import annotations

from ...catalogue import SCREEN_TASKS
from ..rule import Answer, Rule

SCREEN_RULES: tuple[Rule, ...] = (
    Answer(
        id="arm_holds",
        mechanism="screen_height",
        title="Screen's arm drifts",
        path="look.screen.holds",
        wrong=("no",),
        weight=0.3,
        source="house-screen",
        why="What is set today hangs lower next week.",
        do="Tighten it, or a riser: those don't drift.",
        region="neck",
        tasks=SCREEN_TASKS,
        only_if=("look.screen.held", ("arm",)),
        asked="Whether the arm holds is not recorded.",
    ),
    Answer(
        id="television",
        who="workplace",
        mechanism="seeing",
        title="Television used as a screen",
        path="look.screen.kind",
        wrong=("television",),
        weight=0.3,
        source="house-screen",
        why="Its picture is too large and too coarse to be near.",
        do="A screen made for a desk; until then text large enough for the distance worked out.",
        region="eyes",
        tasks=SCREEN_TASKS,
        asked="The kind of screen is not recorded.",
    ),
    Answer(
        id="laptop_alone",
        mechanism="screen_height",
        title="Laptop with its own keys",
        path="look.screen.keys",
        wrong=("own",),
        weight=0.4,
        source="house-laptop",
        why="Picture and keys can't both be right.",
        do="Raise it and add separate keys and mouse; without them, short spells only: raised for "
        "reading and calls, low for typing.",
        region="neck",
        tasks=SCREEN_TASKS,
        only_if=("look.screen.kind", ("laptop",)),
        asked="Whether the laptop has separate keys is not recorded.",
    ),
)
