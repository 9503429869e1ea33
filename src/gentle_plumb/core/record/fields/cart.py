"""A wheeled cart: a worktop for the screen, a tray for the keys."""

from __future__ import annotations

from ...language import msg
from ...workstation import ArmTension, DeskKind, ToolHolder
from . import desk as _desk
from .group import FieldGroup

_at = FieldGroup("look.cart", msg("Desk"), "pieces")
_there = _desk.kind.among(DeskKind.CART)

worktop = _at.span("worktop", msg("Cart worktop height"), 600, 1400, when=_there)
tray = _at.span("tray", msg("Cart keyboard tray height"), 500, 1400, part="surface", when=_there)
tilt = _at.turn("tilt", msg("Cart keyboard tray tilt"), -20, 30, when=_there)
mouse_below = _at.length(
    "mouse_below", msg("Mouse shelf below keyboard level"), 0, 300, part="mouse", when=_there
)
tool = _at.choice("tool", msg("Holder for hand tool"), ToolHolder, when=_there)
tension = _at.choice("tension", msg("Arm tension"), ArmTension, when=_there)
