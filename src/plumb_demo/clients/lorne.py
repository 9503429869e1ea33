"""Pia Lorne: sailing directions, kitchen table at home."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient, DemoPhoto
from ..photographs import Angles
from .shared import AGREED, AT_HOME, aches, from_shelf, habit, room

LORNE = DemoClient(
    name="Pia Lorne",
    sex="female",
    work="Sailing directions, kitchen table at home",
    stature=1689,
    days_ago=12,
    by=0,
    until="pace",
    measured=AT_HOME,
    entries=AGREED
    | from_shelf("dining", "table", "keys_short", "laptop_raised", "home")
    | {
        "ask.reason": "Small of the back after a day at home.",
        **NO_FLAGS,
        "ask.place": "home",
        "ask.hours.typing": "4",
        "ask.hours.mouse": "1",
        "ask.hours.meetings": "1.5",
        "ask.day_hours": "6.5",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "computer",
        "ask.typing_by": "touch",
        "ask.shoe_seated": "1",
        "ask.shoe_standing": "1",
        "look.found.seat": "46",
        "look.found.surface": "75",
        "look.found.seat_depth": "42",
        "look.found.screen_top": "112",
        "look.found.distance": "55",
        "look.found.mouse": "29",
        "pace.rhythm": "up_every_30",
    }
    | aches("low_back", 5, "most_days", "Since working at home", "Walking")
    | habit("legs_crossed", "often", "right")
    | habit("back_free", "nearly_always")
    | room(
        "electrical",
        "noise",
        lux="240",
        notes=(("electrical", "Two extension leads in a row behind the stove."),),
    ),
    photos=(
        DemoPhoto(
            shows=Angles(neck=31, trunk=14, upper_arm=18, elbow=88, wrist=19, hip=79, knee=76)
        ),
    ),
)
