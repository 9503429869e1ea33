"""Pia Lorne: sailing directions, kitchen table at home."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient, DemoPhoto
from ..photographs import Angles
from .shared import AGREED, AT_HOME, aches, from_shelf, habit, room

WORKTOP = {
    "place.main.name": "Kitchen table",
    "place.main.use": "sit",
    "place.2.name": "Kitchen worktop",
    "place.2.use": "stand",
    **{
        f"place.2.{path}": typed
        for path, typed in {
            "look.desk.kind": "counter",
            "look.desk.thickness": "4",
            "look.desk.depth": "60",
            "look.found.surface": "91",
            "look.found_standing.surface": "91",
            "look.keyboard.kind": "compact",
            "look.keyboard.thickness": "18 mm",
            "look.screen.kind": "laptop",
            "look.screen.keys": "own",
            "look.support.ream": "no",
            "look.support.box": "no",
            "look.support.book": "yes",
            "look.support.book.height": "3",
            "look.support.book.count": "4",
        }.items()
    },
}
"""Where she stands with the laptop while the kettle boils, and for calls."""

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
    | WORKTOP
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
