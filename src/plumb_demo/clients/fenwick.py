"""Yara Fenwick: front counter, fixed desk."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import AGREED, FIXED, aches, habit, room

FENWICK = DemoClient(
    name="Yara Fenwick",
    sex="female",
    work="Front counter, fixed desk",
    stature=1508,
    days_ago=1,
    by=0,
    until="measure",
    off={"elbow_height_sitting": -6},
    entries=AGREED
    | FIXED
    | {
        "ask.reason": "Feet do not reach the floor; shoulders tired.",
        **NO_FLAGS,
        "ask.hours.typing": "4",
        "ask.hours.mouse": "1.5",
        "ask.hours.calls": "2",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "contacts",
        "ask.shoe_seated": "3",
        "ask.shoe_standing": "3",
        "look.found.seat": "47",
        "look.found.footrest": "0",
        "look.found.seat_depth": "46",
        "look.found.armrest": "20",
        "look.found.surface": "74",
        "look.found.screen_top": "128",
        "look.found.distance": "66",
        "look.found.mouse": "39",
        "look.found.tilt": "0",
        "look.chair.kind": "task",
        "ask.standing_hours": "0",
        "look.support.footrest": "no",
        "look.support.headset": "no",
        "look.support.ream": "yes",
        "look.support.ream.height": "5",
        "look.support.ream.count": "3",
        "look.support.book": "yes",
        "look.support.book.height": "3",
    }
    | aches("shoulder_top_left", 4, "every_day")
    | aches("thigh_back_left", 3, "most_days")
    | aches("thigh_back_right", 3, "most_days")
    | habit("feet_hanging", "nearly_always")
    | habit("perching", "often")
    | habit("phone_shoulder", "often", "left")
    | room("stored", "trips", lux="510", notes=(("stored", "Two boxes of forms."),)),
)
