"""Saskia Vell: watchkeeper, nights, shared desk."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import NOTES_ONLY, aches, habit, room

VELL = DemoClient(
    name="Saskia Vell",
    sex="female",
    work="Watchkeeper, nights, shared desk",
    stature=1584,
    days_ago=1,
    by=1,
    until="look",
    workstation="Watch desk",
    entries=NOTES_ONLY
    | {
        "ask.reason": "Nothing fits after the day watch has left.",
        **NO_FLAGS,
        "ask.place": "office",
        "ask.hours.typing": "2",
        "ask.hours.reading": "5",
        "ask.hours.mouse": "1",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "none",
        "ask.sit_stand": "some",
        "ask.shoe_seated": "3",
        "ask.shoe_standing": "3",
        "look.found.seat": "47",
        "look.found.surface": "76",
        "look.found.screen_top": "131",
        "look.found.distance": "84",
        "look.found.mouse": "36",
    }
    | aches("shin_left", 2, "now_and_then")
    | habit("feet_tucked", "often")
    | room("temperature", "air", lux="310"),
)
