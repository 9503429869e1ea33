"""Casper Roe: survey planner, nearly two metres."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient, DemoPhoto
from ..photographs import Angles
from .shared import AGREED, SIT_STAND, aches, habit

ROE = DemoClient(
    name="Casper Roe",
    sex="male",
    work="Survey planner, nearly two metres",
    stature=1985,
    days_ago=16,
    by=1,
    until="changed",
    off={"popliteal_height": 12},
    entries=AGREED
    | SIT_STAND
    | {
        "look.desk.surface_min": "65",
        "look.desk.surface_max": "118",
        "ask.reason": "Curls over the desk; low back.",
        **NO_FLAGS,
        "ask.hours.typing": "2.5",
        "ask.hours.mouse": "2.5",
        "ask.hours.thinking": "2",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "none",
        "ask.shoe_seated": "3",
        "ask.shoe_standing": "3",
        "ask.mat": "0",
        "look.found.seat": "46",
        "look.found.footrest": "0",
        "look.found.seat_depth": "44",
        "look.found.armrest": "19",
        "look.found.surface": "72.5",
        "look.found.screen_top": "118",
        "look.found.distance": "72",
        "look.found.mouse": "41",
        "look.found.tilt": "4",
        "pace.rhythm": "sit40_stand20",
        "ask.standing_hours": "1",
        "look.chair.kind": "task",
        "ask.care.injury": "yes",
        "ask.care.injury.note": "Left knee, years ago; no kneeling.",
    }
    | aches("low_back", 6, "every_day", "Two years", "Lying flat")
    | habit("slumping", "nearly_always")
    | habit("knees_high", "nearly_always")
    | habit("weight_one_leg", "often", "left"),
    photos=(
        DemoPhoto(
            shows=Angles(
                neck=38, trunk=2, upper_arm=2, elbow=112, wrist=8, gaze_top=-14, gaze_bottom=-38
            ),
            standing=True,
        ),
    ),
)
