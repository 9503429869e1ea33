"""The chair: what it can do, loaded."""

from __future__ import annotations

from ...choices import YesNo
from ...language import msg
from ...workstation import (
    ArmrestKind,
    Castors,
    ChairKind,
    GasSpring,
    Lever,
    LumbarKind,
    NeckRest,
    Stability,
    TiltLock,
    TiltTension,
)
from .group import FieldGroup

_at = FieldGroup("look.chair", msg("Chair"), "pieces")

kind = _at.choice("kind", msg("Chair type"), ChairKind, part="seat")

_not_backless = kind.open_or(
    ChairKind.TASK, ChairKind.DINING, ChairKind.WHEELCHAIR, ChairKind.OTHER
)
_task = kind.open_or(ChairKind.TASK, ChairKind.OTHER)

_seat_step = _at.length(
    "seat_step",
    msg("Seat height adjusts in steps of"),
    1,
    100,
    part="seat",
    when=_task,
    help=msg("Leave blank if it adjusts continuously."),
)
seat = _at.span(
    "seat",
    msg("Seat"),
    250,
    900,
    part="seat",
    needed=True,
    help=msg("Adjustment range with someone sitting on it."),
    when=kind.open_or(
        ChairKind.TASK,
        ChairKind.DINING,
        ChairKind.STOOL,
        ChairKind.SADDLE,
        ChairKind.BALL,
        ChairKind.OTHER,
    ),
    step=_seat_step,
)
sink = _at.length(
    "sink",
    msg("Seat compresses by"),
    0,
    80,
    part="seat",
    when=_task,
    help=msg("Only if the range is the manufacturer’s (unloaded); this is subtracted."),
)
depth = _at.span(
    "depth", msg("Seat depth"), 250, 700, ends=("shortest", "longest"), part="seat_depth"
)
slope = _at.turn(
    "slope",
    msg("Seat tilt"),
    -10,
    20,
    when=_task,
    part="seat_slope",
    help=msg("Front edge lower than the back is positive."),
)
lock = _at.choice("lock", msg("Tilt lock"), TiltLock, when=_task)
tension = _at.choice(
    "tension",
    msg("Tilt tension"),
    TiltTension,
    when=_task,
    help=msg("With the client leaning back."),
)
backrest = _at.turn("backrest", msg("Backrest from level"), 80, 140, when=_task)
lumbar_kind = _at.choice(
    "lumbar_kind", msg("Lumbar support"), LumbarKind, when=_not_backless, part="lumbar"
)
lumbar = _at.span(
    "lumbar",
    msg("Lumbar support height above the seat"),
    50,
    400,
    part="lumbar",
    when=_not_backless,
    step=_at.length(
        "lumbar_step",
        msg("Lumbar step"),
        1,
        100,
        part="lumbar",
        when=lumbar_kind.among(LumbarKind.STEPS),
    ),
)
neck_rest = _at.choice("neck_rest", msg("Headrest"), NeckRest, when=_not_backless)
armrests = _at.choice("armrests", msg("Armrests"), ArmrestKind, part="armrest")

_arms = armrests.among(ArmrestKind.FIXED, ArmrestKind.ADJUSTABLE)

armrest = _at.span(
    "armrest", msg("Armrest height above the seat"), 80, 450, part="armrest", when=_arms
)
armrest_gap = _at.span(
    "armrest_gap",
    msg("Distance between armrests"),
    300,
    700,
    ends=("narrowest", "widest"),
    part="armrest",
    when=_arms,
)
armrests_off = _at.choice(
    "armrests_off", msg("Armrests come off"), YesNo, when=_arms, part="armrest"
)
armrest_turn = _at.choice("armrest_turn", msg("Armrests swivel"), YesNo, when=_arms, part="armrest")
width = _at.length("width", msg("Seat width"), 250, 800, noted_only=True)
castors = _at.choice("castors", msg("Castors"), Castors, noted_only=True)
stability = _at.choice("stability", msg("Stability"), Stability)
lift = _at.choice("lift", msg("Gas spring"), GasSpring, when=_task)
load_limit = _at.amount(
    "load_limit", msg("Carries at most"), "kg", 50, 400, help=msg("On the label under the seat.")
)
age = _at.amount("age", msg("Age of the chair"), "years", 0, 60)
cushion = _at.length(
    "cushion",
    msg("Own cushion"),
    0,
    150,
    when=kind.among(ChairKind.WHEELCHAIR),
    help=msg("Counts towards seat height. Change only with the seating therapist."),
    noted_only=True,
)

lever = {
    key: _at.choice(f"lever_{key}", msg("{label} is set by", label=label), Lever, part=part)
    for key, label, part in (
        ("seat", msg("Seat height"), "seat"),
        ("seat_depth", msg("Seat depth"), "seat_depth"),
        ("backrest", msg("Backrest"), ""),
        ("lumbar", msg("Lumbar support"), "lumbar"),
        ("armrest", msg("Armrest height"), "armrest"),
    )
}
"""What moves each part, by quantity."""
