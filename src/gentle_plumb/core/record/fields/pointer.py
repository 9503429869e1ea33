"""The pointing device."""

from __future__ import annotations

from ...choices import YesNo
from ...language import msg
from ...workstation import PointerKind, PointerSpeed
from .group import FieldGroup

_at = FieldGroup("look.pointer", msg("Keyboard and mouse"), "pieces")

kind = _at.choice("kind", msg("Pointer"), PointerKind, part="mouse")
length = _at.length(
    "length", msg("Mouse length"), 30, 300, part="mouse", help=msg("Compared with hand length.")
)
speed = _at.choice("speed", msg("Pointer speed"), PointerSpeed, part="mouse")
mat = _at.choice("mat", msg("Mouse mat fixes its position"), YesNo, part="mouse", noted_only=True)
