"""A tray for the keys under a desk."""

from __future__ import annotations

from ...choices import YesNo
from .field import Place

_at = Place("look.tray", "Keys and mouse", "pieces")

there = _at.choice("there", "Keyboard tray", YesNo, part="surface")

_there = there.among(YesNo.YES)

desk = _at.length(
    "desk",
    "Desk over the tray",
    350,
    1500,
    when=_there,
    help="Floor to the desk's surface; the keyboard's own surface is the tray.",
)
below = _at.span("below", "Tray below the desk", 0, 350, part="surface", when=_there)
tilt = _at.turn("tilt", "Tray tilt", -20, 30, when=_there)
thickness = _at.length(
    "thickness", "Tray with its bracket, thickness", 5, 120, when=_there, part="surface"
)
width = _at.length("width", "Tray width", 200, 1200, when=_there, noted_only=True)
mouse = _at.choice("mouse", "The mouse fits on it", YesNo, when=_there, part="mouse")
track = _at.length(
    "track", "Tray's track", 100, 800, when=_there, help="Held against a crossbar underneath."
)
