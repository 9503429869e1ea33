"""Nadia Brook: notices to mariners, desk 3."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient, DemoPhoto
from ..photographs import Angles, Camera
from .shared import AGREED, FIXED, aches, habit, room

BROOK = DemoClient(
    name="Nadia Brook",
    sex="female",
    work="Notices to mariners, desk 3",
    stature=1598,
    days_ago=4,
    by=0,
    until="pace",
    off={"thigh_clearance": 9},
    before=(
        (730, {"thigh_clearance": -12, "eye_height_sitting": 6}),
        (361, {"thigh_clearance": -4}),
    ),
    entries=AGREED
    | FIXED
    | {
        "look.desk.thickness": "3",
        "look.keyboard.kind": "no_number_block",
        "ask.reason": "Chin up all day to read the screen.",
        **NO_FLAGS,
        "ask.hours.typing": "2.5",
        "ask.hours.reading": "3",
        "ask.hours.mouse": "1",
        "ask.writing_hand": "left",
        "ask.mouse_hand": "left",
        "ask.eyewear": "progressive",
        "ask.lower_lens": "yes",
        "ask.shoe_seated": "2",
        "ask.shoe_standing": "2",
        "look.found.seat": "48",
        "look.found.footrest": "6",
        "look.found.seat_depth": "43",
        "look.found.armrest": "22",
        "look.found.surface": "72",
        "look.found.screen_top": "124",
        "look.found.distance": "60",
        "look.found.mouse": "27",
        "look.found.tilt": "3",
        "pace.rhythm": "work25_move4",
        "ask.typing_by": "touch",
        "ask.leans": "back",
        "look.support.task_lamp": "yes",
    }
    | aches("nape", 6, "every_day", "Since the new glasses", "Reading on paper")
    | habit("chin_lifted", "nearly_always")
    | habit("back_free", "often")
    | room("glare", "lamp", lux="620", notes=(("glare", "Lamp behind her, from 14 to 17 h."),)),
    photos=(
        DemoPhoto(
            shows=Angles(
                neck=8, trunk=-3, upper_arm=9, elbow=99, wrist=11, gaze_top=9, gaze_bottom=-17
            ),
            camera=Camera(turned=9, distance=1800),
        ),
    ),
)
