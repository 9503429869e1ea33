"""As found, in the order in which one walks round a desk: chair, feet, desk, hands, screen, standing."""

from __future__ import annotations

from ...catalogue import QUANTITIES
from ...language import msg
from ...workstation import PLATFORMS, ArmrestKind, ChairKind, DeskKind, ScreenKind
from . import chair as _chair
from . import desk as _desk
from . import screens as _screens
from .field import Field
from .group import FieldGroup

_at = FieldGroup("look.found", msg("As found"), "walk")
_with_back = _chair.kind.open_or(
    ChairKind.TASK, ChairKind.DINING, ChairKind.WHEELCHAIR, ChairKind.OTHER
)
_with_arms = _chair.armrests.open_or(ArmrestKind.FIXED, ArmrestKind.ADJUSTABLE)

seat = _at.quantity(
    QUANTITIES["seat"],
    msg("Seat height, client seated"),
    part="seat",
    needed=True,
    help=msg("Floor to the seat under the sitting bones, with the client seated."),
)
seat_depth = _at.quantity(
    QUANTITIES["seat_depth"],
    msg("Seat depth"),
    part="seat_depth",
    help=msg("Front edge to the backrest, along the seat."),
)
backrest = _at.quantity(
    QUANTITIES["backrest"], msg("Backrest from level"), when=_with_back, help=msg("90° is upright.")
)
lumbar = _at.quantity(
    QUANTITIES["lumbar"],
    msg("Lumbar support height above the seat"),
    part="lumbar",
    when=_with_back,
    help=msg("Seat (client seated) to the middle of the support."),
)
armrest = _at.quantity(
    QUANTITIES["armrest"], msg("Armrest height above the seat"), part="armrest", when=_with_arms
)
armrest_gap = _at.quantity(
    QUANTITIES["armrest_gap"],
    msg("Distance between armrests"),
    part="armrest",
    when=_with_arms,
    help=msg("Inner edge to inner edge."),
)
seat_slope = _at.quantity(
    QUANTITIES["seat_slope"],
    msg("Seat tilt"),
    part="seat_slope",
    when=_chair.kind.open_or(ChairKind.TASK, ChairKind.OTHER),
    help=msg("Front edge lower than the back is positive."),
)
footrest = _at.quantity(
    QUANTITIES["footrest"],
    msg("Footrest"),
    part="footrest",
    help=msg("Floor to the middle of the sole; 0 if there is none."),
)
surface = _at.quantity(
    QUANTITIES["surface"],
    msg("Surface"),
    part="surface",
    needed=True,
    help=msg("Floor to the surface the keyboard stands on."),
)
underside = _at.length(
    "underside",
    msg("Lowest part above the thighs"),
    300,
    1450,
    part="surface",
    help=msg("Floor to the underside, drawer or crossbar."),
)
keys_edge = _at.quantity(QUANTITIES["keys_edge"], msg("Desk edge to home row"), part="keys")
keys_midline = _at.quantity(
    QUANTITIES["keys_midline"],
    msg("Letter block from the midline"),
    part="keys",
    help=msg("B key to the line of the breastbone; left is negative."),
)
mouse = _at.quantity(
    QUANTITIES["mouse"],
    msg("Mouse distance from midline"),
    part="mouse",
    needed=True,
    help=msg("Centre of the mouse to the line of the breastbone."),
)
mouse_forward = _at.quantity(
    QUANTITIES["mouse_forward"],
    msg("Desk edge to the mouse"),
    part="mouse_forward",
    help=msg("Desk edge to the middle of the mouse."),
)
mouse_level = _at.length(
    "mouse_level",
    msg("Mouse level relative to the keyboard surface"),
    -300,
    300,
    part="mouse",
    help=msg("Negative if lower; 0 if level."),
)
screen_top = _at.quantity(
    QUANTITIES["screen_top"],
    msg("Top of screen"),
    part="screen_top",
    needed=True,
    help=msg("Floor to the upper edge of the picture."),
)
distance = _at.quantity(
    QUANTITIES["distance"],
    msg("Eye to screen"),
    part="distance",
    needed=True,
    help=msg("Outer corner of the eye to the centre of the screen."),
)
tilt = _at.quantity(QUANTITIES["tilt"], msg("Screen tilt"), part="tilt")


def _beside(id: str, index: int) -> dict[str, Field[float]]:
    """Where a second or third screen stands, by quantity."""
    there = _screens.side[id].kind.among(*ScreenKind)
    return {
        f"{id}_top": _at.quantity(
            QUANTITIES[f"{id}_top"], msg("Screen {index} top", index=index), when=there
        ),
        f"{id}_distance": _at.quantity(
            QUANTITIES[f"{id}_distance"], msg("Eye to screen {index}", index=index), when=there
        ),
        f"{id}_bearing": _at.quantity(
            QUANTITIES[f"{id}_bearing"],
            msg("Screen {index} to the side", index=index),
            help=msg("To the centre of the screen; left is negative."),
            when=there,
        ),
    }


beside = {
    key: field
    for index, id in enumerate(_screens.side, start=2)
    for key, field in _beside(id, index).items()
}
"""Where the second and third screen stand, by quantity."""
screen_bearing = _at.quantity(
    QUANTITIES["screen_bearing"],
    msg("Main screen, angle from straight ahead"),
    part="distance",
    help=msg("To the centre of the screen; left is negative."),
)

by_quantity: dict[str, Field[float]] = {
    "seat": seat,
    "seat_slope": seat_slope,
    "seat_depth": seat_depth,
    "backrest": backrest,
    "lumbar": lumbar,
    "armrest": armrest,
    "armrest_gap": armrest_gap,
    "footrest": footrest,
    "surface": surface,
    "keys_edge": keys_edge,
    "keys_midline": keys_midline,
    "mouse": mouse,
    "mouse_forward": mouse_forward,
    "screen_top": screen_top,
    "distance": distance,
    "tilt": tilt,
    "screen_bearing": screen_bearing,
    **beside,
}
"""The field of each quantity as found seated."""

_stands = _desk.kind.among(DeskKind.SIT_STAND, *PLATFORMS, DeskKind.CART, DeskKind.COUNTER)
_up = FieldGroup("look.found_standing", msg("As found standing"), "walk")

standing: dict[str, Field[float]] = {
    "surface": _up.quantity(
        QUANTITIES["surface"], msg("Surface, standing"), part="surface", when=_stands
    ),
    "screen_top": _up.quantity(
        QUANTITIES["screen_top"], msg("Screen top, standing"), part="screen_top", when=_stands
    ),
    "distance": _up.quantity(
        QUANTITIES["distance"], msg("Eye to screen, standing"), part="distance", when=_stands
    ),
}
"""As found standing, by quantity."""
