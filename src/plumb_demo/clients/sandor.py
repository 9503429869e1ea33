"""Elif Sandor: watchkeeper, shared desk."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import NOTES_ONLY

SANDOR = DemoClient(
    name="Elif Sandor",
    sex="female",
    work="Watchkeeper, shared desk",
    stature=1640,
    days_ago=0,
    by=1,
    until="ask",
    workstation="Watch desk",
    entries=NOTES_ONLY
    | {
        "ask.reason": "Tingling in two fingers of the right hand since last week.",
        **NO_FLAGS,
        "ask.sign.tingling": "yes",
        "ask.hours.typing": "2",
        "ask.hours.mouse": "3",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "none",
    },
)
