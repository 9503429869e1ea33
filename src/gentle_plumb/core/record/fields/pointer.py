"""The pointing device."""

from __future__ import annotations

from ...choices import YesNo
from ...workstation import PointerKind, PointerSpeed
from .group import FieldGroup

_at = FieldGroup("look.pointer", "Keyboard and mouse", "pieces")

kind = _at.choice("kind", "Pointer", PointerKind, part="mouse")
length = _at.length(
    "length", "Mouse length", 30, 300, part="mouse", help="Compared with hand length."
)
speed = _at.choice("speed", "Pointer speed", PointerSpeed, part="mouse")
mat = _at.choice("mat", "Mouse mat fixes its position", YesNo, part="mouse", noted_only=True)
