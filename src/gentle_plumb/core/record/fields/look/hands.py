"""Keyboard and pointer."""

from __future__ import annotations

from ....workstation.kinds import KEYBOARDS, POINTERS, YES_NO
from ..field import amount, choice, length

KEYS = (
    choice(
        "look.keyboard.kind", "Keys and mouse", "Keyboard", KEYBOARDS, needed=True, part="mouse"
    ),
    length(
        "look.keyboard.thickness",
        "Keys and mouse",
        "Thickness at the home row",
        2,
        80,
        needed=True,
        part="keys",
    ),
    choice(
        "look.keyboard.feet",
        "Keys and mouse",
        "Tilt feet",
        {"in": "Folded in", "out": "Folded out", "none": "None"},
        part="keys",
    ),
    amount(
        "look.keyboard.turned",
        "Keys and mouse",
        "Turned on the desk",
        "°",
        -45,
        45,
        part="keys",
        help="Clockwise seen from above; each wrist bends by as much.",
    ),
    choice("look.pointer.kind", "Keys and mouse", "Pointer", POINTERS, part="mouse"),
    length(
        "look.pointer.length",
        "Keys and mouse",
        "Pointer's length",
        30,
        300,
        part="mouse",
        help="Held against the hand's length.",
    ),
    choice(
        "look.pointer.speed",
        "Keys and mouse",
        "Pointer speed",
        {"slow": "Slow", "middle": "Middle", "fast": "Fast"},
        part="mouse",
    ),
    choice("look.pointer.mat", "Keys and mouse", "Mat marks its place", YES_NO, part="mouse"),
)
