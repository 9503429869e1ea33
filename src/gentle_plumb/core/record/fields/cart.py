"""A wheeled cart: a worktop for the screen, a tray for the keys."""

from __future__ import annotations

from ...workstation import ArmTension, DeskKind, ToolHolder
from . import desk as _desk
from .field import Place

_at = Place("look.cart", "Desk", "pieces")
_there = _desk.kind.among(DeskKind.CART)

worktop = _at.span("worktop", "Cart's worktop", 600, 1400, when=_there)
tray = _at.span("tray", "Cart's key tray", 500, 1400, part="surface", when=_there)
tilt = _at.turn("tilt", "Cart's tray tilt", -20, 30, when=_there)
mouse_below = _at.length(
    "mouse_below", "Mouse shelf below the keys", 0, 300, part="mouse", when=_there
)
tool = _at.choice("tool", "Hand tool's holder", ToolHolder, when=_there)
tension = _at.choice("tension", "Arm tension", ArmTension, when=_there)
