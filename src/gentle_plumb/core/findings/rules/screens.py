"""Rules about screens as pieces and their bearings.

Height and distance of the main one are judged with the settings.
"""

from __future__ import annotations

from ..rule import SCREEN_TASKS, Amount, Answer, Rule

TURN_DEG = 15.0
"""Furthest a screen looked at for long may stand to the side, degrees. Source: house-bearing."""
GLANCE_DEG = 35.0
"""Furthest one looked at now and then may, degrees. Source: house-bearing."""


def _bearing(
    id: str, path: str, most: float, share: float, use: tuple[str, ...] | None, title: str
) -> Amount:
    return Amount(
        id=id,
        title=title,
        path=path,
        least=-most,
        most=most,
        source="house-bearing",
        why="The neck stays turned to one side.",
        do="What is looked at most stands straight ahead; two used alike meet in the middle.",
        region="neck",
        joint="neck",
        tasks=SCREEN_TASKS,
        share=share,
        deg_per_unit=1.0,
        row=path.removeprefix("look.found."),
        only_if=(path.replace("look.found.", "look.").replace("_bearing", ".use"), use)
        if use
        else None,
    )


SCREEN_RULES: tuple[Rule, ...] = (
    _bearing(
        "screen_bearing",
        "look.found.screen_bearing",
        TURN_DEG,
        0.85,
        None,
        "Main screen to the side",
    ),
    *(
        rule
        for index in (2, 3)
        for rule in (
            _bearing(
                f"screen{index}_equal",
                f"look.found.screen{index}_bearing",
                TURN_DEG + 10,
                0.45,
                ("equal",),
                f"Screen {index} far to the side",
            ),
            _bearing(
                f"screen{index}_some",
                f"look.found.screen{index}_bearing",
                GLANCE_DEG,
                0.15,
                ("some", "rare"),
                f"Screen {index} far to the side",
            ),
        )
    ),
    Answer(
        id="arm_holds",
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
    Amount(
        id="display_scale",
        title="Text size",
        path="look.screen.scale",
        least=100,
        source="house-screen",
        why="Small text brings the head to the screen.",
        do="Enlarge the text to the display scale worked out.",
        region="eyes",
        tasks=SCREEN_TASKS,
    ),
)
