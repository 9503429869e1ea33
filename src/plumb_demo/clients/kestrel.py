"""Ivo Kestrel: wheeled plotting cart, all floors."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import AGREED, aches, from_shelf, habit, room

KESTREL = DemoClient(
    name="Ivo Kestrel",
    sex="male",
    work="Wheeled plotting cart, all floors",
    stature=1822,
    days_ago=5,
    by=1,
    until="set",
    entries=AGREED
    | from_shelf("stool", "cart", "keys_compact", "screen_22")
    | {
        "ask.reason": "Elbow sore after long plotting runs.",
        **NO_FLAGS,
        "ask.place": "site",
        "ask.hours.typing": "1",
        "ask.hours.mouse": "4",
        "ask.standing_hours": "4",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "none",
        "ask.sit_stand": "used",
        "ask.shoe_seated": "4",
        "ask.shoe_standing": "4",
        "look.cart.tool": "far",
        "look.cart.tension": "drifts",
        "look.found.seat": "65",
        "look.found.surface": "92",
        "look.found.screen_top": "148",
        "look.found.distance": "64",
        "look.found.mouse": "35",
        "look.found.mouse_level": "-5",
        "look.found_standing.surface": "102",
        "look.found_standing.screen_top": "158",
    }
    | aches("elbow_right", 5, "most_days", "Six weeks", "Rest")
    | habit("wrist_outwards", "often", "right")
    | habit("hip_pushed", "often", "left")
    | room("floor", "cables", lux="340"),
)
