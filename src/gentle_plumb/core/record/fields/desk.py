"""The desk proper."""

from __future__ import annotations

from ...choices import YesNo
from ...language import msg
from ...workstation import PLATFORMS, DeskEdge, DeskKind, Lever, UnderDesk
from .group import FieldGroup

_at = FieldGroup("look.desk", msg("Desk"), "pieces")

kind = _at.choice("kind", msg("Desk type"), DeskKind, needed=True, part="surface")

moves = kind.among(DeskKind.SIT_STAND)

surface = _at.span(
    "surface",
    msg("Surface"),
    350,
    1500,
    part="surface",
    when=moves,
    help=msg("Height range. For a fixed desk, use the height as found."),
    step=_at.length(
        "surface_step",
        msg("Desk height adjusts in steps of"),
        1,
        200,
        part="surface",
        when=moves,
        help=msg("Leave blank if it adjusts continuously."),
    ),
)
thickness = _at.length(
    "thickness",
    msg("Desk surface to lowest point above the thighs"),
    5,
    300,
    part="surface",
    needed=True,
    help=msg("Include any drawer or crossbar."),
)
under = _at.choice("under", msg("Underneath"), UnderDesk, part="surface")
depth = _at.length("depth", msg("Depth, front to back"), 200, 1500, part="desk_depth")
width = _at.length("width", msg("Width"), 300, 4000, noted_only=True)
edge = _at.choice("edge", msg("Front edge"), DeskEdge)
lever = _at.choice("lever", msg("Height is set by"), Lever, when=moves, part="surface")
display = _at.choice("display", msg("Height display"), YesNo, when=moves, part="surface")
display_reads = _at.length(
    "display_reads",
    msg("Display shows"),
    300,
    1600,
    when=display.among(YesNo.YES),
    part="surface",
    help=msg("Read the display and the tape at the same height."),
)
display_tape = _at.length(
    "display_tape", msg("Tape shows"), 300, 1600, when=display.among(YesNo.YES), part="surface"
)
presets = _at.amount("presets", msg("Presets"), "", 0, 20, when=moves, noted_only=True)
speed = _at.amount("speed", msg("Speed"), "mm/s", 1, 100, when=moves, noted_only=True)
risers = _at.choice(
    "risers", msg("Can take desk risers"), YesNo, when=kind.among(DeskKind.FIXED, *PLATFORMS)
)
