"""Ruben Hale: radio room, television as a screen."""

from __future__ import annotations

from ..people import NO_FLAGS, DemoClient
from .shared import NOTES_ONLY, aches

HALE = DemoClient(
    name="Ruben Hale",
    sex="male",
    work="Radio room, television as a screen",
    stature=1693,
    days_ago=2,
    by=0,
    until="ask",
    entries=NOTES_ONLY
    | {
        "ask.reason": "Tired eyes; dizzy when he gets up.",
        **NO_FLAGS,
        "ask.sign.headache": "yes",
        "ask.sign.headache.to": "Emergency room, Saltmere",
        "ask.sign.headache.done": "Sent by taxi; told to keep still and not to wait.",
        "ask.sign.headache.by": "Ines Calloway",
        "ask.hours.reading": "6",
        "ask.hours.calls": "3",
        "ask.day_hours": "7",
        "ask.writing_hand": "right",
        "ask.mouse_hand": "right",
        "ask.eyewear": "none",
        "ask.care.dizziness": "yes",
        "ask.care.dizziness.head_steady.cleared_by": "Dr Amara Quill, by letter",
        "ask.care.dizziness.head_steady.cleared_on": "2026-10-12",
    }
    | aches("eyes", 7, "always", "Three days"),
)
