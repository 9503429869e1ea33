"""The pointing device."""

from __future__ import annotations

from ...choices import YesNo
from ...workstation import PointerKind, PointerSpeed
from .field import Place

_at = Place("look.pointer", "Keys and mouse", "pieces")

kind = _at.choice("kind", "Pointer", PointerKind, part="mouse")
length = _at.length(
    "length", "Pointer's length", 30, 300, part="mouse", help="Held against the hand's length."
)
speed = _at.choice("speed", "Pointer speed", PointerSpeed, part="mouse")
mat = _at.choice("mat", "Mat marks its place", YesNo, part="mouse", noted_only=True)
