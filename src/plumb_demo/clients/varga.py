"""Otis Varga: tide-gauge archive, ground floor."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import AGREED, aches, from_shelf, habit, room

VARGA = DemoClient(
    name="Otis Varga",
    sex="male",
    work="Tide-gauge archive, ground floor",
    stature=1740,
    days_ago=3,
    by=0,
    until="measure",
    entries=AGREED
    | from_shelf("wheelchair", "fixed_drawer", "keys_short", "screen_24")
    | {
        "ask.reason": "Knees meet the drawer, so he works with the arms stretched.",
        **NO_FLAGS,
        "ask.place": "office",
        "ask.hours.typing": "3",
        "ask.hours.mouse": "2",
        "ask.hours.paper": "1",
        "ask.hours.reading": "1",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "reading",
        "ask.care.wheelchair": "yes",
        "ask.care.wheelchair.note": "Own cushion 7 cm, set by the seating therapist in May.",
        "ask.shoe_seated": "2",
        "ask.shoe_standing": "2",
        "look.chair.cushion": "7",
        "look.chair.armrests_off": "yes",
        "look.found.seat": "53",
        "look.found.surface": "73",
        "look.found.screen_top": "121",
        "look.found.distance": "71",
        "look.found.mouse": "38",
        "look.found.armrest": "22",
        "look.found.footrest": "11",
        "look.found.underside": "61",
    }
    | aches("shoulder_front_left", 4, "most_days")
    | aches("shoulder_front_right", 4, "most_days")
    | habit("elbow_ahead", "nearly_always", "both")
    | room("exits", lux="390", notes=(("exits", "Archive trolley stands in the way out."),)),
)
