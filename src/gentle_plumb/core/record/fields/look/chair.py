"""The chair: what it can do, loaded."""

from __future__ import annotations

from ....workstation.kinds import CHAIRS, YES_NO
from ..field import When, choice, length, span, turn

_UNKNOWN_RANGE = "What it can do, loaded: somebody sits on it."
NOT_STOOL: When = (("look.chair.kind", ("", "task", "dining", "wheelchair", "other")),)
_TASK: When = (("look.chair.kind", ("", "task", "other")),)
_ARMS: When = (("look.chair.armrests", ("fixed", "adjustable")),)

CHAIR = (
    choice("look.chair.kind", "Chair", "Kind of chair", CHAIRS, part="seat"),
    *span(
        "look.chair.seat",
        "Chair",
        "Seat",
        250,
        900,
        part="seat",
        needed=True,
        help=_UNKNOWN_RANGE,
        when=(("look.chair.kind", ("", "task", "dining", "stool", "ball", "other")),),
    ),
    length(
        "look.chair.seat_step",
        "Chair",
        "Seat goes in steps of",
        1,
        100,
        part="seat",
        when=_TASK,
        help="Left open where it stops anywhere.",
    ),
    length(
        "look.chair.sink",
        "Chair",
        "Sinks under load",
        0,
        80,
        part="seat",
        when=_TASK,
        help="Only where the range is the maker's, unloaded: it is taken off.",
    ),
    *span(
        "look.chair.depth",
        "Chair",
        "Seat depth",
        250,
        700,
        ends=("shortest", "longest"),
        part="seat_depth",
    ),
    *turn("look.chair.slope", "Chair", "Seat slope, front down", -10, 20, when=_TASK),
    choice(
        "look.chair.lock",
        "Chair",
        "Tilt lock",
        {"locks": "Locks", "free": "Swings free", "broken": "Broken"},
        when=_TASK,
    ),
    *turn("look.chair.backrest", "Chair", "Backrest from level", 80, 140, when=_TASK),
    choice(
        "look.chair.lumbar_kind",
        "Chair",
        "Lumbar support",
        {"none": "None", "fixed": "Fixed", "steps": "In steps", "free": "Without steps"},
        when=NOT_STOOL,
        part="lumbar",
    ),
    *span(
        "look.chair.lumbar",
        "Chair",
        "Lumbar pad over the seat",
        50,
        400,
        part="lumbar",
        when=NOT_STOOL,
    ),
    length(
        "look.chair.lumbar_step",
        "Chair",
        "Lumbar step",
        1,
        100,
        part="lumbar",
        when=(("look.chair.lumbar_kind", ("steps",)),),
    ),
    choice(
        "look.chair.neck_rest",
        "Chair",
        "Neck rest",
        {"none": "None", "meets": "Meets the neck", "misses": "Pushes the head or misses the neck"},
        when=NOT_STOOL,
    ),
    choice(
        "look.chair.armrests",
        "Chair",
        "Armrests",
        {"none": "None", "fixed": "Fixed", "adjustable": "Adjustable"},
        part="armrest",
    ),
    *span(
        "look.chair.armrest", "Chair", "Armrest over the seat", 80, 450, part="armrest", when=_ARMS
    ),
    *span(
        "look.chair.armrest_gap",
        "Chair",
        "Between the armrests",
        300,
        700,
        ends=("narrowest", "widest"),
        part="armrest",
        when=_ARMS,
    ),
    choice(
        "look.chair.armrests_off", "Chair", "Armrests come off", YES_NO, when=_ARMS, part="armrest"
    ),
    choice("look.chair.armrest_turn", "Chair", "Armrests turn", YES_NO, when=_ARMS),
    length("look.chair.width", "Chair", "Seat width", 250, 800),
    choice(
        "look.chair.castors",
        "Chair",
        "Castors",
        {"hard": "For hard floor", "carpet": "For carpet", "glides": "Glides, no castors"},
    ),
    choice(
        "look.chair.stability",
        "Chair",
        "Stability",
        {"firm": "Firm", "wobbles": "Wobbles", "tips": "Tips"},
    ),
    choice(
        "look.chair.lift",
        "Chair",
        "Gas spring",
        {"holds": "Holds", "sinks": "Sinks", "broken": "Broken"},
        when=_TASK,
    ),
    length(
        "look.chair.cushion",
        "Chair",
        "Own cushion, loaded",
        0,
        150,
        when=(("look.chair.kind", ("wheelchair",)),),
        help="Part of the seat's height; never changed without the seating therapist.",
    ),
)
