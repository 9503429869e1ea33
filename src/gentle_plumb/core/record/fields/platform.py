"""A platform on a fixed desk: a deck for the keys, and one for the screen."""

from __future__ import annotations

from ...workstation import DeskKind
from . import desk as _desk
from .place import Place

_at = Place("look.platform", "Desk", "pieces")
_there = _desk.kind.among(DeskKind.PLATFORM)

desk = _at.length("desk", "Height of the desk under the platform", 350, 1200, when=_there)
keys = _at.span("keys", "Keyboard deck above the desk", 0, 700, part="surface", when=_there)
screen = _at.span(
    "screen",
    "Screen deck above the desk",
    0,
    900,
    part="screen_top",
    when=_there,
    help="Readjust the screen after lowering for sitting.",
)
