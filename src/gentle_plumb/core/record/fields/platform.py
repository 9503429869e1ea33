"""A platform on a fixed desk: a deck for the keys, and one for the screen, apart or carried along."""

from __future__ import annotations

from ...language import msg
from ...workstation import PLATFORMS, DeskKind
from . import desk as _desk
from .group import FieldGroup

_at = FieldGroup("look.platform", msg("Desk"), "pieces")
_there = _desk.kind.among(*PLATFORMS)
_own_deck = _desk.kind.among(DeskKind.PLATFORM)

desk = _at.length("desk", msg("Height of the desk under the platform"), 350, 1200, when=_there)
keys = _at.span("keys", msg("Keyboard deck above the desk"), 0, 700, part="surface", when=_there)
screen = _at.span(
    "screen",
    msg("Screen deck above the desk"),
    0,
    900,
    part="screen_top",
    when=_own_deck,
    help=msg("Readjust the screen after lowering for sitting."),
)
deck_over_keys = _at.length(
    "deck_over_keys",
    msg("Screen shelf above the keyboard deck"),
    0,
    400,
    part="screen_top",
    when=_desk.kind.among(DeskKind.CARRIER),
    help=msg("0 if keyboard and screen stand on one level."),
)
