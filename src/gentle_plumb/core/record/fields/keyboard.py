"""The keyboard."""

from __future__ import annotations

from ...language import msg
from ...workstation import KeyboardKind, TiltFeet
from .group import FieldGroup

_at = FieldGroup("look.keyboard", msg("Keyboard and mouse"), "pieces")

kind = _at.choice("kind", msg("Keyboard"), KeyboardKind, needed=True, part="mouse")
thickness = _at.length(
    "thickness", msg("Keyboard height at the home row"), 2, 80, needed=True, part="keys"
)
feet = _at.choice("feet", msg("Tilt feet"), TiltFeet, part="keys")
turned = _at.amount(
    "turned",
    msg("Rotated on the desk"),
    "°",
    -45,
    45,
    part="keys",
    help=msg("Clockwise from above is positive. Each wrist deviates by the same angle."),
)
