"""Hugo Penn: chart compiler, two screens."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import AGREED, SWAPPED, aches, as_second_screen, from_shelf, habit

PENN = DemoClient(
    name="Hugo Penn",
    sex="male",
    work="Chart compiler, two screens",
    stature=1718,
    days_ago=8,
    by=0,
    until="measure",
    before=((210, {}),),
    measured=SWAPPED,
    entries=AGREED
    | from_shelf("task", "sit_stand", "keys_split", "screen_27")
    | as_second_screen("screen_24")
    | {
        "ask.reason": "Neck always turned to the left screen.",
        **NO_FLAGS,
        "ask.place": "both",
        "ask.hours.typing": "2",
        "ask.hours.mouse": "3",
        "ask.hours.reading": "2",
        "ask.writing_hand": "left",
        "ask.mouse_hand": "left",
        "ask.eyewear": "contacts",
        "ask.sit_stand": "some",
        "ask.shoe_seated": "2.5",
        "ask.shoe_standing": "2.5",
        "look.screen2.use": "equal",
        "look.found.seat": "44",
        "look.found.surface": "70",
        "look.found.screen_top": "118",
        "look.found.distance": "70",
        "look.found.mouse": "31",
        "look.found.screen_bearing": "18",
        "look.screen3.kind": "laptop",
        "look.screen3.use": "rare",
        "look.found.screen3_bearing": "64",
        "look.found.screen3_top": "98",
        "look.found.screen3_distance": "66",
        "look.found.screen2_bearing": "-38",
        "look.found.screen2_top": "119",
        "look.found.screen2_distance": "74",
        "look.found_standing.surface": "106",
        "look.found_standing.screen_top": "154",
    }
    | aches("nape", 4, "most_days")
    | habit("head_turned", "nearly_always", "left")
    | habit("twisting", "often", "left"),
)
