"""Greta Moss: sediment bench, counter and stool."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import NOTES_ONLY, aches, from_shelf, habit

MOSS = DemoClient(
    name="Greta Moss",
    sex="female",
    work="Sediment bench, counter and stool",
    stature=1627,
    days_ago=7,
    by=1,
    until="look",
    entries=NOTES_ONLY
    | from_shelf("stool", "counter", "keys_compact", "laptop")
    | {
        "ask.reason": "Neck and legs tired at the bench.",
        **NO_FLAGS,
        "ask.place": "site",
        "ask.hours.writing": "2",
        "ask.hours.typing": "1.5",
        "ask.hours.paper": "1",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "distance",
        "ask.care.surgery": "yes",
        "ask.care.surgery.note": "Shoulder, ten weeks ago; no reach over shoulder height.",
        "ask.care.surgery.part": "arm",
        "ask.shoe_seated": "2.5",
        "ask.shoe_standing": "2.5",
        "look.found.seat": "65",
        "look.found.footrest": "20",
        "look.found.surface": "91",
        "look.found.screen_top": "115",
        "look.found.distance": "46",
        "look.found.mouse": "24",
    }
    | aches("calf_left", 3, "every_day")
    | aches("nape", 5, "most_days")
    | habit("head_down", "nearly_always")
    | habit("feet_hanging", "often"),
)
