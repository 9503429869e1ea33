"""A tray for the keys under a desk."""

from __future__ import annotations

from ...choices import YesNo
from ...language import msg
from .group import FieldGroup

_at = FieldGroup("look.tray", msg("Keyboard and mouse"), "pieces")

there = _at.choice("there", msg("Keyboard tray"), YesNo, part="surface")

_there = there.among(YesNo.YES)

desk = _at.length(
    "desk",
    msg("Desk height above the tray"),
    350,
    1500,
    when=_there,
    help=msg("Floor to desk surface. The keyboard stands on the tray."),
)
below = _at.span("below", msg("Tray below the desk"), 0, 350, part="surface", when=_there)
tilt = _at.turn("tilt", msg("Tray tilt"), -20, 30, when=_there)
thickness = _at.length(
    "thickness", msg("Thickness of tray and bracket"), 5, 120, when=_there, part="surface"
)
width = _at.length("width", msg("Tray width"), 200, 1200, when=_there, noted_only=True)
mouse = _at.choice("mouse", msg("Room for the mouse"), YesNo, when=_there, part="mouse")
track = _at.length(
    "track",
    msg("Track length"),
    100,
    800,
    when=_there,
    help=msg("Checked against a crossbar under the desk."),
)
