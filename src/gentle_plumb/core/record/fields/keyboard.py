"""The keyboard."""

from __future__ import annotations

from ...workstation import KeyboardKind, TiltFeet
from .group import FieldGroup

_at = FieldGroup("look.keyboard", "Keyboard and mouse", "pieces")

kind = _at.choice("kind", "Keyboard", KeyboardKind, needed=True, part="mouse")
thickness = _at.length(
    "thickness", "Keyboard height at the home row", 2, 80, needed=True, part="keys"
)
feet = _at.choice("feet", "Tilt feet", TiltFeet, part="keys")
turned = _at.amount(
    "turned",
    "Rotated on the desk",
    "°",
    -45,
    45,
    part="keys",
    help="Clockwise from above is positive. Each wrist deviates by the same angle.",
)
