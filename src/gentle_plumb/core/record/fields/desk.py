"""The desk proper."""

from __future__ import annotations

from ...choices import YesNo
from ...workstation import DeskEdge, DeskKind, UnderDesk
from .field import Place

_at = Place("look.desk", "Desk", "pieces")

kind = _at.choice("kind", "Kind of desk", DeskKind, needed=True, part="surface")

_moves = kind.among(DeskKind.SIT_STAND)

surface = _at.span(
    "surface",
    "Surface",
    350,
    1500,
    part="surface",
    when=_moves,
    help="What it can do. A fixed desk's one height is taken as found.",
    step=_at.length(
        "surface_step",
        "Surface goes in steps of",
        1,
        200,
        part="surface",
        when=_moves,
        help="Left open where it stops anywhere.",
    ),
)
thickness = _at.length(
    "thickness",
    "Surface to lowest part over the thighs",
    5,
    300,
    part="surface",
    needed=True,
    help="A drawer or crossbar counts.",
)
under = _at.choice("under", "Underneath", UnderDesk, part="surface")
depth = _at.length("depth", "Depth, front to back", 200, 1500, part="desk_depth")
width = _at.length("width", "Width", 300, 4000, noted_only=True)
edge = _at.choice("edge", "Front edge", DeskEdge)
display = _at.choice("display", "Shows its height", YesNo, when=_moves, part="surface")
display_reads = _at.length(
    "display_reads",
    "The display reads",
    300,
    1600,
    when=display.among(YesNo.YES),
    part="surface",
    help="One pair of readings: the display, and the tape in the same setting.",
)
display_tape = _at.length(
    "display_tape", "The tape reads", 300, 1600, when=display.among(YesNo.YES), part="surface"
)
presets = _at.amount("presets", "Presets", "", 0, 20, when=_moves, noted_only=True)
speed = _at.amount("speed", "Speed", "mm/s", 1, 100, when=_moves, noted_only=True)
risers = _at.choice(
    "risers", "Can stand on risers", YesNo, when=kind.among(DeskKind.FIXED, DeskKind.PLATFORM)
)
