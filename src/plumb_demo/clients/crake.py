"""Anselm Crake: wreck register, keyboard tray."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import AGREED, aches, from_shelf, habit

CRAKE = DemoClient(
    name="Anselm Crake",
    sex="male",
    work="Wreck register, keyboard tray",
    stature=1771,
    days_ago=15,
    by=0,
    until="pace",
    entries=AGREED
    | from_shelf("task", "fixed", "tray", "keys_split", "screen_34")
    | {
        "ask.reason": "Thighs meet the tray; wrists bent back.",
        **NO_FLAGS,
        "ask.place": "office",
        "ask.hours.typing": "5",
        "ask.hours.mouse": "1",
        "ask.hours.reading": "1",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "progressive",
        "ask.lower_lens": "no",
        "ask.typing_by": "eye",
        "ask.care.hypermobility": "yes",
        "ask.shoe_seated": "3",
        "ask.shoe_standing": "3",
        "look.tray.desk": "74",
        "look.found.seat": "47",
        "look.found.surface": "66",
        "look.found.underside": "63",
        "look.found.screen_top": "124",
        "look.found.distance": "72",
        "look.found.mouse": "33",
        "look.found.screen_bearing": "-6",
        "pace.rhythm": "work25_move4",
    }
    | aches("wrist_back_left", 4, "most_days")
    | aches("forearm_back_left", 3)
    | habit("head_down", "often")
    | habit("wrist_back", "nearly_always", "both"),
)
