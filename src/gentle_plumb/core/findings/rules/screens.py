"""Rules about screens as pieces and their bearings.

Height and distance of the main one are judged with the settings.
"""

from __future__ import annotations

from ...catalogue import SCREEN_TASKS
from ...choices import YesNo
from ...record import fields
from ...record.fields.ask import Eyewear
from ...workstation import LaptopKeys, ScreenHolder, ScreenKind
from ..rule import Answer, Rule

SCREEN_RULES: tuple[Rule, ...] = (
    Answer(
        id="arm_holds",
        check="The screen stays where it is put.",
        mechanism="screen_height",
        title="Monitor arm drifts",
        field=fields.screens.main.holds,
        wrong=(YesNo.NO,),
        weight=0.3,
        source="house-screen",
        why="It will sink from where it is set.",
        do="Tighten it, or use a riser instead.",
        region="neck",
        tasks=SCREEN_TASKS,
        only_if=fields.screens.main.held.among(ScreenHolder.ARM),
        asked="Whether the arm holds is not recorded.",
    ),
    Answer(
        id="lower_lens",
        who="client",
        act="ask",
        health=True,
        mechanism="screen_height",
        title="Reads through the lower lens",
        field=fields.ask.lower_lens,
        wrong=(YesNo.YES,),
        weight=0.3,
        source="house-lens",
        why="The chin lifts to bring the lower part of the lens to the screen.",
        do="Have the eyes tested for this screen's distance, and take the distance along.",
        region="neck",
        tasks=SCREEN_TASKS,
        only_if=fields.ask.eyewear.among(Eyewear.BIFOCAL, Eyewear.PROGRESSIVE),
        asked="Whether the screen is read through the lower lens is not recorded.",
    ),
    Answer(
        id="television",
        who="workplace",
        mechanism="seeing",
        title="Television used as a screen",
        field=fields.screens.main.kind,
        wrong=(ScreenKind.TELEVISION,),
        weight=0.3,
        source="house-screen",
        why="The picture is too large and coarse for close work.",
        do="A screen made for a desk; until then text large enough for the distance worked out.",
        region="eyes",
        tasks=SCREEN_TASKS,
        asked="The kind of screen is not recorded.",
    ),
    Answer(
        id="laptop_alone",
        mechanism="screen_height",
        title="Laptop on its own",
        field=fields.screens.keys,
        wrong=(LaptopKeys.OWN,),
        weight=0.4,
        source="house-laptop",
        why="Screen and keyboard can't both be at the right height.",
        do="Raise it and add separate keys and mouse; without them, short spells only: raised for "
        "reading and calls, low for typing.",
        region="neck",
        tasks=SCREEN_TASKS,
        only_if=fields.screens.main.kind.among(ScreenKind.LAPTOP),
        asked="Whether the laptop has separate keys is not recorded.",
    ),
)
