"""Jonas Pell: survey launch crew, laptop at a mess table."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import AGREED, aches, habit, room

PELL = DemoClient(
    name="Jonas Pell",
    sex="male",
    work="Survey launch crew, laptop at a mess table",
    stature=1790,
    days_ago=0,
    by=0,
    until="look",
    entries=AGREED
    | {
        "ask.reason": "Headache after writing up the day’s lines.",
        **NO_FLAGS,
        "ask.hours.typing": "2",
        "ask.hours.mouse": "1",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "none",
        "ask.shoe_seated": "4",
        "ask.shoe_standing": "4",
        "look.chair.seat_min": "46",
        "look.chair.seat_max": "46",
        "look.chair.armrests": "none",
        "look.desk.kind": "fixed",
        "look.desk.thickness": "3",
        "look.desk.depth": "75",
        "look.keyboard.kind": "compact",
        "look.keyboard.thickness": "18 mm",
        "look.screen.kind": "laptop",
        "look.found.seat": "46",
        "look.found.surface": "75",
        "look.found.screen_top": "99",
        "look.found.distance": "48",
        "look.found.mouse": "30",
        "look.screen.keys": "own",
        "look.chair.kind": "dining",
        "ask.place": "site",
    }
    | aches("eyes", 5, "most_days", "This season", "Sleep")
    | habit("head_down", "nearly_always")
    | habit("slumping", "often")
    | room("lamp", "stability", "hot_wet", lux="160"),
)
