"""The keyboard."""

from __future__ import annotations

from ...workstation import KeyboardKind, TiltFeet
from .field import Place

_at = Place("look.keyboard", "Keys and mouse", "pieces")

kind = _at.choice("kind", "Keyboard", KeyboardKind, needed=True, part="mouse")
thickness = _at.length("thickness", "Thickness at the home row", 2, 80, needed=True, part="keys")
feet = _at.choice("feet", "Tilt feet", TiltFeet, part="keys")
turned = _at.amount(
    "turned",
    "Turned on the desk",
    "°",
    -45,
    45,
    part="keys",
    help="Clockwise seen from above; each wrist bends by as much.",
)
