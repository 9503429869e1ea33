"""As found, in the order in which one walks round a desk."""

from __future__ import annotations

from dataclasses import replace

from ....workstation.kinds import SCREENS
from ..field import When, amount, length
from .chair import NOT_STOOL
from .screens import SCREEN_IDS

_BACK: When = NOT_STOOL
_OWN_KEYS: When = (("look.screen.keys", ("", "separate")),)
_STANDS: When = (("look.desk.kind", ("sit_stand", "platform", "cart", "counter")),)
_SEATED = "As found"
_STANDING = "As found standing"

FOUND = (
    length(
        "look.found.seat",
        _SEATED,
        "Seat, loaded",
        250,
        900,
        part="seat",
        needed=True,
        help="Floor to the seat with the client on it, under the sit bones.",
    ),
    length(
        "look.found.seat_depth",
        _SEATED,
        "Seat depth",
        250,
        700,
        part="seat_depth",
        help="Front edge to the backrest, along the seat.",
    ),
    amount(
        "look.found.backrest",
        _SEATED,
        "Backrest from level",
        "°",
        80,
        140,
        when=_BACK,
        help="Upright is 90.",
    ),
    length(
        "look.found.lumbar",
        _SEATED,
        "Lumbar pad over the seat",
        50,
        400,
        part="lumbar",
        when=_BACK,
        help="Loaded seat to the middle of the pad.",
    ),
    length(
        "look.found.armrest",
        _SEATED,
        "Armrest over the seat",
        80,
        450,
        part="armrest",
        when=(("look.chair.armrests", ("", "fixed", "adjustable")),),
    ),
    length(
        "look.found.armrest_gap",
        _SEATED,
        "Between the armrests",
        300,
        700,
        part="armrest",
        when=(("look.chair.armrests", ("", "fixed", "adjustable")),),
        help="Inner edge to inner edge.",
    ),
    length(
        "look.found.footrest",
        _SEATED,
        "Footrest",
        0,
        400,
        part="footrest",
        help="Floor to the middle of the sole; 0 where there is none.",
    ),
    length(
        "look.found.surface",
        _SEATED,
        "Surface",
        350,
        1500,
        part="surface",
        needed=True,
        help="Floor to what the keyboard stands on.",
    ),
    length(
        "look.found.underside",
        _SEATED,
        "Lowest part over the thighs",
        300,
        1450,
        part="surface",
        help="Floor to underside, drawer or crossbar.",
    ),
    length("look.found.keys_edge", _SEATED, "Desk edge to the home row", 0, 700, part="keys"),
    length(
        "look.found.mouse",
        _SEATED,
        "Mouse from the midline",
        0,
        1000,
        part="mouse",
        needed=True,
        help="Centre of the mouse to the B key.",
    ),
    length(
        "look.found.mouse_forward",
        _SEATED,
        "Desk edge to the mouse",
        0,
        700,
        part="mouse_forward",
        help="Desk edge to the middle of the mouse.",
    ),
    length(
        "look.found.mouse_level",
        _SEATED,
        "Mouse above or below the keys' surface",
        -300,
        300,
        part="mouse",
        help="Below is negative; 0 on the same level.",
    ),
    length(
        "look.found.screen_top",
        _SEATED,
        "Screen top, picture not frame",
        400,
        2500,
        part="screen_top",
        needed=True,
        help="Floor to the upper edge of the picture.",
    ),
    length(
        "look.found.distance",
        _SEATED,
        "Eye to screen",
        150,
        3000,
        part="distance",
        needed=True,
        help="Corner of the eye to the middle of the picture.",
    ),
    amount("look.found.tilt", _SEATED, "Screen tilted back", "°", -20, 60, part="tilt"),
    *(
        field
        for index, id in enumerate(SCREEN_IDS[1:], start=2)
        for field in (
            length(
                f"look.found.{id}_top",
                _SEATED,
                f"Screen {index} top",
                400,
                2500,
                when=((f"look.{id}.kind", tuple(SCREENS)),),
            ),
            length(
                f"look.found.{id}_distance",
                _SEATED,
                f"Eye to screen {index}",
                150,
                3000,
                when=((f"look.{id}.kind", tuple(SCREENS)),),
            ),
            amount(
                f"look.found.{id}_bearing",
                _SEATED,
                f"Screen {index} to the side",
                "°",
                -120,
                120,
                help="From straight ahead to its middle; left is negative.",
                when=((f"look.{id}.kind", tuple(SCREENS)),),
            ),
        )
    ),
    amount(
        "look.found.screen_bearing",
        _SEATED,
        "Main screen to the side",
        "°",
        -120,
        120,
        part="distance",
        help="From straight ahead to its middle; left is negative.",
    ),
    *(
        replace(field, when=_STANDS)
        for field in (
            length(
                "look.found_standing.surface",
                _STANDING,
                "Surface, standing",
                350,
                1500,
                part="surface",
            ),
            length(
                "look.found_standing.screen_top",
                _STANDING,
                "Screen top, standing",
                400,
                2500,
                part="screen_top",
            ),
            length(
                "look.found_standing.distance",
                _STANDING,
                "Eye to screen, standing",
                150,
                3000,
                part="distance",
            ),
        )
    ),
)
"""As found, in the order one walks round a desk: chair, feet, desk, hands, screen, standing."""
