"""Wilma Trask: front counter, platform on the desk."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import NOTES_ONLY, aches, from_shelf, habit

TRASK = DemoClient(
    name="Wilma Trask",
    sex="female",
    work="Front counter, platform on the desk",
    stature=1655,
    days_ago=6,
    by=1,
    until="look",
    entries=NOTES_ONLY
    | from_shelf("task_plain", "platform", "keys_full", "screen_22")
    | {
        "ask.reason": "Wrists sore since the platform came.",
        **NO_FLAGS,
        "ask.place": "office",
        "ask.hours.typing": "3",
        "ask.hours.mouse": "1.5",
        "ask.hours.calls": "1.5",
        "ask.standing_hours": "2",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "bifocal",
        "ask.lower_lens": "yes",
        "ask.sit_stand": "some",
        "ask.shoe_seated": "3",
        "ask.shoe_standing": "3",
        "ask.mat": "1.5",
        "ask.care.veins": "yes",
        "look.platform.desk": "72",
        "look.found.seat": "46",
        "look.found.surface": "78",
        "look.found.screen_top": "126",
        "look.found.distance": "58",
        "look.found.mouse": "40",
        "look.found_standing.surface": "104",
        "look.found_standing.screen_top": "151",
    }
    | aches("wrist_back_right", 5, "every_day")
    | aches("wrist_back_left", 3, "most_days")
    | habit("wrist_on_edge", "nearly_always", "both")
    | habit("leaning_on_desk", "often"),
)
